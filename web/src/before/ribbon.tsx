import type { Burst, SessionPlan } from '@still-pine/core/plan'

interface Props {
  readonly plan: SessionPlan
  /** The burst whose reasons stand open, counted from 0. */
  readonly chosen: number
  readonly choose: (at: number) => void
}

/** "right 3, left 2": the sides in their order, each with the number of its rung. */
const sidesWords = ({ sides }: Burst): string =>
  sides.map(({ side, rung }) => (side === 'none' ? `rung ${rung}` : `${side} ${rung}`)).join(', ')

/** A length of rope between two knots, as long as the burst. */
const Rope = ({ isChosen }: { isChosen: boolean }) => (
  <svg width="100%" height={14} className="block overflow-visible" aria-hidden="true">
    <line x1={0} x2="100%" y1={7} y2={7} stroke="var(--rope)" strokeWidth={isChosen ? 9 : 5} />
    <line
      x1={4}
      x2="100%"
      y1={7}
      y2={7}
      stroke="var(--ground)"
      strokeWidth={isChosen ? 2.4 : 1.4}
      strokeDasharray="3 5"
    />
    <circle cx={0} cy={7} r={6} fill="var(--ink)" />
  </svg>
)

/** Below this share of the session a length has no room for words: its number stands for it. */
const ROOM_FOR_WORDS = 0.08

/** The session's minutes as one rope, its bursts as lengths of it: what, which side first, how hard; why on touch. */
export const Ribbon = ({ plan, chosen, choose }: Props) => {
  const { bursts } = plan
  const all = bursts.reduce((sum, { minutes }) => sum + minutes, 0)
  return (
    <ol
      aria-label="The session as a ribbon"
      className="no-print flex py-1 pl-1.5 phone:flex-wrap phone:gap-y-2 phone:[--ropes:2] desk:[--ropes:1]"
    >
      {bursts.map((burst, i) => {
        const share = burst.minutes / all
        const hasRoom = share >= ROOM_FOR_WORDS
        return (
          <li
            key={`${burst.step} ${i}`}
            className="min-w-11"
            style={{ flex: `0 1 calc(${share * 100}% * var(--ropes))` }}
          >
            <button
              type="button"
              aria-pressed={i === chosen}
              aria-label={`Burst ${i + 1}: ${burst.name}, ${sidesWords(burst)}, ${Math.round(burst.minutes)} min`}
              className="flex min-h-12 w-full flex-col justify-end text-left"
              onClick={() => choose(i)}
            >
              <span className="flex w-full items-end gap-1.5 pr-2 font-name leading-tight font-bold desk:min-h-10">
                <span className={i === chosen ? '' : 'text-quiet'}>{i + 1}</span>
                {hasRoom && <span className="line-clamp-2 phone:line-clamp-1">{burst.name}</span>}
              </span>
              <Rope isChosen={i === chosen} />
              <span className="w-full min-h-6 truncate pr-2 text-quiet phone:hidden">
                {hasRoom && sidesWords(burst)}
              </span>
            </button>
          </li>
        )
      })}
    </ol>
  )
}
