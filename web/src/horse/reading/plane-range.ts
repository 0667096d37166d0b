/** How much of an axis of chances is shown: from `min` to 1. */
export interface Shown {
  readonly light: number
  readonly calm: number
}

export const WHOLE_PLANE: Shown = { light: 0, calm: 0 }

interface Chances {
  readonly chance: number
  readonly calmChance: number
}

/** So many of the marks are to lie in what is shown. */
const MOST_OF_THEM = 0.9

/** Fewer marks than this have no place where most lie. */
const ENOUGH = 10

/** The greatest tenth under which no more than a tenth of the values lie. */
const floorOf = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const at = sorted[Math.floor((1 - MOST_OF_THEM) * sorted.length)] ?? 0
  return Math.floor(at * 10 - 1e-9) / 10
}

/** The part of the plane where most of the marks lie; the whole of it for few, or where they lie all over. */
export const whereMostLie = (marks: readonly Chances[]): Shown =>
  marks.length < ENOUGH
    ? WHOLE_PLANE
    : {
        light: Math.max(0, floorOf(marks.map(({ chance }) => chance))),
        calm: Math.max(0, floorOf(marks.map(({ calmChance }) => calmChance))),
      }

/** How many marks lie outside what is shown. */
export const outside = (marks: readonly Chances[], { light, calm }: Shown): number =>
  marks.filter(({ chance, calmChance }) => chance < light || calmChance < calm).length
