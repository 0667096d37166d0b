import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, ASK, day, light, normalDraw, seeded, times } from '../../tests/logs'
import type { Answer, Grade } from '../answer'
import {
  afterRest,
  askedOn,
  calmAtMost,
  CELL,
  coldChances,
  difficulty,
  freshBelief,
  gaussian,
  gradeAtMost,
  GRID,
  halfLifeDays,
  retention,
  learntFrom,
  meanAbility,
  meanOf,
  momentsOf,
  narrowed,
  POINTS,
  quantile,
  restedTo,
  move,
  STANDARD_MODEL as MODEL,
  startMeanWith,
  unknownHorse,
  withAnswer,
  type Density,
  type TrackOfHorse,
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

/** The same two passes, written as they are defined. */
const naivelyShifted = (density: Density, by: (i: number) => number): Density => {
  const moved = new Float64Array(GRID.size)
  density.forEach((mass, i) => {
    const to = i + by(i) / CELL
    for (const [at, share] of [
      [Math.floor(to), 1 - (to - Math.floor(to))],
      [Math.floor(to) + 1, to - Math.floor(to)],
    ] as const)
      moved[Math.min(GRID.size - 1, Math.max(0, at))]! += mass * share
  })
  return moved
}

const naivelySpread = (density: Density, sd: number): Density => {
  const sigma = Math.max(sd, CELL / 2)
  const reach = Math.floor((8 * sigma) / CELL)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, j) =>
    Math.exp(-0.5 * (((j - reach) * CELL) / sigma) ** 2),
  )
  const total = kernel.reduce((a, b) => a + b)
  const moved = new Float64Array(GRID.size)
  density.forEach((mass, i) =>
    kernel.forEach((weight, j) => {
      moved[Math.min(GRID.size - 1, Math.max(0, i + j - reach))]! += (mass * weight) / total
    }),
  )
  return moved
}

const expectSame = (one: Density, other: Density): void =>
  one.forEach((mass, i) => expect(Math.abs(mass - other[i]!)).toBeLessThan(1e-10))

describe('a move', () => {
  it('is what its naive twin makes of it, at the edges of the grid too', () => {
    fc.assert(
      fc.property(
        fc.record({
          mean: fc.double({ min: -7, max: 7, noNaN: true }),
          sd: fc.double({ min: 0.03, max: 2, noNaN: true }),
          by: fc.double({ min: -2, max: 2, noNaN: true }),
          wide: fc.double({ min: 0, max: 2, noNaN: true }),
        }),
        ({ mean, sd, by, wide }) => {
          const density = gaussian({ mean, sd })
          const table = POINTS.map((_, i) => Math.cos(i / 40))
          const moved = move(density, { times: by, table, plus: by / 3 }, wide)
          const uneven = (i: number): number => by * table[i]! + by / 3
          expectSame(moved, naivelySpread(naivelyShifted(density, uneven), wide))
        },
      ),
      { numRuns: 60 },
    )
  })

  it('keeps all mass, adds its shift to the mean and its square to the variance', () => {
    const density = gaussian({ mean: -1, sd: 0.6 })
    const moved = move(density, { times: 0, table: POINTS, plus: 0.37 }, 0.45)
    const { mean, variance } = momentsOf(moved)
    expect(sum(moved)).toBeCloseTo(1, 9)
    expect(mean).toBeCloseTo(-0.63, 6)
    // Sharing a mass between two points a cell apart adds up to a quarter of the cell's square.
    expect(Math.abs(variance - (0.6 ** 2 + 0.45 ** 2))).toBeLessThan(CELL ** 2 / 4 + 1e-9)
  })
})

