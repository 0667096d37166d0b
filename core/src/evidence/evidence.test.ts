import fc from 'fast-check'
import { jStat } from 'jstat'
import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { noRecords, replayHorse, viewsOf, type TrackedAnswer } from '../readiness'
import {
  differenceInWords,
  differenceSpread,
  differencesOf,
  ENOUGH_SESSIONS,
  type Group,
} from './differences'
import { wilson } from './interval'
import { predictingOn, replayPredicting } from './predictions'
import { reliabilityInWords, reliabilityOf, scoresInWords, talliesOf } from './reliability'
import { normalBelow, ownInWords } from './own-numbers'
import { firstAndLast, medianOf, seenIn } from './tallies'

const LEAD_UP = stepOf(FEET_FIRST, 'lead-up')!

const ask = (change: Partial<TrackedAnswer> = {}): TrackedAnswer => ({
  ...answer({ rung: LEAD_UP.requiredRung }),
  step: LEAD_UP.key,
  side: 'none',
  ...change,
})

const judged = fc.array(
  fc.record({ chance: fc.double({ min: 0, max: 1, noNaN: true }), light: fc.boolean() }),
  { minLength: 1, maxLength: 60 },
)

describe('predictions', () => {
  it('are one for each first ask of a day, at its own rung, and none for what was not asked', () => {
    const answers = [
      ask({ day: day(0), rung: 2 }),
      ask({ day: day(0) }),
      ask({ day: day(2), uncued: true }),
      ask({ day: day(4), byChance: true, grade: 3 }),
    ]
    const { records, predictions } = replayPredicting(MODEL, FEET_FIRST, answers)
    expect(predictions.map(({ day, light, step }) => [day, light, step])).toEqual([
      [day(0), true, 'lead-up'],
      [day(4), false, 'lead-up'],
    ])
    const views = viewsOf(MODEL, FEET_FIRST, {
      records: replayHorse(MODEL, FEET_FIRST, answers.slice(0, 2)),
      on: day(4),
    })
    expect(predictions[1]!.chance).toBeCloseTo(views.get('lead-up/none')!.chance, 12)
    expect(records).toEqual(replayHorse(MODEL, FEET_FIRST, answers))
    expect(predictions[1]!.morning).toBeCloseTo(views.get('lead-up/none')!.chance, 12)
    const evening = viewsOf(MODEL, FEET_FIRST, { records, on: day(4) }).get('lead-up/none')!
    expect(predictions[1]!.evening).toBeCloseTo(evening.chance, 12)
    const untouched = viewsOf(MODEL, FEET_FIRST, { records: noRecords(MODEL), on: day(0) }).get(
      'lead-up/none',
    )!
    expect(predictions[0]!.chance).toBeCloseTo(untouched.byRung[1]!.chance, 12)
  })
})

describe('predictions brought on', () => {
  const log = fc.array(
    fc.record({
      step: fc.constantFrom('lead-up', 'settle-in-pen', 'foot-front'),
      side: fc.constantFrom('none' as const, 'left' as const),
      grade: fc.integer({ min: 0, max: 4 }),
      gap: fc.integer({ min: 0, max: 2 }),
      uncued: fc.boolean(),
    }),
    { minLength: 1, maxLength: 20 },
  )

  it('are those of the whole history, with the evenings of the days they went on with', () => {
    fc.assert(
      fc.property(log, fc.nat(20), (list, cut) => {
        let n = 0
        const answers = list.map(({ gap, grade, step, ...one }) => {
          n += gap
          return ask({ ...one, step, rung: 1, grade: grade as 0, day: day(n) })
        })
        const whole = replayPredicting(MODEL, FEET_FIRST, answers)
        const first = replayPredicting(MODEL, FEET_FIRST, answers.slice(0, cut))
        const then = predictingOn(MODEL, FEET_FIRST, { before: first.records, answers: answers.slice(cut) })
        const evening = (one: { step: string; side: string; day: string; evening: number }) =>
          [`${one.step} ${one.side} ${one.day}`, one.evening] as const
        const kept = new Map([...first.predictions, ...then.predictions, ...then.goneOn].map(evening))
        expect(then.records).toEqual(whole.records)
        expect([...first.predictions, ...then.predictions].map(({ morning }) => morning)).toEqual(
          whole.predictions.map(({ morning }) => morning),
        )
        expect(kept).toEqual(new Map(whole.predictions.map(evening)))
      }),
    )
  })
})

