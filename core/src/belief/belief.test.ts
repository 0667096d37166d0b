import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, ASK, day, light, normalDraw, seeded, times } from '../../tests/logs'
import type { Answer, Grade } from '../answer'
import {
  afterRest,
  calmAtMost,
  coldChances,
  difficulty,
  freshBelief,
  gaussian,
  gradeAtMost,
  halfLifeDays,
  keptShare,
  meanAbility,
  meanOf,
  priorMeanWith,
  quantile,
  restedTo,
  STANDARD_MODEL as MODEL,
  withAnswer,
} from './index'

const sum = (values: Float64Array): number => values.reduce((total, value) => total + value, 0)

describe('the response form', () => {
  // Samejima, F. (1969), Estimation of latent ability using a response pattern of graded scores: the boundary curve
  // of a category is a logistic one, half way up at its cut and rising there by a quarter of the slope; a category's
  // probability is the difference of two neighbouring curves.
  const published = (theta: number, hardness: number, k: number): number => {
    const boundary = (cut: number): number => 1 / (1 + Math.exp(-2 * (theta - cut - hardness)))
    const cuts = [2.4, 0, -1.3, -2.6]
    const upper = k === 4 ? 1 : boundary(cuts[k]!)
    const lower = k === 0 ? 0 : boundary(cuts[k - 1]!)
    return upper - lower
  }

  it.each([-4, -2.2, 0, 1.1, 3])('gives the published category probabilities at ability %f', (theta) => {
    const atMost = (k: Grade): number => gradeAtMost(MODEL, k, { ability: theta, hardness: 0.4 })
    const own = ([0, 1, 2, 3, 4] as const).map((k) => atMost(k) - (k === 0 ? 0 : atMost((k - 1) as Grade)))
    own.forEach((p, k) => expect(p).toBeCloseTo(published(theta, 0.4, k), 12))
    expect(own.reduce((a, b) => a + b)).toBeCloseTo(1, 12)
  })

  it('is half way up at each cut, rising by a quarter of the slope', () => {
    MODEL.gradeCuts.forEach((cut, k) => {
      expect(gradeAtMost(MODEL, k as Grade, { ability: cut, hardness: 0 })).toBeCloseTo(0.5, 12)
      const rise =
        gradeAtMost(MODEL, k as Grade, { ability: cut + 1e-5, hardness: 0 }) -
        gradeAtMost(MODEL, k as Grade, { ability: cut - 1e-5, hardness: 0 })
      expect(rise / 2e-5).toBeCloseTo(MODEL.slope / 4, 6)
    })
    expect(calmAtMost(MODEL, 1, { ability: 0, hardness: 0 })).toBeCloseTo(0.5, 12)
    expect(calmAtMost(MODEL, 2, { ability: -9, hardness: 0 })).toBe(1)
  })

  it('makes a rung and a cold ask harder by their steps', () => {
    expect(difficulty(MODEL, 1, { requiredRung: 3, cold: false })).toBeCloseTo(-1.4)
    expect(difficulty(MODEL, 4, { requiredRung: 3, cold: true })).toBeCloseTo(1.1)
  })
})

describe('the grid', () => {
  it('holds a normal distribution to its mean and its percentiles', () => {
    const density = gaussian({ mean: -0.5, sd: 1.2 })
    expect(sum(density)).toBeCloseTo(1, 12)
    expect(meanOf(density)).toBeCloseTo(-0.5, 6)
    // 1.2815516 is the standard normal's 90th percentile (Abramowitz and Stegun 1964, table 26.5).
    expect(quantile(density, 0.9)).toBeCloseTo(-0.5 + 1.2 * 1.2815516, 2)
    expect(quantile(density, 0.1)).toBeCloseTo(-0.5 - 1.2 * 1.2815516, 2)
  })
})

