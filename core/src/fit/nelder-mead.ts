/** A point and what it is worth; less is better. */
interface Vertex {
  readonly at: readonly number[]
  readonly value: number
}

export interface Found extends Vertex {
  readonly evaluations: number
}

const between = (from: readonly number[], to: readonly number[], share: number): readonly number[] =>
  from.map((x, i) => x + share * (to[i]! - x))

const centreOf = (vertices: readonly Vertex[]): readonly number[] =>
  vertices[0]!.at.map((_, i) => vertices.reduce((sum, { at }) => sum + at[i]!, 0) / vertices.length)

/**
 * The least value of a function near a start, without its slopes (Nelder and Mead 1965): the worst corner of a simplex is
 * reflected through the others, further where that goes well, less far where it does not, and all shrink to the best
 * where nothing helps. `sizes` are the edges of the first simplex; it ends after `most` evaluations, or when all corners
 * are worth the same to within `close`.
 */
export const nelderMead = (
  value: (at: readonly number[]) => number,
  start: readonly number[],
  { sizes, most, close = 1e-9 }: { sizes: readonly number[]; most: number; close?: number },
): Found => {
  let evaluations = 0
  const vertexAt = (at: readonly number[]): Vertex => {
    evaluations++
    return { at, value: value(at) }
  }
  let simplex = [
    vertexAt(start),
    ...start.map((_, i) => vertexAt(start.map((x, j) => (i === j ? x + sizes[i]! : x)))),
  ]
  const sorted = (): void => void simplex.sort((a, b) => a.value - b.value)
  sorted()
  while (evaluations < most && simplex.at(-1)!.value - simplex[0]!.value > close) {
    const [best, worst, second] = [simplex[0]!, simplex.at(-1)!, simplex.at(-2)!]
    const centre = centreOf(simplex.slice(0, -1))
    const reflected = vertexAt(between(centre, worst.at, -1))
    const instead = (vertex: Vertex): void => void (simplex[simplex.length - 1] = vertex)
    if (reflected.value < best.value) {
      const further = vertexAt(between(centre, worst.at, -2))
      instead(further.value < reflected.value ? further : reflected)
    } else if (reflected.value < second.value) instead(reflected)
    else {
      const outside = reflected.value < worst.value
      const nearer = vertexAt(between(centre, outside ? reflected.at : worst.at, 0.5))
      if (nearer.value < Math.min(reflected.value, worst.value)) instead(nearer)
      else simplex = [best, ...simplex.slice(1).map(({ at }) => vertexAt(between(best.at, at, 0.5)))]
    }
    sorted()
  }
  return { ...simplex[0]!, evaluations }
}
