import type { Line } from '@still-pine/contract'
import { PLACE_WORDS } from '@still-pine/core/answer'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { Link } from 'react-router'
import { sideAfter } from '../../shared/words'

type Gate = Line['gates'][number]

/** The shortest list of cold asks, run in the pen one after the other. */
export const DueAsks = ({ gate, program, horseId }: { gate: Gate; program: Program; horseId: string }) => (
  <section>
    <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
      <h2 className="text-lg">Run these first</h2>
      <Link
        className="no-print inline-flex min-h-12 items-center rounded-md bg-act px-5 font-name text-lg font-bold text-on-act"
        to={`/pen/${horseId}?gate=${gate.gate}`}
      >
        Run {gate.due.length === 1 ? 'it' : `all ${gate.due.length}`} in the pen
      </Link>
    </div>
    <ul className="flex flex-col">
      {gate.due.map((due) => (
        <li key={`${due.step}${due.side}${due.rung}`} className="border-t border-line py-2">
          <b>
            {due.name}
            {sideAfter(due.side)}
          </b>
          , {rungName(stepOf(program, due.step)!, due.rung)}: {due.asks}{' '}
          {due.asks === 1 ? 'cold ask' : 'asks, the first cold'}
          {due.places.length > 0 &&
            `, from ${due.places.map((place) => PLACE_WORDS[place]).join(', ')}`}. {due.reason}.
        </li>
      ))}
    </ul>
    <p className="mt-2">Each passes when its first answer is light and not tight.</p>
  </section>
)
