import { percent } from '@still-pine/core/answer'
import { CIRCUMSTANCES, valueWords, type CircumstanceKind } from '@still-pine/core/circumstances'
import { differenceInWords, differencesOf, type CircumstanceGroup } from '@still-pine/core/evidence'
import { upperFirst } from '@still-pine/core/readiness'

const nameOf = (kind: string): string =>
  kind === 'kit' ? 'Kit' : CIRCUMSTANCES[kind as CircumstanceKind].name

/** First asks by what was noted of their sessions: counts with their spread, and never more than that. */
export const Differences = ({ groups }: { groups: readonly CircumstanceGroup[] }) => {
  const kinds = [...new Set(groups.map(({ kind }) => kind))]
  return (
    <section className="flex flex-col gap-2">
      {kinds.length === 0 ? (
        <p>
          Nothing was noted of the sessions yet. Before a session or after it, say how it was: who watched,
          the weather, the kit. Then this tells what went otherwise.
        </p>
      ) : (
        <p>
          First asks of the day, counted by what was noted; three sessions on either side make a comparison.
          It is what was seen and not what caused it: other steps were asked on those days, and other things
          differed too.
        </p>
      )}
      <dl className="grid gap-x-8 gap-y-2 desk:grid-cols-2">
        {kinds.map((kind) => (
          <div key={kind} className="break-inside-avoid border-t-2 border-ink py-2">
            <dt className="font-name text-lg font-bold">{nameOf(kind)}</dt>
            {differencesOf(groups.filter((group) => group.kind === kind)).map((difference) => (
              <dd key={difference.value}>
                <b>{upperFirst(valueWords(kind, difference.value))}:</b> {differenceInWords(difference)}{' '}
                <span className="text-quiet">
                  {percent(difference.expected)} was expected of what was asked.
                </span>
              </dd>
            ))}
          </div>
        ))}
      </dl>
    </section>
  )
}
