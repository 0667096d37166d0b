import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, day, seeded, times } from '../../tests/logs'
import { PLAIN, type Answer, type Side } from '../answer'
import { STANDARD_MODEL as MODEL, valuesOf } from '../judgement'
import { newcomer, workThrough } from '../herd'
import { STANDARD_LAW } from '../learning'
import { CATALOGUE, FEET_FIRST, judgedBy, SCHOOLS, stepOf, type Program } from '../program'
import { noRecords, recordsWith, replayHorse, viewsOf, type Facts, type TrackedAnswer } from '../readiness'
import type { Burst } from './burst'
import { ORDINARY } from './outlook'
import { learnerOf, type PlanRequest } from './asked'
import { planSession } from './session'
import { todayFrom } from './today'

const FACTS: Facts = { born: '2018-04-01', checks: [], incidents: [], confirmed: [], handOver: [] }

const log = (
  key: string,
  sides: readonly Side[],
  { days, change = {} }: { days: number; change?: Partial<Answer> },
): TrackedAnswer[] =>
  times(days, (i) =>
    sides.flatMap((side) =>
      times(5, () => ({
        ...answer({ day: day(2 * i), rung: stepOf(FEET_FIRST, key)!.requiredRung, ...change }),
        step: key,
        side,
      })),
    ),
  ).flat()

const byTime = (...logs: TrackedAnswer[][]): TrackedAnswer[] =>
  logs.flat().sort((a, b) => a.day.localeCompare(b.day))

const planOf = (
  answers: readonly TrackedAnswer[],
  on: string,
  { facts = {}, asked = {} }: { facts?: Partial<Facts>; asked?: PlanRequest } = {},
) =>
  planSession(
    FEET_FIRST,
    viewsOf(MODEL, FEET_FIRST, { records: replayHorse(MODEL, FEET_FIRST, answers), on }),
    { facts: { ...FACTS, ...facts }, on, asked },
  )

const BOTH: readonly Side[] = ['left', 'right']
const CAUGHT = byTime(
  log('settle-in-pen', ['none'], { days: 4 }),
  log('face-up', ['none'], { days: 4 }),
  log('draw', ['none'], { days: 4 }),
)

/** A made-up horse after so many days of its own plans, and the views and facts of the next one. */
const workedHorse = (program: Program, days: number, seed: number) => {
  const records = noRecords(MODEL)
  const draw = seeded(seed)
  let horse = newcomer(program, {
    law: STANDARD_LAW,
    ability: 2,
    calm: 2,
    stiffer: { side: 'left', by: 0.8 },
  })
  for (let n = 0; n < days; n++) {
    const plan = planSession(program, viewsOf(MODEL, program, { records, on: day(2 * n) }), {
      facts: FACTS,
      on: day(2 * n),
    })
    const worked = workThrough(horse, plan, draw)
    horse = worked.horse
    for (const one of worked.answers)
      recordsWith(MODEL, program, { records, answer: { ...PLAIN, ...one, day: day(2 * n) } })
  }
  return { views: viewsOf(MODEL, program, { records, on: day(2 * days) }), on: day(2 * days) }
}

