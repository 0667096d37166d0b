import type { PutEntry } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { thingsRegister } from '@still-pine/core/jumping'
import { countersOf, timesInWords } from '@still-pine/core/counters'
import { useState } from 'react'
import { useQuery } from '../../app/client'
import { EditList } from '../../shared/edit-list'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { StrikeButton } from '../../shared/strike-button'
import { useEntries } from '../../shared/use-entries'
import { useEntryForm } from '../../shared/use-entry-form'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { whereNow } from '../../shared/where'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'

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

interface FormProps {
  readonly today: string
  readonly known: readonly string[]
  readonly onPut: (entry: PutEntry) => void
}

const ShowingForm = ({ today, known, onPut }: FormProps) => {
  const [thing, setThing] = useState('')
  const [side, setSide] = useState<'left' | 'right' | 'both'>('both')
  const [where, setWhere] = useState(whereNow() ?? '')
  const [isGood, setGood] = useState(true)
  const { faults, send } = useEntryForm(
    () => ({ kind: 'thing', on: today, thing, side, where, good: isGood }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="Thing"
        hint="water tray, tarp, tractor"
        list="things-known"
        value={thing}
        error={faults.thing}
        onChange={({ target }) => setThing(target.value)}
      />
      <datalist id="things-known">
        {known.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
      <ChoiceField
        label="Side"
        words={[
          ['both', 'both sides'],
          ['left', 'left'],
          ['right', 'right'],
        ]}
        value={side}
        onChange={({ target }) => setSide(target.value as 'left' | 'right' | 'both')}
      />
      <TextField
        label="Where"
        value={where}
        error={faults.where}
        onChange={({ target }) => setWhere(target.value)}
      />
      <div className="grid grid-cols-2 gap-2">
        <Button look="act" type="submit" className="min-h-16" onClick={() => setGood(true)}>
          It went well
        </Button>
        <Button type="submit" className="min-h-16" onClick={() => setGood(false)}>
          It did not
        </Button>
      </div>
    </form>
  )
}

/** The things of the yard a horse was shown, beside the six kinds that its steps bring. */
const ThingsPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: worked } = useQuery('worked', { horseId })
  const { entries, error: failed, retry: again, put, strike } = useEntries(horseId)
  const mayLog = useMay('log-answers')
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
        <EditList
          title="Shown"
          one="showing"
          items={showings.toReversed()}
          mayEdit={mayLog}
          name={({ thing }) => thing}
          words={({ on, side, where, good, byName }) =>
            [longDay(on), side, where, good ? 'went well' : 'did not go well', byName]
              .filter(Boolean)
              .join('; ')
          }
          actions={(one) => <StrikeButton entry={one} strike={strike} />}
          form={(told, close) => (
            <ShowingForm
              today={told?.on ?? day}
              known={register.things.map(({ thing }) => thing)}
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

export default ThingsPage
