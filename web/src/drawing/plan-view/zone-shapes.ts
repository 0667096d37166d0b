import type { PlaceByHorse, Side } from '@still-pine/core/answer'
import type { Zone } from '@still-pine/core/coverage'
import { halfWidthAt, MIDDLE } from './outline'

/** A zone on one half of the drawing: a piece cut from the outline, or a shape of its own. */
export interface ZoneShape {
  readonly zone: Zone
  /** Cut by the outline of the body. */
  readonly inside: boolean
  readonly path: (sign: 1 | -1) => string
  /** Where its number stands, for the right half. */
  readonly label: readonly [x: number, y: number]
  /** How large its number is written, where there is little room for it. */
  readonly size?: number
}

/** How large a number is written where there is room. */
export const ROOMY = 24

const band =
  (top: number, bottom: number, { inner, outer = 140 }: { inner: number; outer?: number }) =>
  (sign: 1 | -1): string =>
    `M${MIDDLE + sign * inner} ${top}H${MIDDLE + sign * outer}V${bottom}H${MIDDLE + sign * inner}Z`

const oval =
  (x: number, y: number, { rx, ry }: { rx: number; ry: number }) =>
  (sign: 1 | -1): string => {
    const cx = MIDDLE + sign * x
    return `M${cx - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`
  }

const ear = (sign: 1 | -1): string => {
  const x = (dx: number): number => MIDDLE + sign * dx
  return `M${x(20)} 196C${x(30)} 176 ${x(52)} 160 ${x(62)} 158C${x(66)} 176 ${x(56)} 204 ${x(38)} 214Z`
}

const tail = (sign: 1 | -1): string => {
  const x = (dx: number): number => MIDDLE + sign * dx
  return `M${x(0)} 822H${x(12)}C${x(24)} 846 ${x(22)} 876 ${x(8)} 896H${x(0)}Z`
}

const inTheMiddle = (top: number, bottom: number): readonly [number, number] => {
  const y = (top + bottom) / 2
  return [halfWidthAt(y) / 2, y]
}

const STRIP = 24

/** From nose to tail; what lies along the top line stands after what it lies on. */
export const ZONE_SHAPES: readonly ZoneShape[] = [
  { zone: 'muzzle', inside: true, path: band(20, 78, { inner: 0 }), label: [12, 54], size: 20 },
  { zone: 'cheek', inside: true, path: band(78, 190, { inner: 0 }), label: [23, 174], size: 18 },
  { zone: 'forehead', inside: true, path: band(92, 168, { inner: 0, outer: 15 }), label: [8, 128], size: 15 },
  { zone: 'neck', inside: true, path: band(190, 372, { inner: 0 }), label: [24, 290] },
  { zone: 'poll', inside: true, path: band(178, 222, { inner: 0, outer: 17 }), label: [9, 204], size: 15 },
  { zone: 'ear', inside: false, path: ear, label: [46, 184], size: 18 },
  { zone: 'shoulder', inside: true, path: band(372, 482, { inner: 0 }), label: [62, 432] },
  { zone: 'girth', inside: true, path: band(482, 538, { inner: 0 }), label: inTheMiddle(482, 538) },
  { zone: 'belly', inside: true, path: band(538, 640, { inner: 0 }), label: [68, 592] },
  { zone: 'flank', inside: true, path: band(640, 706, { inner: 0 }), label: [66, 676] },
  { zone: 'hip', inside: true, path: band(706, 840, { inner: 0 }), label: [58, 766] },
  {
    zone: 'wither',
    inside: true,
    path: band(382, 474, { inner: 0, outer: STRIP }),
    label: [12, 430],
    size: 20,
  },
  {
    zone: 'back',
    inside: true,
    path: band(474, 706, { inner: 0, outer: STRIP }),
    label: [12, 590],
    size: 20,
  },
  { zone: 'tail', inside: false, path: tail, label: [9, 858], size: 16 },
  { zone: 'front-leg', inside: false, path: oval(128, 436, { rx: 22, ry: 34 }), label: [128, 436] },
  { zone: 'hind-leg', inside: false, path: oval(134, 752, { rx: 22, ry: 36 }), label: [134, 752] },
]

export const SIGNS: readonly (readonly [Extract<Side, 'left' | 'right'>, 1 | -1])[] = [
  ['left', -1],
  ['right', 1],
]

/** Where a person stands, along the edge of the drawing: top and bottom of its post. */
export const PLACE_POSTS: Readonly<Record<PlaceByHorse, readonly [top: number, bottom: number]>> = {
  1: [16, 92],
  2: [106, 200],
  3: [214, 370],
  4: [384, 690],
  5: [704, 884],
}