describe('reliability', () => {
  it('has the Brier score and the base rate’s of an independent library', () => {
    fc.assert(
      fc.property(judged, (all) => {
        const { brier, brierOfBaseRate, baseRate } = reliabilityOf(talliesOf(all))
        const came = all.map(({ light }) => Number(light))
        expect(brier).toBeCloseTo(jStat.mean(all.map(({ chance }, i) => (chance - came[i]!) ** 2)), 12)
        expect(baseRate).toBeCloseTo(jStat.mean(came), 12)
        expect(brierOfBaseRate).toBeCloseTo(jStat.variance(came), 12)
      }),
    )
  })

  // Murphy 1973: the Brier score of forecasts that are the same within each bin is reliability − resolution + uncertainty.
  it('parts into reliability, resolution and uncertainty (Murphy 1973)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ tenth: fc.nat(9), light: fc.boolean() }), { minLength: 1 }),
        (list) => {
          const all = list.map(({ tenth, light }) => ({ chance: tenth / 10 + 0.05, light }))
          const { tenths, brier, baseRate, brierOfBaseRate } = reliabilityOf(talliesOf(all))
          const over = (value: (tenth: (typeof tenths)[number]) => number): number =>
            tenths.reduce((sum, one) => sum + one.predictions * value(one), 0) / all.length
          const reliability = over(({ said, came }) => (said - came) ** 2)
          const resolution = over(({ came }) => (came - baseRate) ** 2)
          expect(brier).toBeCloseTo(reliability - resolution + brierOfBaseRate, 10)
        },
      ),
    )
  })

  it('is the same from the sums of parts as from all at once', () => {
    fc.assert(
      fc.property(judged, judged, (some, others) => {
        const inParts = reliabilityOf([...talliesOf(some), ...talliesOf(others)])
        const whole = reliabilityOf(talliesOf([...some, ...others]))
        expect(inParts.brier).toBeCloseTo(whole.brier, 12)
        expect(inParts.tenths.map(({ from, predictions, came }) => [from, predictions, came])).toEqual(
          whole.tenths.map(({ from, predictions, came }) => [from, predictions, came]),
        )
      }),
    )
  })

  it('says when there are too few to say much, and when all came out alike', () => {
    expect(reliabilityInWords(reliabilityOf([]))).toBe('No first ask has been predicted yet.')
    const alike = reliabilityOf(talliesOf(times(3, () => ({ chance: 0.9, light: true }))))
    expect(alike.better).toBeNull()
    expect(reliabilityInWords(alike)).toMatch(/All came out alike.*Only 3 so far/)
    const many = reliabilityOf(
      talliesOf(times(100, (i) => ({ chance: i % 2 ? 0.9 : 0.1, light: i % 2 === 1 }))),
    )
    expect(reliabilityInWords(many)).toBe(
      'Of 100 first asks 50 % were light. Where we said about 9 in 10, 100 of 100 came; where about 1 in 10, 0 of 100.',
    )
    expect(scoresInWords(many)).toBe(
      'Saying the chance is 96 % nearer than always saying 50 % (Brier score 0.010 against 0.250). Over the tenths it is off by 10 points on average.',
    )
    expect(scoresInWords(alike)).toBe('')
  })
})

describe('the spread of a share', () => {
  // Newcombe 1998, table I, 81 of 263 and 15 of 148, the score method (figures from memory).
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
  ])('of %i in %i is the published one', (hits, n, low, high) => {
    expect(wilson(hits, n).low).toBeCloseTo(low, 4)
    expect(wilson(hits, n).high).toBeCloseTo(high, 4)
  })

  it('ends where the share seen is just as far as the normal allows', () => {
    const z = jStat.normal.inv(0.975, 0, 1)
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (n, share) => {
          const hits = Math.round(share * n)
          const { low, high } = wilson(hits, n)
          for (const end of [low, high])
            if (end > 1e-9 && end < 1 - 1e-9)
              expect(Math.abs(hits / n - end)).toBeCloseTo(z * Math.sqrt((end * (1 - end)) / n), 5)
        },
      ),
    )
  })

  it('of nothing is everything', () => expect(wilson(0, 0)).toEqual({ low: 0, high: 1 }))
})

describe('the difference of two shares', () => {
  // Newcombe 1998 (Interval estimation for the difference between independent proportions), table II, method 10; the
  // figures are from memory.
  it.each([
    [56, 70, 48, 80, 0.0524, 0.3339],
    [9, 10, 3, 10, 0.1705, 0.809],
    [6, 7, 2, 7, 0.0582, 0.8062],
    [0, 10, 0, 20, -0.1611, 0.2775],
  ])('of %i in %i and %i in %i has the published spread', (hitsA, a, hitsB, b, low, high) => {
    const spread = differenceSpread({ hits: hitsA, n: a }, { hits: hitsB, n: b })
    expect(spread.low).toBeCloseTo(low, 4)
    expect(spread.high).toBeCloseTo(high, 4)
  })

  it('holds the difference seen, and turned about it is the same', () => {
    const share = fc
      .integer({ min: 1, max: 80 })
      .chain((n) => fc.record({ n: fc.constant(n), hits: fc.nat(n) }))
    fc.assert(
      fc.property(share, share, (a, b) => {
        const [there, back] = [differenceSpread(a, b), differenceSpread(b, a)]
        const seen = a.hits / a.n - b.hits / b.n
        expect(there.low).toBeLessThanOrEqual(seen + 1e-9)
        expect(there.high).toBeGreaterThanOrEqual(seen - 1e-9)
        expect(there.low).toBeCloseTo(-back.high, 12)
      }),
    )
  })
})