describe('today’s plan', () => {
  it('begins a new horse with settling, at the first rung, and says why', () => {
    const plan = planOf([], day(0))
    expect(plan.bursts[0]).toMatchObject({ step: 'settle-in-pen', purpose: 'begin', firstSide: 'none' })
    expect(plan.bursts[0]!.sides).toEqual([{ side: 'none', rung: 1, asks: 6, places: [] }])
    expect(plan.bursts[0]!.reasons[0]).toMatch(
      /^New, and all it needs is met\. On the way to the Halter gate; about \d+ work days to go, and \d+ days of later steps that need it$/,
    )
    expect(plan.bursts[0]!.reasons[1]).toBe(
      'Opens at rung 1, “person at the gate”: the first time starts at the bottom',
    )
    expect(plan.closed.find(({ step }) => step === 'halter-on')?.words).toMatch(/head rub.*not asked yet/)
  })

  it('asks the stiffer side first and more, about 60 to 40, both always', () => {
    const answers = byTime(
      CAUGHT,
      log('head-rub', ['left'], { days: 4 }),
      log('head-rub', ['right'], { days: 4, change: { grade: 2 } }),
      log('first-touch', BOTH, { days: 4 }),
    )
    const burst = planOf(answers, day(8)).bursts.find(({ step }) => step === 'head-rub')!
    expect(burst.sides.map(({ side, asks }) => [side, asks])).toEqual([
      ['right', 4],
      ['left', 2],
    ])
    expect(burst.reasons.at(-1)).toMatch(/^Right first: \d+ points behind the left$/)
  })

  it('says of which rung a chance is told where a smaller one is asked', () => {
    let smaller = 0
    for (const days of [4, 7, 10]) {
      const { views, on } = workedHorse(FEET_FIRST, days, 5)
      for (const burst of planSession(FEET_FIRST, views, { facts: FACTS, on }).bursts) {
        const { requiredRung } = stepOf(FEET_FIRST, burst.step)!
        const isSmaller = burst.sides.some(({ rung }) => rung < requiredRung)
        if (burst.purpose !== 'work' || burst.again) continue
        expect([burst.step, / at the rung it needs, from/.test(burst.reasons[0]!)]).toEqual([
          burst.step,
          isSmaller,
        ])
        smaller += Number(isSmaller)
      }
    }
    expect(smaller).toBeGreaterThan(0)
  })

  it('stays below a rung that a gate shuts', () => {
    // Met at the rung halter-on needs, but the gate wants both sides of first touch as well.
    const answers = byTime(
      CAUGHT,
      log('head-rub', BOTH, { days: 4 }),
      log('halter-on', BOTH, { days: 2, change: { rung: 3 } }),
    )
    const burst = planOf(answers, day(8), {
      facts: {},
      asked: { wishes: { pinned: [{ step: 'halter-on', at: 0 }], without: [] } },
    }).bursts[0]!
    expect(burst.step).toBe('halter-on')
    expect(burst.sides.every(({ rung }) => rung <= 3)).toBe(true)
    expect(burst.reasons[1]).toMatch(/: shut above it, halter first: /)
  })

  it('rests a horse on veterinary hold and says since when', () => {
    const hold = { kind: 'veterinary-hold', on: day(0), until: day(9), passed: false } as const
    const plan = planOf([], day(3), { facts: { checks: [hold] } })
    expect(plan).toMatchObject({ rests: true, bursts: [] })
    expect(plan.reason).toContain(day(0))
  })

  it('keeps a yearling to a quarter of an hour', () => {
    const answers = byTime(
      log('settle-in-pen', ['none'], { days: 4 }),
      log('face-up', ['none'], { days: 2, change: { grade: 2 } }),
    )
    expect(planOf(answers, day(8), { facts: { born: day(-400) } }).minutes).toBeLessThanOrEqual(15)
  })

  it('opens with what is Solid and was not asked for a week, one first ask', () => {
    const plan = planOf(log('settle-in-pen', ['none'], { days: 4 }), day(6 + 8))
    expect(plan.bursts[0]).toMatchObject({ step: 'settle-in-pen', purpose: 'check' })
    expect(plan.bursts[0]!.sides[0]!.asks).toBe(1)
    expect(plan.bursts[0]!.reasons[0]).toBe('Solid, and not asked for 8 calendar days: a first ask tells')
  })

  it('leaves a step that puts others together until they are checked', () => {
    const ingredients = ['step-back', 'yield-hind', 'yield-shoulder', 'lead-up']
    const before = byTime(
      CAUGHT,
      log('first-touch', BOTH, { days: 4 }),
      log('head-rub', BOTH, { days: 4 }),
      log('halter-on', BOTH, { days: 4 }),
      log('give-to-halter', BOTH, { days: 4 }),
      ...ingredients.map((key) => log(key, stepOf(FEET_FIRST, key)!.sided ? BOTH : ['none'], { days: 4 })),
    )
    const plan = planOf(before, day(6 + 20))
    const at = plan.bursts.findIndex(({ step }) => step === 'send')
    const checked = plan.bursts.slice(0, Math.max(0, at)).map(({ step }) => step)
    if (at >= 0) for (const key of ingredients) expect(checked).toContain(key)
    else
      expect(plan.left.find(({ step }) => step === 'send')?.words ?? 'checked first').toMatch(
        /checked first|enough/,
      )
  })
})

/** A burst takes no longer than its asks, or than a long hold of it does once a side. */
const longest = ({ step, sides }: Burst): number => {
  const does = CATALOGUE.find(({ key }) => key === step)?.does
  const held = Math.max(0, ...sides.map(({ rung }) => does?.[rung - 1]?.seconds ?? 0))
  return Math.max(3.7, (sides.length * (20 + held)) / 60 + 0.01)
}

