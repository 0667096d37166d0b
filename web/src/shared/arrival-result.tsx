import type { Arrival } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { fullDay } from './words'

const namesOf = (steps: readonly { readonly name: string }[]): string =>
  steps.map(({ name }) => name).join(', ')

/** The page for the owner: what was shown, what is taken as known below it, and where the work begins. */
export const ArrivalSheet = ({ arrival, name }: { arrival: Arrival; name: string }) => {
  const { result } = arrival
  const shown = result.known.filter(({ how }) => how === 'shown')
  const below = result.known.filter(({ how }) => how === 'below')
  return (
    <article className="flex flex-col gap-4 border-t-4 border-ink bg-panel p-4">
      <div>
        <h2 className="text-2xl">How {name} arrived</h2>
        <p className="text-quiet">
          {fullDay(arrival.on)}, {count(result.asked, 'first ask')}, by {arrival.byName}
        </p>
      </div>
      <p className="text-lg font-bold">{result.end}</p>
      <section>
        <h3 className="text-xl">Shown, light and relaxed</h3>
        {shown.length === 0 && <p>Nothing yet: it begins at the beginning.</p>}
        <ul>
          {shown.map(({ step, name: words, rungName }) => (
            <li key={step} className="border-t border-line py-1">
              <b>{words}</b> to “{rungName}”
            </li>
          ))}
        </ul>
      </section>
      {result.failed.length > 0 && (
        <section>
          <h3 className="text-xl">Did not go</h3>
          <p>{namesOf(result.failed)}. This is where its work begins.</p>
        </section>
      )}
      {below.length > 0 && (
        <section>
          <h3 className="text-xl">Taken as known, since it lies below</h3>
          <p>{namesOf(below)}.</p>
        </section>
      )}
      <section>
        <h3 className="text-xl">Open for work now</h3>
        <p>{namesOf(result.opens)}.</p>
      </section>
      <p className="text-quiet">
        A first ask that went well is one answer. Every gate still wants its own evidence, asked on several
        days.
      </p>
    </article>
  )
}
