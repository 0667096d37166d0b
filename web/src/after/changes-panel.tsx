import { chancePercent } from '@still-pine/core/answer'
import type { SessionChanges } from '@still-pine/contract'
import { stepOf, type Program } from '@still-pine/core/program'
import { useQuery } from '../app/client'
import { Loading } from '../shared/loading'
import { STATE_WORDS } from '../shared/words'

type Change = SessionChanges['changes'][number]

const WAY: Record<string, number> = { new: 0, started: 1, slipped: 2, coming: 3, rusty: 4, solid: 5 }

/** A state or a chance, never the two side by side: they follow different rules, and would seem to contradict each other. */
const changeWords = (change: Change, program: Program): string => {
  const name = stepOf(program, change.step)?.name ?? change.step
  const side = change.side === 'none' ? '' : `, ${change.side}`
  return change.from === change.to
    ? `${name}${side}: ${chancePercent(change.chanceBefore)} to ${chancePercent(change.chanceAfter)} light`
    : `${name}${side} is ${STATE_WORDS[change.to]}, was ${STATE_WORDS[change.from]}${change.answers > 0 ? '' : ' (time alone)'}`
}

const weight = ({ from, to, answers }: Change): number =>
  (from === to ? 2 : answers > 0 ? 0 : 1) * 10 - (WAY[to] ?? 0)

/** What changed, what was left out, what tomorrow needs. */
export const ChangesPanel = ({ sessionId, program }: { sessionId: string; program: Program }) => {
  const { data, error, refetch } = useQuery('sessionChanges', { sessionId: sessionId })
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  const changes = [...data.changes].sort((a, b) => weight(a) - weight(b))
  return (
    <section className="flex flex-col gap-3 border-t-4 border-ink bg-panel p-3">
      <div>
        <h2 className="mb-1 text-lg">What changed</h2>
        {changes.length === 0 && <p>Nothing moved by three points or more.</p>}
        <ul>
          {changes.map((change) => (
            <li key={`${change.step}${change.side}`} className={change.from === change.to ? '' : 'font-bold'}>
              {changeWords(change, program)}
            </li>
          ))}
        </ul>
      </div>
      {data.leftOut.length > 0 && (
        <div>
          <h2 className="mb-1 text-lg">Left out</h2>
          <ul>
            {data.leftOut.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      )}
      <p className="font-bold">{data.next}</p>
    </section>
  )
}
