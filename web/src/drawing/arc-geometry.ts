export const CENTRE = { x: 180, y: 165 }
export const RADIUS = 120

/** How the four phases are drawn, lightest first. */
export const PHASE_WIDTH = 32
export const PHASE_COLOURS = ['var(--mark-0)', 'var(--mark-1)', 'var(--mark-2)', 'var(--mark-3)'] as const

const FROM = -210
const SWEEP = 240

export interface Point {
  readonly x: number
  readonly y: number
}

export const pointAt = (degrees: number, radius: number): Point => {
  const radians = (degrees * Math.PI) / 180
  return { x: CENTRE.x + radius * Math.cos(radians), y: CENTRE.y + radius * Math.sin(radians) }
}

/** The path of a stretch of the arc. */
export const stretch = (from: number, to: number): string => {
  const a = pointAt(from, RADIUS)
  const b = pointAt(to, RADIUS)
  return `M${a.x} ${a.y}A${RADIUS} ${RADIUS} 0 ${to - from > 180 ? 1 : 0} 1 ${b.x} ${b.y}`
}

/** Where on the arc a moment lies, of a whole that ends with it; later ones stay at its end. */
export const degreesAt = (seconds: number, end: number): number =>
  FROM + (SWEEP * Math.min(Math.max(0, seconds), end)) / end

/** A stretch of the arc, degrees. */
export interface Span {
  readonly from: number
  readonly to: number
}

const GAP_DEGREES = 2

/** Where a phase lies, with half a gap at each end; a phase of no length ends before it begins. */
export const spanOfPhase = (limits: readonly number[], phase: number, end: number): Span => ({
  from: degreesAt(phase === 0 ? 0 : limits[phase - 1]!, end) + GAP_DEGREES / 2,
  to: degreesAt(limits[phase]!, end) - GAP_DEGREES / 2,
})

/** The moment under a point, of a whole that ends with the arc. */
export const secondsAt = ({ x, y }: Point, end: number): number => {
  const degrees = (Math.atan2(y - CENTRE.y, x - CENTRE.x) * 180) / Math.PI
  // The gap of the arc lies below: its left half belongs to the start, its right half to the end.
  const from = (((degrees - FROM) % 360) + 360) % 360
  const within = from > SWEEP ? (from > SWEEP + (360 - SWEEP) / 2 ? 0 : SWEEP) : from
  return (within / SWEEP) * end
}
