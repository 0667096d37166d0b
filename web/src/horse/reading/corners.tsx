import { count } from '@still-pine/core/answer'
import { TEMPER_ADVICE, upperFirst, type Temper } from '@still-pine/core/readiness'
import { Link } from 'react-router'
import type { Placed } from './plane-option'

const CORNERS: readonly Temper[] = ['worried', 'reactive', 'dull', 'learning', 'soft']

/** What wants work first is named in full; of what is well a number is enough. */
const MOST_NAMED = 8

interface Props {
  readonly horseId: string
  readonly placed: readonly Placed[]
}

/** The corners of the plane that hold anything: what is there, and what to do. */
export const Corners = ({ horseId, placed }: Props) => (
  <dl className="flex flex-col gap-3">
    {CORNERS.map((temper) => {
      const own = placed.filter(({ view }) => view.temper === temper)
      if (own.length === 0) return null
      return (
        <div key={temper} className={`border-l-4 pl-3 ${temper === 'soft' ? 'border-solid' : 'border-act'}`}>
          <dt className="text-lg">
            <b className="font-name">{upperFirst(temper)}</b>, {count(own.length, 'skill')}
          </dt>
          <dd>
            {own.slice(0, MOST_NAMED).map(({ step, side, name }, i) => (
              <span key={`${step}${side}`}>
                {i > 0 && ', '}
                <Link className="underline" to={`/horses/${horseId}/steps/${step}`}>
                  {name}
                  {side === 'none' ? '' : ` ${side}`}
                </Link>
              </span>
            ))}
            {own.length > MOST_NAMED && ` and ${own.length - MOST_NAMED} more`}.
          </dd>
          <dd className="text-quiet">{TEMPER_ADVICE[temper]}</dd>
        </div>
      )
    })}
  </dl>
)