describe('rest', () => {
  const START = { mean: -2.2, sd: 1.2, density: gaussian({ mean: -2.2, sd: 1.2 }) }

  it('has the half-life of the days worked, up to eight years', () => {
    expect(halfLifeDays(MODEL, 0)).toBe(240)
    expect(halfLifeDays(MODEL, 4)).toBe(720)
    expect(halfLifeDays(MODEL, 400)).toBe(2920)
    expect(retention(MODEL, 240, 0)).toBeCloseTo(0.5, 12)
  })

  it('moves the mean and the spread as an Ornstein–Uhlenbeck step does', () => {
    const share = retention(MODEL, 120, 3)
    const rested = afterRest(gaussian({ mean: 1, sd: 0.4 }), share, { ...START, setBack: 0 })
    const { mean, variance } = momentsOf(rested)
    expect(mean).toBeCloseTo(-2.2 + 3.2 * share, 3)
    expect(Math.sqrt(variance)).toBeCloseTo(Math.sqrt((0.4 * share) ** 2 + 1.44 * (1 - share ** 2)), 2)
  })

  it('composes over gaps', () => {
    const density = gaussian({ mean: 1.5, sd: 0.5 })
    const over = (from: Density, days: number): Density =>
      afterRest(from, retention(MODEL, days, 2), { ...START, setBack: 0 })
    expect(meanOf(over(over(density, 30), 60))).toBeCloseTo(meanOf(over(density, 90)), 2)
  })

  it('leaves the small chance that everything is undone', () => {
    const rested = afterRest(gaussian({ mean: 3, sd: 0.1 }), 1, { ...START, setBack: 0.005 })
    // Far below where it stood there is nothing but the set-back: half of it below the start's mean.
    const below = rested.reduce((mass, weight, i) => mass + (POINTS[i]! < -2.2 - CELL / 2 ? weight : 0), 0)
    expect(below).toBeCloseTo(0.0025, 4)
  })
})

const nothing = (): TrackOfHorse => ({
  belief: freshBelief(MODEL, unknownHorse(MODEL)),
  horse: unknownHorse(MODEL),
})

const afterOne = (before: TrackOfHorse, one: Answer): TrackOfHorse =>
  withAnswer(MODEL, ASK, {
    belief: before.belief,
    horse: askedOn(MODEL, before.horse, { track: '', day: one.day }),
    answer: one,
  })

const after = (log: readonly Answer[], before = nothing()): TrackOfHorse => log.reduce(afterOne, before)