describe('rest', () => {
  it('has the half-life of the days worked, up to eight years', () => {
    expect(halfLifeDays(MODEL, 0)).toBe(240)
    expect(halfLifeDays(MODEL, 4)).toBe(720)
    expect(halfLifeDays(MODEL, 400)).toBe(2920)
    expect(keptShare(MODEL, 240, 0)).toBeCloseTo(0.5, 12)
  })

  it('moves the mean and the spread as an Ornstein–Uhlenbeck step does', () => {
    const share = keptShare(MODEL, 120, 3)
    const rested = afterRest(MODEL, gaussian({ mean: 1, sd: 0.4 }), {
      prior: MODEL.priorAbility,
      days: 120,
      daysWorked: 3,
    })
    expect(meanOf(rested)).toBeCloseTo(-2.2 + 3.2 * share, 3)
    const spread = Math.sqrt(rested.reduce((v, w, i) => v + w * (-7 + i * 0.05 - meanOf(rested)) ** 2, 0))
    expect(spread).toBeCloseTo(Math.sqrt((0.4 * share) ** 2 + 1.44 * (1 - share ** 2)), 2)
  })

  it('composes over gaps and does nothing in no time', () => {
    const start = gaussian({ mean: 1.5, sd: 0.5 })
    const once = afterRest(MODEL, start, { prior: MODEL.priorAbility, days: 90, daysWorked: 2 })
    const twice = afterRest(
      MODEL,
      afterRest(MODEL, start, { prior: MODEL.priorAbility, days: 30, daysWorked: 2 }),
      { prior: MODEL.priorAbility, days: 60, daysWorked: 2 },
    )
    expect(meanOf(twice)).toBeCloseTo(meanOf(once), 2)
    expect(afterRest(MODEL, start, { prior: MODEL.priorAbility, days: 0, daysWorked: 2 })).toBe(start)
  })
})