describe('the shape of a session', () => {
  it.each(SCHOOLS.map((school) => [school.name, school] as const))('holds in %s, on any day', (_, school) => {
    for (const days of [1, 4, 9, 14]) {
      const { views, on } = workedHorse(school, days, days)
      const plan = planSession(school, views, { facts: FACTS, on })
      const { bursts } = plan
      expect(plan.minutes).toBeLessThanOrEqual(25)
      const learning = new Set(
        bursts.filter(({ purpose }) => !['check', 'close'].includes(purpose)).map(({ step }) => step),
      )
      expect(learning.size).toBeLessThanOrEqual(3)
      expect(bursts.filter(({ purpose }) => purpose === 'check').length).toBeLessThanOrEqual(2)
      const firstLearning = bursts.findIndex(({ purpose }) => purpose !== 'check')
      expect(bursts.slice(firstLearning).every(({ purpose }) => purpose !== 'check')).toBe(true)
      if (learning.size > 1)
        bursts.forEach(({ step }, i) => expect(step, `${days} days`).not.toBe(bursts[i - 1]?.step))
      bursts.forEach((burst) => {
        expect(burst.reasons.length).toBeGreaterThan(0)
        const { sided } = stepOf(school, burst.step)!
        expect(burst.sides.length).toBe(sided ? 2 : 1)
        if (burst.purpose !== 'check' && burst.purpose !== 'close')
          expect(burst.minutes).toBeLessThanOrEqual(longest(burst))
      })
    }
  })

  it('is the same for the same input', () => {
    const { views, on } = workedHorse(FEET_FIRST, 6, 2)
    expect(planSession(FEET_FIRST, views, { facts: FACTS, on })).toEqual(
      planSession(FEET_FIRST, views, { facts: FACTS, on }),
    )
  })
})

describe('what a session is planned for', () => {
  it('is this horse, as fast as it has shown itself, by the values of its yard', () => {
    const records = replayHorse(MODEL, FEET_FIRST, CAUGHT)
    const views = viewsOf(MODEL, FEET_FIRST, { records, on: day(20) })
    const { model, law } = learnerOf(FEET_FIRST, views)
    expect(model).toBe(MODEL)
    expect(law.speed).toBe(records.horse.speed.mean)
    expect(law.speed).not.toBe(STANDARD_LAW.speed)
    const slow = judgedBy(FEET_FIRST, { ...valuesOf(MODEL), cold: 0.9 })
    expect(learnerOf(slow, new Map())).toMatchObject({
      model: { cold: 0.9 },
      law: { speed: STANDARD_LAW.speed },
    })
  })

  const { views, on } = workedHorse(FEET_FIRST, 16, 3)
  const plan = (asked: PlanRequest, facts: Partial<Facts> = {}) =>
    planSession(FEET_FIRST, views, { facts: { ...FACTS, ...facts }, on, asked })
  const outlook = (change: Partial<typeof ORDINARY>) => plan({ outlook: { ...ORDINARY, ...change } })

  it('may be any number of minutes: too few rest it, too many are cut with the reason', () => {
    expect(outlook({ minutes: 0 })).toMatchObject({ rests: true, bursts: [] })
    expect(outlook({ minutes: 0 }).reason).toMatch(/0 minutes are too few/)
    const long = outlook({ minutes: 600 })
    expect(long.minutes).toBeLessThanOrEqual(30)
    expect(long.reason).toMatch(/half an hour/)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1000, noNaN: true }), (minutes) => {
        const { bursts, minutes: taken } = outlook({ minutes })
        expect(taken).toBeLessThanOrEqual(Math.ceil(minutes))
        if (minutes < 2) expect(bursts).toEqual([])
        if (minutes >= 3) expect(bursts.length).toBeGreaterThan(0)
      }),
      { numRuns: 25, examples: [[10], [30], [2.99]] },
    )
  })

  it('may lack a helper, a place or good weather: each leaves steps out and says so', () => {
    const words = (change: Partial<typeof ORDINARY>) =>
      outlook(change)
        .left.map(({ words }) => words)
        .join()
    expect(words({ suits: ['loose'] })).toMatch(/nowhere for groundwork/)
    expect(
      outlook({ suits: ['loose'] }).bursts.every(({ step }) =>
        ['loose-direction', 'loose-turn-in', 'draw', 'target'].includes(step),
      ),
    ).toBe(true)
    expect(outlook({ weather: 'heat' }).minutes).toBeLessThanOrEqual(15)
    const slippery = outlook({ weather: 'slippery' })
    for (const { step, sides } of slippery.bursts)
      if (step === 'loose-direction') expect(sides.every(({ rung }) => rung < 4)).toBe(true)
  })

  it('spares a horse that has had its load days', () => {
    const tired = plan({ outlook: { ...ORDINARY, loadDays: 5 } })
    for (const { step, sides } of tired.bursts)
      if (['loose-direction', 'send'].includes(step)) expect(sides.every(({ rung }) => rung < 4)).toBe(true)
  })

  it('may be a person’s own: what is pinned stays, what is left out stays out, and the rest is planned around it', () => {
    const free = plan({})
    const [swapped] = free.bursts.filter(({ purpose }) => purpose !== 'check')
    const without = plan({ wishes: { pinned: [], without: [swapped!.step] } })
    expect(without.bursts.some(({ step }) => step === swapped!.step)).toBe(false)
    expect(without.worth).toBeLessThanOrEqual(free.worth + 1e-9)
    const pinned = plan({ wishes: { pinned: [{ step: swapped!.step, at: 0, asks: 2 }], without: [] } })
    expect(pinned.bursts[0]).toMatchObject({ step: swapped!.step, pinned: true })
    expect(pinned.bursts[0]!.sides.reduce((sum, { asks }) => sum + asks, 0)).toBeLessThanOrEqual(2)
    expect(pinned.minutes).toBeLessThanOrEqual(25)
  })

  it('takes a session that is pinned from end to end as it is, and says where it runs over', () => {
    const steps = plan({}).bursts.map(({ step }) => step)
    const all = plan({
      wishes: { pinned: [...steps, ...steps].map((step, at) => ({ step, at })), without: [] },
    })
    expect(all.bursts.map(({ step }) => step)).toEqual([...steps, ...steps])
    expect(all.bursts.every(({ pinned }) => pinned)).toBe(true)
    expect(all.remarks.join()).toMatch(/more than there are/)
  })

  it('tells why a pin cannot be honoured', () => {
    const { remarks } = plan({ wishes: { pinned: [{ step: 'sit', at: 0 }], without: [] } })
    expect(remarks[0]).toMatch(/^Sit.* cannot be put in: needs /)
  })
})

