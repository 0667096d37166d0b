import type { SessionChanges } from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import { isOfState, withStep, type Change } from './change-words'

const STANDING: Record<Change['to'], number> = {
  new: 0,
  started: 1,
  slipped: 2,
  coming: 3,
  rusty: 4,
  solid: 5,
}

const weight = ({ to, timeAlone }: Change): number => (timeAlone ? 10 : 0) - STANDING[to]

interface Props {
  readonly told: SessionChanges
  /** The steps that stand on the sheet, with what changed of them. */
  readonly shown: ReadonlySet<string>
  readonly program: Program
}

/** What is to be taken from the session beside its rows: what else changed, what was left out, where to go on. */
export const Conclusions = ({ told, shown, program }: Props) => {
  const elsewhere = told.changes
    .filter((change) => !shown.has(change.step))
    .sort((a, b) => weight(a) - weight(b))
  return (
    <section className="flex flex-col gap-3 border-t-4 border-ink bg-panel p-3">
      <p className="text-lg font-bold">{told.next}</p>
      {elsewhere.length > 0 && (
        <div>
          <h2 className="mb-1 text-lg">Also changed</h2>
          <ul>
            {elsewhere.map((change) => (
              <li key={`${change.step} ${change.side}`} className={isOfState(change) ? 'font-bold' : ''}>
                {withStep(change, program)}
              </li>
            ))}
          </ul>
        </div>
      )}
      {told.changes.length === 0 && <p>Nothing moved by three points or more.</p>}
      {told.leftOut.length > 0 && (
        <div>
          <h2 className="mb-1 text-lg">Left out</h2>
          <ul>
            {told.leftOut.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      )}
    </section>
  )
}
