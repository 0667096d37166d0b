import { entriesOf } from '@still-pine/contract/entries-of'
import { ageBounds } from '@still-pine/core/facts'
import { goingOf, tiredIn } from '@still-pine/core/going'
import { useState } from 'react'
import { Link } from 'react-router'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { ShutList } from '../../shared/shut-list'
import { StrikeButton } from '../../shared/strike-button'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { Sheet } from '../../ui/sheet'
import { MarkForm } from './mark-form'
import { FEATURE_NAMES, goingWords, workWords } from './sentences'

/** Work on the lunge and on long lines: what each session came to, and how the horse goes. */
const GoingPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { entries, error: failed, retry: again, put, strike } = useEntries(horseId)
  const [marking, setMarking] = useState<string | null>(null)
  const mayLog = useMay('log-answers')
  if (!line || !entries) return <Loading error={error ?? failed} retry={error ? retry : again} />
  const { horse, day } = line
  const sessions = entriesOf(entries, 'line-work')
  const all = entries.filter((one) => one.kind === 'line-work').toReversed()
  const marked = sessions.find(({ id }) => id === marking)
  const going = goingOf(sessions, day)
  const last = sessions.at(-1)
  const tired = last && tiredIn(last)
  const ageOn = (on: string): number | null =>
    ageBounds({ born: horse.born, age: horse.estimate ?? null }, on)?.low ?? null
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={horse} today={day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <Link
        to={`/pen/${horseId}/line`}
        className="no-print inline-flex min-h-14 items-center self-start rounded-md bg-act px-5 font-name text-lg font-bold text-on-act"
      >
        Take {horse.name} on the line
      </Link>
      {tired && tired.minute !== null && (
        <p className="max-w-prose text-lg" role="status">
          On {longDay(last.on)} it tired at minute {Math.round(tired.minute)}: next time{' '}
          {Math.floor(tired.nextMinutes ?? 0)} minutes are enough.
        </p>
      )}
      {going.length > 0 && (
        <section className="max-w-prose text-lg">
          <h2 className="mb-1 text-2xl">How it goes on the line</h2>
          <dl>
            {going.map((one) => (
              <div key={one.feature} className="border-t border-line py-1">
                <dt className="font-bold">{FEATURE_NAMES[one.feature]}</dt>
                <dd>{goingWords(one)}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      <section className="max-w-prose">
        <h2 className="mb-1 text-2xl">On the line</h2>
        {all.length === 0 && (
          <p className="text-lg">
            Nothing yet. On the line, two buttons tell gaits and reins without a look.
          </p>
        )}
        <ul>
          {all.map((one) => (
            <li
              key={one.id}
              className="flex flex-wrap items-center justify-between gap-x-3 border-t border-line py-1"
            >
              <span className={`min-w-0 flex-1 ${one.takenBack ? 'text-quiet line-through' : ''}`}>
                <b>
                  {longDay(one.on)}, {one.way === 'lunge' ? 'lunge' : 'long lines'}
                </b>{' '}
                <span className="text-quiet">{workWords(one, ageOn(one.on))}</span>
              </span>
              {mayLog && (
                <span className="no-print flex">
                  <Button
                    look="quiet"
                    aria-label={`Mark ${longDay(one.on)}`}
                    onClick={() => setMarking(one.id)}
                  >
                    Mark
                  </Button>
                  <StrikeButton entry={one} strike={strike} />
                </span>
              )}
            </li>
          ))}
        </ul>
      </section>
      <Sheet open={marked !== undefined} title="How it went" onClose={() => setMarking(null)}>
        {marked && (
          <MarkForm
            work={marked}
            onPut={(entry) => {
              void put(entry, marked.id)
              setMarking(null)
            }}
          />
        )}
      </Sheet>
    </main>
  )
}

export default GoingPage