describe('the rest of a session', () => {
  const { views, on } = workedHorse(FEET_FIRST, 16, 3)
  const whole = planSession(FEET_FIRST, views, { facts: FACTS, on })
  const learning = whole.bursts.find(({ purpose }) => !['check', 'close'].includes(purpose))!
  const side = learning.sides[0]!
  const after = (answers: Parameters<typeof todayFrom>[1], minutes: number) =>
    planSession(FEET_FIRST, views, {
      facts: FACTS,
      on,
      asked: { today: todayFrom(FEET_FIRST, answers, minutes) },
    })

  it('fits the minutes that are left, and begins with something else', () => {
    const rest = after(
      times(3, () => ({ ...side, step: learning.step, grade: 2 as const, calm: 1 as const })),
      10,
    )
    expect(rest.minutes).toBeLessThanOrEqual(15)
    expect(rest.bursts[0]!.step).not.toBe(learning.step)
    expect(rest.bursts.every(({ purpose }) => purpose !== 'check')).toBe(true)
  })

  it('goes on smaller with what went badly, and leaves what went badly at its smallest', () => {
    const hard = (rung: number) =>
      after(
        times(3, () => ({ ...side, rung, step: learning.step, grade: 3 as const, calm: 1 as const })),
        5,
      )
    const again = hard(3).bursts.filter(({ step }) => step === learning.step)
    for (const { sides } of again)
      expect(sides.find((one) => one.side === side.side)!.rung).toBeLessThanOrEqual(3)
    const left = hard(1)
    expect(left.bursts.some(({ step }) => step === learning.step)).toBe(false)
    expect(left.left.find(({ step }) => step === learning.step)?.words).toBe(
      'no more of it today: it went badly',
    )
  })

  it('is over when the minutes are used', () => {
    expect(after([{ ...side, step: learning.step, grade: 1, calm: 0 }], 25)).toMatchObject({
      rests: true,
      reason: 'The minutes are used: leave it here.',
    })
  })
})
