import { chanceInWords } from '@still-pine/core/readiness'
import type { Line } from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import { Link } from 'react-router'
import { Scale } from '../drawing/line/scale'
import { STATE_WORDS } from '../shared/words'

/** One stage as big rows for thumbs, and as a table for readers and paper. */
export const StageRows = ({ line, program, stage }: { line: Line; program: Program; stage: number }) => {
  const closed = new Map(line.plan.closed.map(({ step, words }) => [step, words]))
  const isTwoSided = (step: string): boolean => line.tracks.filter((t) => t.step === step).length > 1
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">
        Steps of stage {stage} for {line.horse.name}
      </caption>
      <thead className="text-left text-quiet">
        <tr>
          <th scope="col" className="phone:hidden">
            <span className="sr-only">Scale</span>
          </th>
          <th scope="col">Step</th>
          <th scope="col">State and chance</th>
          <th scope="col" className="phone:hidden">
            Today
          </th>
        </tr>
      </thead>
      <tbody>
        {program.steps
          .filter((step) => step.stage === stage)
          .map((step) => {
            const tracks = line.tracks.filter((track) => track.step === step.key)
            return (
              <tr key={step.key} className="border-t border-line align-middle">
                <td className="w-14 py-1 phone:hidden">
                  <svg width={44} height={52} aria-hidden="true">
                    <g transform="translate(22 50)">
                      <Scale
                        halves={tracks.map(({ side, view }) => ({
                          side,
                          state: view.state,
                          chance: view.chance,
                        }))}
                        width={28}
                        height={46}
                      />
                    </g>
                  </svg>
                </td>
                <th scope="row" className="py-2 pr-3 text-left">
                  <Link
                    className="inline-flex min-h-11 min-w-11 items-center text-lg font-bold underline decoration-2 underline-offset-4"
                    to={`/horses/${line.horse.id}/steps/${step.key}`}
                  >
                    {step.name}
                  </Link>
                </th>
                <td className="py-2">
                  {tracks.map(({ side, view }) => (
                    <div key={side}>
                      {isTwoSided(step.key) && <span className="inline-block w-12 text-quiet">{side}</span>}
                      {STATE_WORDS[view.state]}
                      {view.answers > 0 && `, ${chanceInWords(view)}`}
                    </div>
                  ))}
                </td>
                <td className="py-2 text-quiet phone:hidden">{closed.get(step.key) ?? 'open'}</td>
              </tr>
            )
          })}
      </tbody>
    </table>
  )
}
