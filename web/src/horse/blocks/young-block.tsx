import { entriesOf } from '@still-pine/contract/entries-of'
import { daysBetween } from '@still-pine/core/answer'
import { youngBlock } from '@still-pine/core/care-calendar'
import { typedNumber, type EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { useEntries } from '../../shared/use-entries'

const FIELDS: readonly EntryField[] = [
  { name: 'goal', label: 'Goal', hint: 'feet, halter, loading' },
  { name: 'bursts', label: 'Bursts', hint: 'of two minutes; five to a session', as: 'number' },
  {
    name: 'place',
    label: 'Place',
    hint: '1 is wanted most',
    as: 'number',
    show: (place) => String((place as number) + 1),
    read: (rank) => (typedNumber(rank) ?? Number.NaN) - 1,
  },
]

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
  const { entries = [], ...book } = useEntries(horseId)
  const goals = entriesOf(entries, 'goal').toSorted((a, b) => a.place - b.place)
  const fits = youngBlock(sessions, daysBetween(from, today), goals)
  return (
    <section className="max-w-prose">
      <p role="status" className="text-lg">
        {fits.sessionsLeft} sessions of fifteen minutes left, {fits.burstsLeft} bursts.{' '}
        {(goals.length > 0 || fits.sessionsLeft === 0) && BLOCK_SAYS[fits.says]}
      </p>
      <EntryList
        kind="goal"
        book={book}
        today={today}
        title="Goals of this block"
        one="goal"
        empty="None yet. Say what it is to have learnt before it is left to grow, what is wanted most first."
        items={goals}
        name={({ goal }) => goal}
        words={({ id, bursts }) => {
          const told = fits.goals[goals.findIndex((one) => one.id === id)]
          return `${bursts} bursts: ${told ? SAYS[told.says] : ''}${told?.says === 'part' ? `, ${told.given} of them` : ''}`
        }}
        fields={FIELDS}
        start={(told) => (told ? undefined : { place: String(goals.length + 1) })}
        submit="Keep this goal"
      />
    </section>
  )
}
