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

/** One edge from base to tip; `sign` −1 is the horse's left. A notch is worn out of it by time alone. */
const edge = (sign: number, w: number, { h, notched }: { h: number; notched: boolean }): string => {
  const x = (share: number): number => sign * w * share
  return notched
    ? `C${x(0.25)} 0 ${x(0.47)} ${-0.14 * h} ${x(0.5)} ${-0.34 * h}L${x(0.2)} ${-0.46 * h}L${x(0.49)} ${-0.58 * h}C${x(0.44)} ${-0.78 * h} ${x(0.16)} ${-0.88 * h} 0 ${-h}`
    : `C${x(0.25)} 0 ${x(0.5)} ${-0.16 * h} ${x(0.5)} ${-0.42 * h}C${x(0.5)} ${-0.74 * h} ${x(0.16)} ${-0.88 * h} 0 ${-h}`
}

const outline = (
  side: ScaleHalf['side'],
  w: number,
  { h, notched }: { h: number; notched: boolean },
): string => {
  if (side !== 'none') return `M0 0${edge(side === 'left' ? -1 : 1, w, { h, notched })}Z`
  return `M0 0${edge(-1, w, { h, notched })}M0 0${edge(1, w, { h, notched })}`
}

const Half = ({ half, w, h }: { half: ScaleHalf; w: number; h: number }) => {
  const clip = useId()
  const ink = INK[half.state]
  const path = outline(half.side, w, { h, notched: half.state === 'rusty' })
  const filled = half.state === 'new' ? 0 : Math.max(0.04, half.chance) * h
  const sign = half.side === 'left' ? -1 : 1
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
export const Scale = ({ halves, width, height }: Props) => (
  <g>
    {halves.map((half) => (
      <Half key={half.side} half={half} w={width} h={height} />
    ))}
  </g>
)
