import type { Line } from '@still-pine/contract'
import { Link } from 'react-router'
import { withDays } from './words'

interface Props {
  readonly horseId: string
  readonly shut: Line['shut']
  /** Whether gates that are shut are told too; the page of a gate tells of itself. */
  readonly gates?: boolean
}

const TONE: Partial<Record<Line['shut'][number]['rule'], string>> = {
  'veterinary-hold': 'border-stop',
  incident: 'border-stop',
  block: 'border-worn',
}

/** What is shut to this horse today, why, and what opens it: once, on top of every page of it. */
export const ShutList = ({ horseId, shut, gates = true }: Props) => {
  const told = shut.filter(({ gate }) => gates || gate === null)
  if (told.length === 0) return null
  return (
    <ul className="flex flex-col gap-1" aria-label="Shut today">
      {told.map(({ what, rule, gate, because, opens }) => (
        <li
          key={`${what}${because}`}
          className={`border-l-8 bg-panel px-3 py-1.5 text-lg ${TONE[rule] ?? 'border-ink'}`}
        >
          <b className="font-name">
            {gate === null ? what : <Link to={`/horses/${horseId}/gates/${gate}`}>{what} gate</Link>}
          </b>
          {' is shut. '}
          {withDays(because)} <span className="block">Opens with: {withDays(opens)}</span>
        </li>
      ))}
    </ul>
  )
}
