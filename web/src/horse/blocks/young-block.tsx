import type { PutEntry } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { daysBetween } from '@still-pine/core/answer'
import { youngBlock } from '@still-pine/core/care-calendar'
import { useState } from 'react'
import { EditList } from '../../shared/edit-list'
import { StrikeButton } from '../../shared/strike-button'
import { useEntries } from '../../shared/use-entries'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { useMay } from '../../shared/use-may'
import { Button } from '../../ui/button'
import { TextField } from '../../ui/inputs'

interface FormProps {
  readonly today: string
  readonly told: EntryOf<'goal'> | null
  readonly place: number
  readonly onPut: (entry: PutEntry) => void
}

const GoalForm = ({ today, told, place, onPut }: FormProps) => {
  const [goal, setGoal] = useState(told?.goal ?? '')
  const [bursts, setBursts] = useState(told ? String(told.bursts) : '')
  const [rank, setRank] = useState(String((told?.place ?? place) + 1))
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'goal',
      on: told?.on ?? today,
      goal,
      bursts: typedNumber(bursts),
      place: (typedNumber(rank) ?? Number.NaN) - 1,
    }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="Goal"
        hint="feet, halter, loading"
        value={goal}
        error={faults.goal}
        onChange={({ target }) => setGoal(target.value)}
      />
      <TextField
        label="Bursts"
        hint="of two minutes; five to a session"
        inputMode="numeric"
        value={bursts}
        error={faults.bursts}
        onChange={({ target }) => setBursts(target.value)}
      />
      <TextField
        label="Place"
        hint="1 is wanted most"
        inputMode="numeric"
        value={rank}
        error={faults.place}
        onChange={({ target }) => setRank(target.value)}
      />
      <Button look="act" type="submit" className="min-h-14">
        {told ? 'Correct' : 'Keep this goal'}
      </Button>
    </form>
  )
}

const SAYS = { whole: 'fits', part: 'fits in part', no: 'does not fit any more' } as const

const BLOCK_SAYS = {
  'close-the-block': 'Close the block and leave it to grow.',
  fits: 'All of it fits.',
  'too-much': 'Not all of it fits: what is wanted most comes first.',
} as const

interface Props {
  readonly horseId: string
  readonly today: string
  /** When the block began, and the sessions it had. */
  readonly from: string
  readonly sessions: number
}

/** What still fits into a young horse's short block before it is left to grow. */
export const YoungBlock = ({ horseId, today, from, sessions }: Props) => {
  const { entries = [], put, strike } = useEntries(horseId)
  const mayLog = useMay('log-answers')
  const goals = entriesOf(entries, 'goal').toSorted((a, b) => a.place - b.place)
  const fits = youngBlock(sessions, daysBetween(from, today), goals)
  return (
    <section className="max-w-prose">
      <p role="status" className="text-lg">
        {fits.sessionsLeft} sessions of fifteen minutes left, {fits.burstsLeft} bursts.{' '}
        {(goals.length > 0 || fits.sessionsLeft === 0) && BLOCK_SAYS[fits.says]}
      </p>
      <EditList
        title="Goals of this block"
        one="goal"
        empty="None yet. Say what it is to have learnt before it is left to grow, what is wanted most first."
        items={goals}
        mayEdit={mayLog}
        name={({ goal }) => goal}
        words={({ id, bursts }) => {
          const told = fits.goals[goals.findIndex((one) => one.id === id)]
          return `${bursts} bursts: ${told ? SAYS[told.says] : ''}${told?.says === 'part' ? `, ${told.given} of them` : ''}`
        }}
        actions={(goal) => <StrikeButton entry={goal} strike={strike} />}
        form={(told, close) => (
          <GoalForm
            today={today}
            told={told}
            place={goals.length}
            onPut={(entry) => {
              void put(entry, told?.id)
              close()
            }}
          />
        )}
      />
    </section>
  )
}
