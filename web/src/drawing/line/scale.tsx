import type { State } from '@still-pine/core/readiness'
import { useId } from 'react'

/** One half of a step's scale, or a whole one. */
export interface ScaleHalf {
  readonly side: 'left' | 'right' | 'none'
  readonly state: State
  readonly chance: number
}

interface Ink {
  readonly stroke: string
  readonly fill: string
  readonly width: number
  readonly dash?: string
}

const INK: Record<State, Ink> = {
  new: { stroke: 'var(--quiet)', fill: 'none', width: 1.4, dash: '1.5 3.2' },
  started: { stroke: 'var(--way)', fill: 'var(--way-fill)', width: 1.2 },
  coming: { stroke: 'var(--way)', fill: 'var(--way-fill)', width: 2.6 },
  solid: { stroke: 'var(--solid)', fill: 'var(--solid)', width: 2.6 },
  rusty: { stroke: 'var(--worn)', fill: 'var(--worn-fill)', width: 2.4 },
  slipped: { stroke: 'var(--worn)', fill: 'var(--worn-fill)', width: 2.4 },
}

/** The outline of one half, base at the origin, tip above it; `sign` −1 is the horse's left. */
const halfPath = (sign: number, w: number, h: number): string => {
  const x = (share: number): number => sign * w * share
  return `M0 0C${x(0.25)} 0 ${x(0.5)} ${-0.16 * h} ${x(0.5)} ${-0.42 * h}C${x(0.5)} ${-0.74 * h} ${x(0.16)} ${-0.88 * h} 0 ${-h}Z`
}

/** The same with a notch out of its edge: worn by time alone. */
const notchedPath = (sign: number, w: number, h: number): string => {
  const x = (share: number): number => sign * w * share
  return `M0 0C${x(0.25)} 0 ${x(0.47)} ${-0.14 * h} ${x(0.5)} ${-0.34 * h}L${x(0.2)} ${-0.46 * h}L${x(0.49)} ${-0.58 * h}C${x(0.44)} ${-0.78 * h} ${x(0.16)} ${-0.88 * h} 0 ${-h}Z`
}

const Half = ({ half, sign, w, h }: { half: ScaleHalf; sign: number; w: number; h: number }) => {
  const clip = useId()
  const ink = INK[half.state]
  const path = half.state === 'rusty' ? notchedPath(sign, w, h) : halfPath(sign, w, h)
  const filled = half.state === 'new' ? 0 : Math.max(0.04, half.chance) * h
  return (
    <g>
      <clipPath id={clip}>
        <rect x={-w} y={-filled} width={2 * w} height={filled + 2} />
      </clipPath>
      <path d={path} fill="var(--panel)" />
      {ink.fill !== 'none' && <path d={path} fill={ink.fill} clipPath={`url(#${clip})`} />}
      <path
        d={path}
        fill="none"
        stroke={ink.stroke}
        strokeWidth={ink.width}
        strokeDasharray={ink.dash}
        strokeLinejoin="round"
      />
      {half.state === 'slipped' && (
        <path
          d={`M${sign * w * 0.02} ${-0.34 * h}L${sign * w * 0.62} ${-0.72 * h}`}
          stroke="var(--ground)"
          strokeWidth={4}
        />
      )}
    </g>
  )
}

interface Props {
  readonly halves: readonly ScaleHalf[]
  readonly width: number
  readonly height: number
}

/** A pair of pine scales, the horse's left half and right half; a whole one where the step has no sides. */
export const Scale = ({ halves, width, height }: Props) => {
  const [one, other] = halves
  if (!one) return null
  const right = other ?? one
  return (
    <g>
      <Half half={one} sign={-1} w={width} h={height} />
      <Half half={right} sign={1} w={width} h={height} />
      {!other && one.state !== 'new' && (
        // An unsided step is one scale: the seam between its halves is covered.
        <line
          y1={-height * 0.06}
          y2={-height * (one.state === 'solid' ? 0.94 : 0.04 + 0.9 * Math.max(0.04, one.chance))}
          stroke={INK[one.state].fill}
          strokeWidth={3.4}
        />
      )}
    </g>
  )
}