describe('what was different', () => {
  const group = (
    value: string,
    sessions: number,
    { light, asks }: { light: number; asks: number },
  ): Group => ({
    value,
    sessions,
    light,
    asks,
    said: asks * 0.7,
  })

  it('is each value against all others, with counts and a spread, and never more than that', () => {
    const [wind, fair] = differencesOf([
      group('wind', 4, { light: 10, asks: 20 }),
      group('fair', 9, { light: 54, asks: 60 }),
      group('heat', 0, { light: 0, asks: 0 }),
    ])
    expect(wind!.against).toMatchObject({ asks: 60, sessions: 9, share: 0.9 })
    expect(wind!.against!.by).toBeCloseTo(-0.4, 12)
    expect(differenceInWords(wind!)).toMatch(
      /^10 of 20 first asks light \(30 % to 70 %\), in 4 sessions; 40 points less than the 90 % of 60 otherwise \(−/,
    )
    expect(differenceInWords(wind!)).not.toMatch(/because|cause|makes/)
    expect(fair!.expected).toBeCloseTo(0.7, 12)
  })

  it('is not told from too few sessions, and may be nothing', () => {
    const [few] = differencesOf([
      group('wind', ENOUGH_SESSIONS - 1, { light: 3, asks: 9 }),
      group('fair', 9, { light: 8, asks: 9 }),
    ])
    expect(few!.against).toBeNull()
    expect(differenceInWords(few!)).toMatch(/Too few sessions to compare/)
    const [slight] = differencesOf([
      group('wind', 3, { light: 7, asks: 9 }),
      group('fair', 3, { light: 8, asks: 9 }),
    ])
    expect(differenceInWords(slight!)).toMatch(/it may be nothing/)
    const [only] = differencesOf([group('fair', 9, { light: 8, asks: 9 })])
    expect(only!.against).toBeNull()
  })
})

describe('what a horse is like', () => {
  const log = (grades: readonly number[]): TrackedAnswer[] =>
    grades.flatMap((grade, i) =>
      times(5, () => ask({ day: day(2 * i), grade: grade as TrackedAnswer['grade'] })),
    )

  it('is not known before anything was asked', () => {
    const own = replayHorse(MODEL, FEET_FIRST, []).horse
    expect(ownInWords(MODEL, { own, answers: 0 })).toMatch(/not known/)
  })

  it('is quicker for a horse that came on than for one that did not, and surer with more answers', () => {
    const quick = replayHorse(MODEL, FEET_FIRST, log([4, 3, 2, 1, 1, 0, 0, 0])).horse
    const slow = replayHorse(MODEL, FEET_FIRST, log([2, 2, 2, 2, 2, 2, 2, 2])).horse
    expect(quick.speed.mean).toBeGreaterThan(slow.speed.mean)
    expect(quick.speed.variance).toBeLessThan(0.15 ** 2)
    expect(ownInWords(MODEL, { own: slow, answers: 40 })).toMatch(/learns more slowly than most/)
  })

  it('is placed among a hundred horses by the normal distribution, as an independent library has it', () => {
    for (const z of [-4, -1.7, -0.3, 0, 0.8, 2.2, 5])
      expect(normalBelow(z)).toBeCloseTo(jStat.normal.cdf(z, 0, 1), 6)
  })

  it('is told with its spread and from how many answers', () => {
    const own = {
      talent: { mean: 1.9, variance: 0.49 },
      ease: { mean: 0.1, variance: 0.25 },
      speed: { mean: 0.35, variance: 0.0025 },
    }
    expect(ownInWords(MODEL, { own, answers: 120 })).toBe(
      'It starts steps more able than most (more able than 79 to 96 horses in 100), starts about as loose as most (looser than 34 to 73 horses in 100) and learns at about the usual speed (0.9 to 1.1 times the usual). From 120 answers.',
    )
  })
})

describe('what was seen', () => {
  it('is counted, the most frequent first', () => {
    const answers = [
      { day: day(0), fault: 'barges' },
      { day: day(1), fault: 'plants its feet' },
      { day: day(2), fault: 'barges' },
      { day: day(3), fault: null },
    ]
    expect(seenIn(answers, ({ fault }) => fault)).toEqual([
      { what: 'barges', times: 2, lastDay: day(2) },
      { what: 'plants its feet', times: 1, lastDay: day(1) },
    ])
  })

  it('has the middle of an independent library', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), { minLength: 1 }), (values) => {
        expect(medianOf(values)).toBeCloseTo(jStat.median([...values]), 6)
      }),
    )
    expect(medianOf([])).toBeNull()
    expect(firstAndLast([5, 4, 3, 2, 1, 1], 3)).toEqual({ first: 4, last: 1 })
    expect(firstAndLast([1, 2, 3], 2)).toBeNull()
  })
})
