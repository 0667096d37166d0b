import { entriesOf } from '@still-pine/contract/entries-of'
import { thingsRegister } from '@still-pine/core/jumping'
import { countersOf, timesInWords } from '@still-pine/core/counters'
import { useQuery } from '../../app/client'
import { SIDE_WORDS, type EntryField } from '../../shared/entry-form'
import { EntryList } from '../../shared/entry-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { whereNow } from '../../shared/where'
import { longDay } from '../../shared/words'

type Register = ReturnType<typeof thingsRegister>
type Shown = Register['things'][number]

const SAYS: Readonly<Record<Shown['says'], string>> = {
  new: 'new',
  'as-new': 'over two months ago: as new, from the ground first',
  unfinished: 'did not go well: not finished',
  'show-again': 'show it again',
  fresh: 'fresh',
}

const daysWords = (days: number | null): string =>
  days === null ? 'never' : days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`

const sidesWords = ({ sides }: Shown): string =>
  sides.length === 2 ? 'from both sides' : `from the ${sides[0]} only`

const percent = (share: number): string => `${Math.round(100 * share)} %`

/** "Ten new things, ten went well: the next about 92 % (81 to 99 %)." */
const nextWords = ({ shown, good, next }: Register): string =>
  `${shown} new ${shown === 1 ? 'thing' : 'things'}, ${good} went well: the next one about ${percent(next.chance)} (${percent(next.low)} to ${percent(next.high)})${next.says === 'hardly-known' ? '; hardly known yet' : ''}.`

const fieldsFor = (known: readonly string[]): readonly EntryField[] => [
  { name: 'thing', label: 'Thing', hint: 'water tray, tarp, tractor', suggested: known },
  { name: 'side', label: 'Side', as: SIDE_WORDS },
  { name: 'where', label: 'Where', start: whereNow() ?? '' },
]

const WENT = [
  ['It went well', { good: true }],
  ['It did not', { good: false }],
] as const

/** The things of the yard a horse was shown, beside the six kinds that its steps bring. */
const ThingsPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: worked } = useQuery('worked', { horseId })
  const { entries, error: failed, retry: again, ...book } = useEntries(horseId)
  if (!line || !program || !entries) return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const showings = entriesOf(entries, 'thing')
  const register = thingsRegister(showings, day)
  const kinds = worked ? countersOf(program, worked.rows, { arrived: horse.arrived, on: day }).things : []
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      {register.shown > 0 && (
        <p role="status" className="max-w-prose text-lg">
          {nextWords(register)}
        </p>
      )}
      <div className="grid gap-8 desk:grid-cols-2">
        <section>
          <h2 className="mb-1 text-2xl">Things of this yard</h2>
          {register.things.length === 0 && (
            <p className="text-lg">None yet: add the water tray, the tarp, the tractor as it meets them.</p>
          )}
          <ul className="text-lg">
            {register.things.map((one) => (
              <li key={one.thing} className="border-t border-line py-1">
                <b>{one.thing}</b>{' '}
                <span className={one.says === 'fresh' ? 'text-quiet' : ''}>
                  {daysWords(one.days)}, {sidesWords(one)}
                  {one.where.length > 0 && `, ${one.where.join(', ')}`}: {SAYS[one.says]}
                </span>
              </li>
            ))}
          </ul>
          <h2 className="mt-4 mb-1 text-2xl">The six kinds its steps bring</h2>
          <ul className="text-lg">
            {kinds.map(({ thing, ...times }) => (
              <li key={thing} className="border-t border-line py-1">
                <b>{thing}</b> <span className="text-quiet">{timesInWords(times, day)}</span>
              </li>
            ))}
          </ul>
        </section>
        <EntryList
          kind="thing"
          book={book}
          today={day}
          title="Shown"
          one="showing"
          items={showings.toReversed()}
          name={({ thing }) => thing}
          words={({ on, side, where, good, byName }) =>
            [longDay(on), side, where, good ? 'went well' : 'did not go well', byName]
              .filter(Boolean)
              .join('; ')
          }
          fields={fieldsFor(register.things.map(({ thing }) => thing))}
          submit={WENT}
        />
      </div>
    </main>
  )
}

export default ThingsPage