describe('the filter', () => {
  /** An independent computation: simulated paths of the same process, weighted by the likelihood of the log. */
  const byImportanceSampling = (log: readonly Answer[], paths: number) => {
    const draw = seeded(20260302)
    const logWeights: number[] = []
    const ends: number[] = []
    for (let path = 0; path < paths; path++) {
      let theta = -2.2 + 1.2 * normalDraw(draw)
      let logWeight = 0
      let last: string | null = null
      let days = 0
      for (const one of log) {
        const cold = one.day !== last
        if (cold && last !== null) {
          const gap = (Date.parse(one.day) - Date.parse(last)) / 86_400_000
          const share = 2 ** (-gap / (240 * (1 + 0.5 * days)))
          theta = -2.2 + (theta + 2.2) * share + 1.2 * Math.sqrt(1 - share * share) * normalDraw(draw)
        }
        if (cold) days += 1
        last = one.day
        const s = 0.7 * (one.rung - 3) + (cold ? 0.4 : 0)
        const boundary = (k: number): number =>
          k < 0 ? 0 : k > 3 ? 1 : 1 / (1 + Math.exp(-2 * (theta - [2.4, 0, -1.3, -2.6][k]! - s)))
        logWeight += Math.log(boundary(one.grade) - boundary(one.grade - 1))
        theta += 0.06 + 0.15 * normalDraw(draw)
      }
      logWeights.push(logWeight)
      ends.push(theta)
    }
    const top = Math.max(...logWeights)
    const weights = logWeights.map((w) => Math.exp(w - top))
    const total = weights.reduce((a, b) => a + b)
    const mean = weights.reduce((m, w, i) => m + w * ends[i]!, 0) / total
    return { mean, logLikelihood: top + Math.log(total / paths) }
  }

  it('agrees with importance sampling of simulated paths', () => {
    const grades = [2, 1, 1, 3, 1, 1, 0, 2, 1] as const
    const log = grades.map((grade, i) =>
      answer({ day: day([0, 0, 0, 3, 3, 3, 40, 40, 40][i]!), rung: 2 + (i % 2), grade }),
    )
    const belief = log.reduce(
      (now, one) => withAnswer(MODEL, ASK, { belief: now, answer: one }),
      freshBelief(MODEL),
    )
    const sampled = byImportanceSampling(log, 60_000)
    expect(meanAbility(belief)).toBeCloseTo(sampled.mean, 1)
    expect(Math.abs(meanAbility(belief) - sampled.mean)).toBeLessThan(0.03)
    expect(Math.abs(belief.logLikelihood - sampled.logLikelihood)).toBeLessThan(0.05)
  })

  const anyAnswer = fc.record({
    rung: fc.integer({ min: 1, max: 4 }),
    grade: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const, 4 as const),
    calm: fc.constantFrom(null, 0 as const, 1 as const, 2 as const),
    gap: fc.integer({ min: 0, max: 400 }),
    byChance: fc.boolean(),
  })

  it('stays a distribution whatever is answered, and a harder rung is never likelier', () => {
    fc.assert(
      fc.property(fc.array(anyAnswer, { minLength: 1, maxLength: 25 }), (list) => {
        let at = 0
        const belief = list.reduce((now, { gap, ...one }) => {
          at += gap
          return withAnswer(MODEL, ASK, { belief: now, answer: answer({ ...one, day: day(at) }) })
        }, freshBelief(MODEL))
        expect(sum(belief.ability)).toBeCloseTo(1, 9)
        expect(sum(belief.calm)).toBeCloseTo(1, 9)
        const rested = restedTo(MODEL, belief, day(at + 5))
        const chances = [1, 2, 3, 4].map((rung) => coldChances(MODEL, ASK, { rested, rung }))
        chances.forEach(({ chance, low, high }, i) => {
          expect(low).toBeLessThanOrEqual(high)
          if (i > 0) expect(chance).toBeLessThanOrEqual(chances[i - 1]!.chance)
        })
      }),
      { numRuns: 60 },
    )
  })

  it('believes more after a lighter answer, and a by-chance one counts half', () => {
    const after = (change: Partial<Answer>): number =>
      meanAbility(withAnswer(MODEL, ASK, { belief: freshBelief(MODEL), answer: answer(change) }))
    expect(after({ grade: 0 })).toBeGreaterThan(after({ grade: 1 }))
    expect(after({ grade: 1 })).toBeGreaterThan(after({ grade: 2 }))
    expect(after({ grade: 1, byChance: true })).toBeLessThan(after({ grade: 1 }))
    expect(after({ grade: 1, byChance: true })).toBeCloseTo(after({ grade: 1, recalled: true }), 12)
  })

  it('forgets one light answer in ten years', () => {
    const belief = withAnswer(MODEL, ASK, { belief: freshBelief(MODEL), answer: answer(light()) })
    expect(
      coldChances(MODEL, ASK, { rested: restedTo(MODEL, belief, day(3650)), rung: 3 }).chance,
    ).toBeCloseTo(0.042, 3)
  })

  it('keeps the same belief however the same evidence is grouped into calls', () => {
    const log = times(6, (i) => answer({ day: day(i), grade: (i % 3) as Grade }))
    const whole = log.reduce(
      (now, one) => withAnswer(MODEL, ASK, { belief: now, answer: one }),
      freshBelief(MODEL),
    )
    const half = log
      .slice(0, 3)
      .reduce((now, one) => withAnswer(MODEL, ASK, { belief: now, answer: one }), freshBelief(MODEL))
    const rest = log.slice(3).reduce((now, one) => withAnswer(MODEL, ASK, { belief: now, answer: one }), half)
    expect(rest).toEqual(whole)
  })
})

describe('what carries over', () => {
  it('moves the prior by the share: 0.5 of a source at 1.8 gives −0.2', () => {
    expect(priorMeanWith(MODEL, [{ share: 0.5, mean: 1.8 }])).toBeCloseTo(-0.2, 12)
  })

  it('leaves the prior where there is no source', () => expect(priorMeanWith(MODEL, [])).toBe(-2.2))

  it('scales shares of more than 0.6 down to it', () => {
    // By hand: 0.4 and 0.4 become 0.3 and 0.3; −2.2 + 0.3 · 4.2 + 0.3 · 1.2 = −0.58.
    expect(
      priorMeanWith(MODEL, [
        { share: 0.4, mean: 2 },
        { share: 0.4, mean: -1 },
      ]),
    ).toBeCloseTo(-0.58, 12)
  })

  it('can lower a prior too', () => {
    expect(priorMeanWith(MODEL, [{ share: 0.4, mean: -3.2 }])).toBeCloseTo(-2.6, 12)
  })
})
