import { entriesOf } from '@still-pine/contract/entries-of'
import { CARE_KINDS, careCalendar, careDoneIn } from '@still-pine/core/care-calendar'
import { ageBounds } from '@still-pine/core/facts'
import { CARE_WORDS } from '../../shared/entry-words'
import type { EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { longDay } from '../../shared/words'
import { useCare } from '../use-care'

const fieldsOn = (today: string): readonly EntryField[] => [
  { name: 'care', label: 'What was done', as: CARE_KINDS.map((kind) => [kind, CARE_WORDS[kind]] as const) },
  { name: 'on', label: 'On', as: 'day', start: today },
  {
    name: 'minDays',
    label: 'Again from day',
    hint: 'or leave it: the usual; of vaccinations and holds the vet says it',
    as: 'number',
  },
  { name: 'maxDays', label: 'By day', as: 'number' },
]

const SAYS = { never: 'not recorded here yet', 'not-yet': '', due: 'due now', late: 'late' } as const

/** Hooves, worms, teeth, saddle and the rest: when each is due, from what was done. */
const CareCalendarPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: care } = useCare(horseId)
  const { entries, error: failed, retry: again, ...book } = useEntries(horseId)
  if (!line || !entries || !care) return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const age = ageBounds({ born: horse.born, age: horse.estimate ?? null }, day)
  const rows = careCalendar(
    careDoneIn(
      care.checks.filter(({ withdrawn }) => withdrawn === null),
      entriesOf(entries, 'care'),
    ),
    { on: day, ageLowMonths: age?.low ?? 0 },
  )
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
        <EntryList
          kind="care"
          book={book}
          today={day}
          title="Done"
          one="time"
          empty="Nothing yet. Looks at feet, mouth and saddle under Checks count too."
          items={entriesOf(entries, 'care').toReversed()}
          name={({ care: kind }) => CARE_WORDS[kind]}
          words={({ on, minDays, maxDays, byName }) =>
            [longDay(on), minDays === null ? '' : `again after ${minDays} to ${maxDays} days`, byName]
              .filter(Boolean)
              .join('; ')
          }
          fields={fieldsOn(day)}
          submit="Keep it"
        />
      </div>
    </main>
  )
}

export default CareCalendarPage
