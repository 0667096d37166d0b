import { PLACE_WORDS } from '@still-pine/core/answer'
import { coverageOf, type Spot } from '@still-pine/core/coverage'
import { sidesOf, type Step } from '@still-pine/core/program'
import { cellWords } from './shown'
import { TableRoom } from '../../ui/table-room'

interface Props {
  readonly step: Step
  readonly spots: readonly Spot[]
  readonly on: string
}

/** What a step has been shown, from every place on every side, still and moving: the gaps are what was forgotten. */
export const CoverageTable = ({ step, spots, on }: Props) => {
  const rows = coverageOf(spots, step.key, sidesOf(step))
  const forgotten = rows.reduce((n, { still, moving }) => n + Number(!still) + Number(!moving), 0)
  return (
    <section>
      <h2 className="text-lg">
        {step.name}:{' '}
        {forgotten === 0
          ? 'shown from everywhere, still and moving'
          : `${forgotten} of ${rows.length * 2} never shown`}
      </h2>
      <TableRoom label="Where it was asked">
        <table className="w-full border-collapse text-left">
          <thead>
            <tr>
              {['Side', 'From', 'Standing', 'Moving'].map((head) => (
                <th key={head} scope="col" className="border-b-2 border-ink py-1 pr-3">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ side, place, still, moving }) => (
              <tr key={`${side}-${place}`} className="border-b border-line">
                <td className="py-1 pr-3">{side === 'none' ? '' : side}</td>
                <td className="py-1 pr-3">
                  {place} {PLACE_WORDS[place]}
                </td>
                {[still, moving].map((hold, i) => (
                  <td key={i} className={`py-1 pr-3 ${hold === null ? 'font-bold text-worn' : ''}`}>
                    {cellWords(hold, on)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </TableRoom>
    </section>
  )
}
