import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { choose } from './choose'
import type { Candidate, Way } from './ways'

const way = (
  kind: Way['kind'],
  minutes: number,
  { worth, first = 0 }: { worth: number; first?: number },
): Way => ({
  kind,
  visits: 1,
  sides: [],
  minutes,
  worth,
  endsWell: false,
  first: Array.from({ length: first }, () => ({}) as Way['first'][number]),
  isLoad: false,
})

const candidate = (ways: readonly Way[]): Candidate => ({ ways, begun: false }) as unknown as Candidate

const ways = fc.array(
  fc
    .record({
      kind: fc.constantFrom('check' as const, 'learn' as const),
      sixths: fc.integer({ min: 1, max: 40 }),
      worth: fc.integer({ min: 1, max: 100 }),
      first: fc.integer({ min: 0, max: 2 }),
    })
    .map(({ kind, sixths, worth, first }) =>
      way(kind, sixths / 6, { worth, first: kind === 'learn' ? first : 0 }),
    ),
  { minLength: 1, maxLength: 3 },
)

const LIMITS = { minutes: 15, checks: 2, learning: 3 }

interface Sum {
  readonly worth: number
  readonly minutes: number
  readonly checks: number
  readonly learning: number
}

/** Every choice there is, by trying them all. */
const allChoices = (candidates: readonly Candidate[]): readonly Sum[] =>
  candidates.reduce<readonly Sum[]>(
    (sums, { ways }) =>
      sums.flatMap((sum) => [
        sum,
        ...ways.map((way) => ({
          worth: sum.worth + way.worth,
          minutes: sum.minutes + way.minutes,
          checks: sum.checks + (way.kind === 'check' ? 1 : way.first.length),
          learning: sum.learning + (way.kind === 'learn' ? 1 : 0),
        })),
      ]),
    [{ worth: 0, minutes: 0, checks: 0, learning: 0 }],
  )

const fits = ({ minutes, checks, learning }: Sum): boolean =>
  minutes <= LIMITS.minutes + 1e-9 && checks <= LIMITS.checks && learning <= LIMITS.learning

describe('the choice', () => {
  it('is the best of all there are, with a first ask wherever one can be had', () => {
    fc.assert(
      fc.property(fc.array(ways, { maxLength: 6 }), (lists) => {
        const candidates = lists.map(candidate)
        const fitting = allChoices(candidates).filter(fits)
        const withCheck = fitting.filter(({ checks }) => checks > 0)
        const best = Math.max(...(withCheck.length > 0 ? withCheck : fitting).map(({ worth }) => worth))
        expect(choose(candidates, LIMITS).worth).toBe(best)
      }),
    )
  })

  it('takes what it says, within the limits', () => {
    fc.assert(
      fc.property(fc.array(ways, { maxLength: 9 }), (lists) => {
        const { taken, worth, minutes } = choose(lists.map(candidate), LIMITS)
        expect(taken.reduce((sum, { way }) => sum + way.worth, 0)).toBe(worth)
        expect(taken.reduce((sum, { way }) => sum + way.minutes, 0)).toBeCloseTo(minutes, 9)
        expect(minutes).toBeLessThanOrEqual(LIMITS.minutes)
        expect(new Set(taken.map(({ candidate }) => candidate)).size).toBe(taken.length)
      }),
    )
  })

  it('is nothing where there are no minutes', () => {
    expect(choose([candidate([way('learn', 3, { worth: 9 })])], { ...LIMITS, minutes: 0 }).taken).toEqual([])
  })
})
