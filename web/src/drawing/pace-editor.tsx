import type { Pace } from '@still-pine/core/answer'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import {
  degreesAt,
  PHASE_COLOURS,
  PHASE_WIDTH,
  pointAt,
  RADIUS,
  secondsAt,
  spanOfPhase,
  stretch,
} from './arc-geometry'
import { PhaseWords } from './phase-words'

/** Room beyond the last phase, so that it can be dragged out as well. */
const ROOM = 1.25

const tenths = (seconds: number): number => Math.round(seconds * 10) / 10

interface Props {
  readonly pace: Pace
  readonly onMove: (border: number, seconds: number) => void
}

/** The arc of an ask with its four borders as handles: dragged, or moved with the arrow keys. */
export const PaceEditor = ({ pace, onMove }: Props) => {
  const svg = useRef<SVGSVGElement>(null)
  const [dragged, setDragged] = useState<{ border: number; seconds: number; end: number } | null>(null)
  const end = dragged?.end ?? pace.limits[3] * ROOM
  const limits = pace.limits.map((limit, i) => (i === dragged?.border ? dragged.seconds : limit))
  const under = (event: PointerEvent): number => {
    const matrix = svg.current!.getScreenCTM()!.inverse()
    return secondsAt(new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix), end)
  }
  const savedBetween = (border: number, seconds: number): number => {
    const least = (pace.limits[border - 1] ?? 0) + 0.1
    const most = (pace.limits[border + 1] ?? Infinity) - 0.1
    return tenths(Math.min(most, Math.max(least, seconds)))
  }
  const press = (border: number) => (event: KeyboardEvent) => {
    const by = { ArrowRight: 0.1, ArrowUp: 0.1, ArrowLeft: -0.1, ArrowDown: -0.1 }[event.key]
    if (by === undefined) return
    event.preventDefault()
    onMove(border, savedBetween(border, pace.limits[border]! + by * (event.shiftKey ? 5 : 1)))
  }
  const drop = (): void => {
    if (dragged && dragged.seconds !== pace.limits[dragged.border]) onMove(dragged.border, dragged.seconds)
    setDragged(null)
  }
  return (
    <svg
      ref={svg}
      viewBox="-40 10 440 256"
      className="w-full max-w-2xl touch-none"
      role="group"
      aria-label="Pace of an ask"
    >
      {limits.map((_, i) => {
        const span = spanOfPhase(limits, i, end)
        return (
          <g key={i}>
            {span.to > span.from && (
              <path
                d={stretch(span.from, span.to)}
                fill="none"
                stroke={PHASE_COLOURS[i]}
                strokeWidth={PHASE_WIDTH}
              />
            )}
            <PhaseWords words={pace.phases[i]!} span={span} />
          </g>
        )
      })}
      {limits.map((limit, i) => {
        const at = degreesAt(limit, end)
        const knob = pointAt(at, RADIUS)
        const label = pointAt(at, RADIUS - 36)
        return (
          <g
            key={i}
            role="slider"
            tabIndex={0}
            aria-label={`Where “${pace.phases[i]}” ends, seconds`}
            aria-valuemin={0}
            aria-valuemax={tenths(end)}
            aria-valuenow={limit}
            aria-valuetext={`${limit} seconds`}
            className="cursor-grab outline-offset-2"
            onKeyDown={press(i)}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId)
              setDragged({ border: i, seconds: limit, end })
            }}
            onPointerMove={(event) => {
              if (dragged?.border === i) setDragged({ ...dragged, seconds: savedBetween(i, under(event)) })
            }}
            onPointerUp={drop}
            onPointerCancel={() => setDragged(null)}
          >
            <circle cx={knob.x} cy={knob.y} r={22} fill="transparent" />
            <circle cx={knob.x} cy={knob.y} r={11} fill="var(--panel)" stroke="var(--ink)" strokeWidth={4} />
            <text
              x={label.x}
              y={label.y}
              fontSize={16}
              fontWeight={700}
              textAnchor="middle"
              dominantBaseline="middle"
              fill="var(--ink)"
            >
              {limit}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