describe('the filter', () => {
  interface Path {
    theta: number
    readonly talent: number
    readonly speed: number
    logWeight: number
  }

  /** An independent computation: simulated horses with talent and speed drawn, weighted by the likelihood of the log. */
  const byImportanceSampling = (log: readonly Answer[], paths: number) => {
    const draw = seeded(20260302)
    const all = times(paths, (): Path => {
      const talent = 1.5 * normalDraw(draw)
      const path = { theta: -2.2 + talent + 0.8 * normalDraw(draw), talent, speed: 0, logWeight: 0 }
      return { ...path, speed: Math.min(1, Math.max(0.1, 0.35 + 0.15 * normalDraw(draw))) }
    })
    for (const path of all) {
      let last: string | null = null
      let inBurst = 0
      for (const one of log) {
        const cold = one.day !== last
        inBurst = cold ? 1 : inBurst + 1
        last = one.day
        const s = 0.7 * (one.rung - 3) + (cold ? 0.4 : 0)
        const atMost = (k: number): number =>
          k < 0 ? 0 : k > 3 ? 1 : 1 / (1 + Math.exp(-2 * (path.theta - [2.4, 0, -1.3, -2.6][k]! - s)))
        path.logWeight += Math.log(atMost(one.grade) - atMost(one.grade - 1))
        const p = atMost(1)
        const gain = p < 0.15 ? 0 : 4 * p * (1 - p) * 0.85 ** (inBurst - 1)
        path.theta += path.speed * gain + 0.15 * normalDraw(draw)
      }
    }
    const top = all.reduce((most, { logWeight }) => Math.max(most, logWeight), -Infinity)
    const weights = all.map(({ logWeight }) => Math.exp(logWeight - top))
    const total = weights.reduce((a, b) => a + b)
    const mean = (of: (path: Path) => number): number =>
      all.reduce((m, path, i) => m + (weights[i]! * of(path)) / total, 0)
    return {
      theta: mean(({ theta }) => theta),
      talent: mean(({ talent }) => talent),
      speed: mean(({ speed }) => speed),
      logLikelihood: top + Math.log(total / paths),
    }
  }

  it('agrees with importance sampling of simulated horses whose talent and speed are drawn', () => {
    // Three days, one after the other: too short a rest to wear anything the sampling leaves out.
    const grades = [3, 3, 2, 2, 1, 2, 1, 1, 1, 1, 0, 1] as const
    const log = grades.map((grade, i) =>
      answer({ day: day(Math.floor(i / 4)), rung: 2 + (i % 2), grade, calm: null }),
    )
    const { belief, horse } = after(log)
    const sampled = byImportanceSampling(log, 200_000)
    expect(Math.abs(meanAbility(belief) - sampled.theta)).toBeLessThan(0.08)
    expect(Math.abs(horse.talent.mean - sampled.talent)).toBeLessThan(0.12)
    expect(Math.abs(horse.speed.mean - sampled.speed)).toBeLessThan(0.02)
    expect(Math.abs(belief.logLikelihood - sampled.logLikelihood)).toBeLessThan(0.15)
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
        const log = list.map(({ gap, ...one }) => answer({ ...one, day: day((at += gap)) }))
        const { belief, horse } = after(log)
        expect(sum(belief.ability)).toBeCloseTo(1, 9)
        expect(sum(belief.calm)).toBeCloseTo(1, 9)
        expect(horse.speed.mean).toBeGreaterThanOrEqual(0.1)
        expect(horse.speed.mean).toBeLessThanOrEqual(1)
        for (const { mean, variance } of [horse.talent, horse.ease, horse.speed]) {
          expect(Number.isFinite(mean)).toBe(true)
          expect(variance).toBeGreaterThanOrEqual(0.001)
          expect(variance).toBeLessThanOrEqual(1.5 ** 2)
        }
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

  it('stays in range over what no real log holds', () => {
    const always = (change: Partial<Answer>, n = 400): TrackOfHorse =>
      after(times(n, (i) => answer({ day: day(Math.floor(i / 5)), ...change })))
    const ends = [
      always({ grade: 4, calm: 2 }),
      always({ grade: 0, calm: 0 }),
      always({ calm: 2 }),
      always({ recalled: true }),
      after([answer(light()), answer({ day: day(3650), ...light() })]),
    ]
    for (const { belief, horse } of ends) {
      const { chance, calmChance } = coldChances(MODEL, ASK, { rested: belief, rung: 3 })
      for (const value of [chance, calmChance]) {
        expect(value).toBeGreaterThanOrEqual(0)
        expect(value).toBeLessThanOrEqual(1)
      }
      expect(horse.speed.mean).toBeGreaterThanOrEqual(0.1)
      expect(horse.speed.mean).toBeLessThanOrEqual(1)
      expect(Math.abs(horse.talent.mean)).toBeLessThan(10)
    }
  })

  it('believes more after a lighter answer, and a by-chance one counts half', () => {
    const mean = (change: Partial<Answer>): number => meanAbility(after([answer(change)]).belief)
    expect(mean({ grade: 0 })).toBeGreaterThan(mean({ grade: 1 }))
    expect(mean({ grade: 1 })).toBeGreaterThan(mean({ grade: 2 }))
    expect(mean({ grade: 1, byChance: true })).toBeLessThan(mean({ grade: 1 }))
    expect(mean({ grade: 1, byChance: true })).toBeCloseTo(mean({ grade: 1, recalled: true }), 12)
  })

  it('forgets one light answer in ten years', () => {
    const { belief } = after([answer(light())])
    const rested = restedTo(MODEL, belief, day(3650))
    expect(coldChances(MODEL, ASK, { rested, rung: 3 }).chance).toBeCloseTo(0.088, 3)
  })

  it('keeps the same belief however the same evidence is grouped into calls', () => {
    const log = times(6, (i) => answer({ day: day(i), grade: (i % 3) as Grade }))
    expect(after(log.slice(3), after(log.slice(0, 3)))).toEqual(after(log))
  })
})

describe('a horse’s own numbers', () => {
  it('are learnt as the parts of a joint Gaussian are', () => {
    // By hand: T ~ N(0, 2.25), a track θ = T + e with e ~ N(0, 0.64), seen three times as y = θ + n with n ~ N(0, 1).
    // The exact posterior is Kalman's; the track's own is v' = 1 / (1/v + 1), μ' = μ + v' (y − μ) each time.
    const seen = [1.4, 0.2, 2.1]
    let covariance = 2.25
    let track = { mean: 0, variance: 2.25 + 0.64 }
    let horse = { ...unknownHorse(MODEL), talent: { mean: 0, variance: 2.25 } }
    for (const y of seen) {
      const variance = 1 / (1 / track.variance + 1)
      const is = { mean: track.mean + variance * (y - track.mean), variance }
      const talent = learntFrom(MODEL, horse, { which: 'talent', covariance, was: track, is })
      covariance = narrowed(covariance, { was: track, is })
      horse = { ...horse, talent }
      track = is
    }
    // All at once: the mean of three sightings of T has variance 0.64 + 1/3.
    const weight = 2.25 / (2.25 + 0.64 + 1 / 3)
    expect(horse.talent.mean).toBeCloseTo((weight * (1.4 + 0.2 + 2.1)) / 3, 12)
    expect(horse.talent.variance).toBeCloseTo(2.25 * (1 - weight), 12)
    // Cov(T, θ) shrinks as θ's own variance does.
    expect(covariance).toBeCloseTo((2.25 * track.variance) / 2.89, 12)
  })

  it('are a little less known with each new day, never less than at first', () => {
    const first = askedOn(MODEL, unknownHorse(MODEL), { track: 'a', day: day(0) })
    expect(first.talent).toEqual({ mean: 0, variance: 2.25 })
    const known = { ...first, talent: { mean: 1, variance: 0.5 } }
    const next = askedOn(MODEL, known, { track: 'a', day: day(1) })
    expect(next.talent).toEqual({ mean: 1, variance: 0.51 })
    expect(next.speed.variance).toBeCloseTo(0.15 ** 2, 12)
    expect(askedOn(MODEL, next, { track: 'b', day: day(1) }).talent).toEqual(next.talent)
  })

  it('count a burst as long as nothing else is asked between', () => {
    const asked = (tracks: string): number =>
      [...tracks].reduce((horse, track) => askedOn(MODEL, horse, { track, day: day(0) }), unknownHorse(MODEL))
        .burst.asks
    expect(asked('aaa')).toBe(3)
    expect(asked('aab')).toBe(1)
    expect(asked('aaba')).toBe(1)
  })
})

describe('what carries over', () => {
  it('moves the start by the share: 0.5 of a source at 1.8 gives −0.2', () => {
    expect(startMeanWith(-2.2, [{ share: 0.5, mean: 1.8 }])).toBeCloseTo(-0.2, 12)
  })

  it('leaves the start where there is no source', () => expect(startMeanWith(-2.2, [])).toBe(-2.2))

  it('scales shares of more than 0.6 down to it', () => {
    // By hand: 0.4 and 0.4 become 0.3 and 0.3; −2.2 + 0.3 · 4.2 + 0.3 · 1.2 = −0.58.
    expect(
      startMeanWith(-2.2, [
        { share: 0.4, mean: 2 },
        { share: 0.4, mean: -1 },
      ]),
    ).toBeCloseTo(-0.58, 12)
  })

  it('can lower a start too', () => {
    expect(startMeanWith(-2.2, [{ share: 0.4, mean: -3.2 }])).toBeCloseTo(-2.6, 12)
  })
})
