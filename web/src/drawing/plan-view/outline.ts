/** Half an animal seen from above, head up: how far its side lies from the middle line, from nose to tail. */
const PROFILE: readonly (readonly [y: number, x: number])[] = [
  [26, 0],
  [28, 15],
  [40, 24],
  [58, 25],
  [78, 22],
  [112, 27],
  [146, 38],
  [166, 39],
  [186, 31],
  [206, 25],
  [250, 29],
  [310, 42],
  [352, 58],
  [380, 80],
  [412, 99],
  [452, 104],
  [492, 96],
  [520, 92],
  [562, 106],
  [606, 113],
  [648, 105],
  [680, 100],
  [716, 110],
  [752, 113],
  [786, 102],
  [812, 76],
  [826, 40],
  [830, 0],
]

export const MIDDLE = 200
export const WIDTH = 400
export const HEIGHT = 900

/** A smooth line through points: each corner is rounded by the neighbours on both sides (Catmull and Rom 1974). */
const smooth = (points: readonly (readonly [number, number])[]): string => {
  const at = (i: number): readonly [number, number] => points[Math.max(0, Math.min(points.length - 1, i))]!
  return points
    .slice(0, -1)
    .map((_, i) => {
      const [x0, y0] = at(i - 1)
      const [x1, y1] = at(i)
      const [x2, y2] = at(i + 1)
      const [x3, y3] = at(i + 2)
      const bend = 6
      return `C${x1 + (x2 - x0) / bend} ${y1 + (y2 - y0) / bend} ${x2 - (x3 - x1) / bend} ${y2 - (y3 - y1) / bend} ${x2} ${y2}`
    })
    .join('')
}

const half = (sign: 1 | -1): readonly (readonly [number, number])[] =>
  PROFILE.map(([y, x]) => [MIDDLE + sign * x, y] as const)

/** The whole outline, round the right side and back up the left. */
export const OUTLINE = `M${MIDDLE} ${PROFILE[0]![0]}${smooth(half(1))}${smooth([...half(-1)].reverse())}Z`

/** How far the side lies from the middle at a height, on straight lines between the points. */
export const halfWidthAt = (y: number): number => {
  const next = PROFILE.findIndex(([py]) => py >= y)
  const [y2, x2] = PROFILE[Math.max(1, next)]!
  const [y1, x1] = PROFILE[Math.max(0, next - 1)]!
  return x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)
}
