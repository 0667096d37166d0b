import type { Pace } from '@still-pine/core/answer'
import type { Sample } from '@still-pine/core/feel'
import { memo } from 'react'
import {
  degreesAt,
  PHASE_COLOURS,
  PHASE_WIDTH,
  pointAt,
  RADIUS,
  spanOfPhase,
  stretch,
  type Span,
} from './arc-geometry'
import { PhaseWords } from './phase-words'

interface Props {
  readonly pace: Pace
  /** Seconds since the cue, press lag already taken off; `null` when nothing runs. */
  readonly seconds: number | null
  /** The pull on the rope so far, drawn inside the arc where a gauge is on it. */
  readonly pull?: readonly Sample[]
}

/** A pull of this many newtons reaches the inner edge of the drawing; more stays there. */
const FULL_PULL_NEWTONS = 60
const PULL_FROM = RADIUS - 26
const PULL_DEPTH = 50

const pullPath = (pull: readonly Sample[], degrees: (s: number) => number): string =>
  pull
    .map((sample) => {
      const depth = PULL_DEPTH * Math.min(1, sample.newtons / FULL_PULL_NEWTONS)
      const { x, y } = pointAt(degrees(sample.at), PULL_FROM - depth)
      return `${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('L')

interface PhaseProps extends Span {
  readonly words: string
  readonly filledTo: number
  readonly colour: string
}

/** One stretch of the arc; remembered, for only one of them fills at a time. */
const Phase = memo(({ words, from, to, filledTo, colour }: PhaseProps) => (
  <g>
    <path
      d={stretch(from, to)}
      fill="none"
      stroke="var(--line)"
      strokeOpacity={0.4}
      strokeWidth={PHASE_WIDTH}
    />
    {filledTo > from && (
      <path d={stretch(from, filledTo)} fill="none" stroke={colour} strokeWidth={PHASE_WIDTH} />
    )}
    <PhaseWords words={words} span={{ from, to }} />
  </g>
))

/** Fills through the phases of the school's pace; its words stand beside each phase. */
export const PaceArc = ({ pace, seconds, pull = [] }: Props) => {
  const end = pace.limits[3]
  const degrees = (s: number): number => degreesAt(s, end)
  const hand = seconds === null ? null : degrees(seconds)
  return (
    <svg viewBox="-40 10 440 246" className="h-full max-h-full w-full flat:hidden" aria-hidden="true">
      {pace.limits.map((limit, i) => {
        const { from, to } = spanOfPhase(pace.limits, i, end)
        const filledTo = hand === null ? from : Math.max(from, Math.min(hand, to))
        return (
          <Phase
            key={limit}
            words={pace.phases[i]!}
            from={from}
            to={to}
            filledTo={filledTo}
            colour={PHASE_COLOURS[i]!}
          />
        )
      })}
      {pull.length > 1 && (
        <path d={`M${pullPath(pull, degrees)}`} fill="none" stroke="var(--ink)" strokeWidth={3} />
      )}
      {hand !== null && (
        <line
          x1={pointAt(hand, RADIUS - 24).x}
          y1={pointAt(hand, RADIUS - 24).y}
          x2={pointAt(hand, RADIUS + 20).x}
          y2={pointAt(hand, RADIUS + 20).y}
          stroke="var(--ink)"
          strokeWidth={4}
        />
      )}
    </svg>
  )
}
