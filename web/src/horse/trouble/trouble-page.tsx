import { provedAt } from '@still-pine/contract/worked'
import { TROUBLES } from '@still-pine/core/program'
import { findTroubles, traceTrouble } from '@still-pine/core/trouble'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useQuery } from '../../app/client'
import { useCare } from '../use-care'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { Loading } from '../../shared/loading'
import { HorseHeader } from '../../shared/horse-header'
import { useHorse } from '../../shared/use-horse'
import { viewsIn } from '../../shared/views-in'
import { Suspects } from './suspects'

/** What goes wrong, in the yard’s words, and which of this horse’s steps are behind it. */
const TroublePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: care, error: careError } = useCare(horseId)
  const { data: worked, error: workedError } = useQuery('worked', { horseId })
  const [search, setSearch] = useSearchParams()
  const [typed, setTyped] = useState('')
  const [isAllShown, setAllShown] = useState(false)
  const chosen = search.getAll('what')
  const chosenKey = chosen.join()
  const trace = useMemo(
    () =>
      line && program && care && worked
        ? traceTrouble({
            program,
            views: viewsIn(line),
            facts: line.facts,
            on: line.day,
            troubles: chosenKey.split(','),
            provedAt: provedAt(worked.rows),
          })
        : null,
    [line, program, care, worked, chosenKey],
  )
  if (!line || !program || !trace) return <Loading error={error ?? careError ?? workedError} retry={retry} />
  const toggle = (key: string): void => {
    const next = chosen.includes(key) ? chosen.filter((one) => one !== key) : [...chosen, key]
    setSearch(new URLSearchParams(next.map((one) => ['what', one])), { replace: true })
  }
  // Once something is ticked, what follows from it is what is wanted: the rest waits behind one button.
  const isShort = chosen.length > 0 && typed === '' && !isAllShown
  const found = isShort ? TROUBLES.filter(({ key }) => chosen.includes(key)) : findTroubles(typed)
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <section className="no-print">
        <div className="max-w-xl">
          <Field label="What goes wrong?" hint="In your own words; tick all that fit.">
            {(props) => (
              <input
                {...props}
                type="search"
                className={`${INPUT} text-xl`}
                value={typed}
                onChange={(event) => setTyped(event.target.value)}
              />
            )}
          </Field>
        </div>
        <ul className="mt-3 flex flex-wrap gap-2" aria-label="Troubles">
          {found.map(({ key, words }) => (
            <li key={key}>
              <Button
                aria-pressed={chosen.includes(key)}
                className={chosen.includes(key) ? 'bg-ink! text-ground!' : ''}
                onClick={() => toggle(key)}
              >
                {words}
              </Button>
            </li>
          ))}
          {isShort && (
            <li>
              <Button look="quiet" onClick={() => setAllShown(true)}>
                Something else too
              </Button>
            </li>
          )}
        </ul>
        {found.length === 0 && (
          <p role="status">
            No trouble here goes by these words. Try one plain word, like “ears”, “trailer” or “girth”.
          </p>
        )}
      </section>
      {TROUBLES.filter(({ key, atOnce }) => atOnce !== null && chosen.includes(key)).map(
        ({ key, atOnce }) => (
          <p key={key} className="border-l-8 border-stop bg-panel px-4 py-2 text-lg font-bold">
            {atOnce}
          </p>
        ),
      )}
      {trace.lookFirst.length > 0 && (
        <section className="border-l-8 border-stop bg-panel px-5 py-3">
          <h2 className="text-xl text-stop">First</h2>
          {trace.lookFirst.map(({ who, words }) => (
            <p key={who}>{words}</p>
          ))}
        </section>
      )}
      {trace.suspects.length > 0 && <Suspects suspects={trace.suspects} horseId={horseId} />}
      {chosen.length > 0 && trace.suspects.length === 0 && (
        <p role="status" className="text-lg">
          Every step behind this holds on every side. Look at what has changed: place, people, kit, pain.
        </p>
      )}
      {trace.sound.length > 0 && <p className="text-quiet">Holding: {trace.sound.join(', ')}.</p>}
      {chosen.length === 0 && (
        <p className="text-lg text-quiet">
          Tick what goes wrong. You see which of {line.horse.name}’s steps are missing, weak, stale, one-sided
          or tight, the likeliest first, and what to do today.
        </p>
      )}
    </main>
  )
}

export default TroublePage
