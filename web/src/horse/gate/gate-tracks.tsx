import { chancePercent } from '@still-pine/core/answer'
import type { Line } from '@still-pine/contract'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { Link } from 'react-router'
import { sideAfter, STATE_WORDS } from '../../shared/words'
import { TableRoom } from '../../ui/table-room'

type Gate = Line['gates'][number]

/** Every track a gate looks at: what it must be, and what it is. */
export const GateTracks = ({ gate, program, horseId }: { gate: Gate; program: Program; horseId: string }) => (
  <TableRoom label="What it looks at">
    <table className="w-full border-collapse">
      <caption className="mb-2 text-left font-name text-lg font-bold">What it looks at</caption>
      <thead className="text-left text-quiet">
        <tr>
          <th scope="col">Step</th>
          <th scope="col">Must be</th>
          <th scope="col">Is</th>
          <th scope="col">Chance</th>
        </tr>
      </thead>
      <tbody>
        {[...gate.tracks]
          .sort((a, b) => Number(a.holds) - Number(b.holds))
          .map((track) => {
            const step = stepOf(program, track.step)!
            return (
              <tr key={`${track.step}${track.side}`} className="border-t border-line align-top">
                <th scope="row" className="py-2 pr-3 text-left font-normal">
                  <Link className="underline" to={`/horses/${horseId}/steps/${track.step}`}>
                    {track.name}
                    {sideAfter(track.side)}
                  </Link>
                  <span className="block text-quiet">{rungName(step, track.rung)}</span>
                  {track.missing && <span className="block text-worn">{track.missing}</span>}
                </th>
                <td className="py-2 pr-3">{track.must === 'solid' ? 'Solid' : 'met'}</td>
                <td className="py-2 pr-3 font-bold">
                  {track.must === 'solid' ? STATE_WORDS[track.state] : track.holds ? 'met' : 'not met'}
                </td>
                <td className="py-2">
                  {chancePercent(track.chance)}, not tight {chancePercent(track.calmChance)}
                </td>
              </tr>
            )
          })}
      </tbody>
    </table>
  </TableRoom>
)
