import type { Check, Entry, PutEntry } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import {
  CARE_KINDS,
  careCalendar,
  isTheVets,
  type CareDone,
  type CareKind,
} from '@still-pine/core/care-calendar'
import { ageBounds } from '@still-pine/core/facts'
import { useState } from 'react'
import { CARE_WORDS } from '../../shared/entry-words'
import { EditList } from '../../shared/edit-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { StrikeButton } from '../../shared/strike-button'
import { useEntries } from '../../shared/use-entries'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'
import { useCare } from '../use-care'

const CARE_OF_CHECK: Readonly<Partial<Record<Check['kind'], CareKind>>> = {
  feet: 'hooves',
  worming: 'worm-count',
  mouth: 'teeth',
  saddle: 'saddle',
}

/** A look that was recorded as a check is care that was done. */
const doneIn = (checks: readonly Check[], entries: readonly Entry[]): readonly CareDone[] => [
  ...checks
    .filter(({ withdrawn }) => withdrawn === null)
    .flatMap(({ kind, on }) => {
      const care = CARE_OF_CHECK[kind]
      return care ? [{ care, on, minDays: null, maxDays: null }] : []
    }),
  ...entriesOf(entries, 'care'),
]

interface FormProps {
  readonly today: string
  readonly onPut: (entry: PutEntry) => void
}

const CareForm = ({ today, onPut }: FormProps) => {
  const [care, setCare] = useState<CareKind>('hooves')
  const [on, setOn] = useState(today)
  const [from, setFrom] = useState('')
  const [by, setBy] = useState('')
  const { faults, send } = useEntryForm(
    () => ({ kind: 'care', on, care, minDays: typedNumber(from), maxDays: typedNumber(by) }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <ChoiceField
        label="What was done"
        words={CARE_KINDS.map((kind) => [kind, CARE_WORDS[kind]] as const)}
        value={care}
        onChange={({ target }) => setCare(target.value as CareKind)}
      />
      <TextField
        label="On"
        type="date"
        max={today}
        value={on}
        error={faults.on}
        onChange={({ target }) => setOn(target.value)}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Again from day"
          hint={isTheVets(care) ? 'the vet says it' : 'or leave it: the usual'}
          inputMode="numeric"
          value={from}
          error={faults.minDays}
          onChange={({ target }) => setFrom(target.value)}
        />
        <TextField
          label="By day"
          inputMode="numeric"
          value={by}
          error={faults.maxDays}
          onChange={({ target }) => setBy(target.value)}
        />
      </div>
      <Button look="act" type="submit" className="min-h-14">
        Keep it
      </Button>
    </form>
  )
}

const SAYS = { never: 'not recorded here yet', 'not-yet': '', due: 'due now', late: 'late' } as const

/** Hooves, worms, teeth, saddle and the rest: when each is due, from what was done. */
const CareCalendarPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: care } = useCare(horseId)
  const { entries, error: failed, retry: again, put, strike } = useEntries(horseId)
  const mayLog = useMay('log-answers')
  if (!line || !entries || !care) return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const age = ageBounds({ born: horse.born, age: horse.estimate ?? null }, day)
  const rows = careCalendar(doneIn(care.checks, entries), { on: day, ageLowMonths: age?.low ?? 0 })
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <div className="grid gap-8 desk:grid-cols-2">
        <section>
          <h2 className="mb-1 text-2xl">What is due</h2>
          <dl className="text-lg">
            {rows.map(({ kind, lastOn, fromOn, byOn, says }) => (
              <div key={kind} className="flex flex-wrap justify-between gap-x-4 border-t border-line py-1">
                <dt className="font-bold">{CARE_WORDS[kind]}</dt>
                <dd
                  className={
                    says === 'late' ? 'font-bold text-stop' : says === 'due' ? 'font-bold' : 'text-quiet'
                  }
                >
                  {lastOn === null
                    ? SAYS.never
                    : [
                        SAYS[says],
                        fromOn === byOn ? longDay(byOn) : `from ${longDay(fromOn)} to ${longDay(byOn)}`,
                      ]
                        .filter(Boolean)
                        .join(': ')}
                </dd>
              </div>
            ))}
          </dl>
          <p className="mt-3 max-w-prose text-quiet">
            Worming by the calendar breeds resistance: a count is due, and the vet says the rest. Vaccinations
            and holds are due when the vet says so.
          </p>
        </section>
        <EditList
          title="Done"
          one="time"
          empty="Nothing yet. Looks at feet, mouth and saddle under Checks count too."
          items={entriesOf(entries, 'care').toReversed()}
          mayEdit={mayLog}
          name={({ care: kind }) => CARE_WORDS[kind]}
          words={({ on, minDays, maxDays, byName }) =>
            [longDay(on), minDays === null ? '' : `again after ${minDays} to ${maxDays} days`, byName]
              .filter(Boolean)
              .join('; ')
          }
          actions={(one) => <StrikeButton entry={one} strike={strike} />}
          form={(told, close) => (
            <CareForm
              today={day}
              onPut={(entry) => {
                void put(entry, told?.id)
                close()
              }}
            />
          )}
        />
      </div>
    </main>
  )
}

export default CareCalendarPage
