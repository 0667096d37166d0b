import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/logs'
import { workedHorse, type WorkedHorse } from '../../tests/worked-horse'
import { addDays, type Grade } from '../answer'
import { calmAtMost, difficulty, gradeAtMost, STANDARD_MODEL } from '../belief'
import { askSimulated, trueStanding } from '../herd'
import {
  FEET_FIRST,
  gateGuarding,
  inOrderOfNeeds,
  rungNeeded,
  sidesOf,
  stepOf,
  stepsMeeting,
  type Program,
  type Step,
} from '../program'
import { arrivalCheck, type ArrivalAnswer, type ArrivalAsk } from '.'
import { bestPlace } from './order'

/** Runs a check to its end, answered by whoever is asked. */
const run = (answerTo: (ask: ArrivalAsk) => Pick<ArrivalAnswer, 'grade' | 'calm'>) => {
  const answers: ArrivalAnswer[] = []
  let check = arrivalCheck(FEET_FIRST, answers)
  while (check.next) {
    const { step, side, rung } = check.next
    answers.push({ step, side, rung, ...answerTo(check.next) })
    check = arrivalCheck(FEET_FIRST, answers)
  }
  return { check, answers }
}

const always = (grade: Grade) => run(() => ({ grade, calm: 0 }))

const ORDER = inOrderOfNeeds(FEET_FIRST)

/** A horse that holds exactly the steps up to a place on the path. */
const upTo = (last: string) => {
  const end = ORDER.findIndex(({ key }) => key === last)
  const holds = (key: string): boolean => ORDER.findIndex((step) => step.key === key) <= end
  return run(({ step }) => ({ grade: holds(step) ? 1 : 3, calm: 0 }))
}

const stageOf = (key: string): number => stepOf(FEET_FIRST, key)!.stage

describe('the stride', () => {
  // Two failures left on a path of n places of one ask each: the puzzle of the two eggs, whose least worst case for
  // 100 places is 14 (well-known, from memory). On the average it takes less.
  it('is long while two may fail and a single step while one may', () => {
    const costs = Array.from({ length: 60 }, () => 1)
    expect(bestPlace(costs, 2)!.at).toBeGreaterThan(5)
    expect(bestPlace(costs, 2)!.at).toBeLessThan(20)
    expect(bestPlace(costs.slice(0, 10), 1)!.at).toBe(0)
    expect(
      bestPlace(
        Array.from({ length: 100 }, () => 1),
        2,
      )!.expected,
    ).toBeLessThan(14)
  })

  it('keeps to what is safe', () => {
    expect(bestPlace([1, 1, 1, 1, 1, 1], 2, (at) => at === 1)!.at).toBe(1)
    expect(bestPlace([1, 1], 2, () => false)).toBeNull()
  })
})

describe('the order of an arrival check', () => {
  it('begins in the first stage, and never goes more than one stage above what was shown with what is not open', () => {
    for (const { answers } of [always(1), upTo('bend'), upTo('step-back')])
      answers.forEach(({ step }, i) => {
        const { opens } = arrivalCheck(FEET_FIRST, answers.slice(0, i))
        const shown = answers.slice(0, i).filter(({ grade }) => grade <= 1)
        const reach = 1 + Math.max(0, ...shown.map((one) => stageOf(one.step)))
        expect(opens.includes(step) || stageOf(step) <= reach).toBe(true)
      })
  })

  it('does nothing to a horse over a gap: an accept or a hold is asked only where all it needs is known', () => {
    for (const { answers } of [always(1), upTo('bend'), upTo('step-back')])
      answers.forEach(({ step }, i) => {
        if (stepOf(FEET_FIRST, step)!.kind === 'ask') return
        expect(arrivalCheck(FEET_FIRST, answers.slice(0, i)).opens).toContain(step)
      })
  })

  it('never asks what a gate guards', () => {
    for (const { step } of always(1).answers) expect(gateGuarding(FEET_FIRST, step, 1)).toBeUndefined()
  })

  it('asks both sides, and again where one did not go, at the rung that others stand on', () => {
    const { answers } = always(1)
    for (const key of new Set(answers.map(({ step }) => step)))
      expect(answers.filter(({ step }) => step === key)).toHaveLength(
        sidesOf(stepOf(FEET_FIRST, key)!).length,
      )
    const failing = upTo('stand').answers
    const failedAt = failing.findIndex(({ grade }) => grade >= 2)
    expect(failing[failedAt + 1]).toMatchObject({
      step: failing[failedAt]!.step,
      side: failing[failedAt]!.side,
    })
    expect(failing[failedAt + 1]!.rung).toBeLessThanOrEqual(failing[failedAt]!.rung)
  })

  it('ends when two steps have failed, or after twenty asks, and says why', () => {
    const wild = always(4)
    expect(wild.check.failed).toHaveLength(2)
    expect(wild.answers.length).toBeLessThanOrEqual(6)
    expect(wild.check.end).toMatch(/this is where its work begins/)
    expect(always(1).answers.length).toBeLessThanOrEqual(22)
  })

  it('says why each ask is made', () => {
    expect(arrivalCheck(FEET_FIRST, []).next!.reason).toMatch(/Safe to begin with/)
    const [first] = always(1).answers
    expect(arrivalCheck(FEET_FIRST, [first!]).next!.reason).toMatch(/steps up|further up|side/)
  })
})

describe('what it shows', () => {
  it('stands on what lies below: a step cannot be had without its needs', () => {
    const { known } = arrivalCheck(FEET_FIRST, [
      { step: 'send', side: 'left', rung: 4, grade: 1, calm: 0 },
      { step: 'send', side: 'right', rung: 4, grade: 1, calm: 0 },
    ])
    const of = new Map(known.map((one) => [one.step, one]))
    expect(of.get('send')).toMatchObject({ rung: 4, how: 'shown' })
    for (const need of stepOf(FEET_FIRST, 'send')!.needs)
      expect(of.get(need.step!)!.rung).toBeGreaterThanOrEqual(need.rung ?? 1)
  })

  it('is not a light answer that was tight', () => {
    const tight = run(() => ({ grade: 1, calm: 2 }))
    expect(tight.check.known.some(({ how }) => how === 'shown')).toBe(false)
  })

  it('never takes as known what lies behind a gate', () => {
    for (const { step } of always(1).check.known) expect(gateGuarding(FEET_FIRST, step, 1)).toBeUndefined()
  })

  it('is nothing but the beginning for a horse nobody has touched', () => {
    const { opens } = always(4).check
    expect(opens).toContain('settle-in-pen')
    expect(opens.length).toBeLessThan(8)
  })
})

const ORDERED: Program = { ...FEET_FIRST, steps: ORDER }
const LATER = ['over-from-fence', 'turn-front', 'side-strings']
const ARRIVES_AFTER_DAYS = 30

/** Half handled elsewhere: what it was taught it holds, what it was not it cannot, and it is not worried by much. */
const halfHandled = (i: number): WorkedHorse =>
  workedHorse(
    i * 7919 + 13,
    { upTo: ORDER[4 + 2 * i]!.key, without: LATER },
    { ability: 0.9, calm: 3, stiffer: { side: 'right', by: 0.1 } },
    ORDERED,
  )

const trulyHolds = ({ horse, lastDay }: WorkedHorse, step: Step, rung: number): boolean =>
  sidesOf(step).every((side) => {
    const track = trueStanding(horse, step, side, addDays(lastDay, ARRIVES_AFTER_DAYS))
    const hardness = difficulty(STANDARD_MODEL, rung, step.requiredRung, true)
    return (
      gradeAtMost(STANDARD_MODEL, 1, track.ability, hardness) >= 0.7 &&
      calmAtMost(STANDARD_MODEL, 1, track.calm, hardness) >= 0.5
    )
  })

/** The steps that are open to one who knows the horse through and through, without passing a gate. */
const trulyOpen = (worked: WorkedHorse): ReadonlySet<string> => {
  const open = new Set<string>()
  for (const step of ORDER) {
    const met = step.needs
      .filter(({ fromRung }) => (fromRung ?? 1) === 1)
      .every((need) =>
        stepsMeeting(FEET_FIRST, need).some(
          (way) =>
            open.has(way.key) &&
            gateGuarding(FEET_FIRST, way.key, 1) === undefined &&
            trulyHolds(worked, way, rungNeeded(need, way)),
        ),
      )
    if (met) open.add(step.key)
  }
  return open
}

const checkSimulated = ({ horse, lastDay }: WorkedHorse, seed: number) => {
  const draw = seeded(seed)
  // The first draws of neighbouring seeds are alike.
  for (let k = 0; k < 20; k++) draw()
  const day = addDays(lastDay, ARRIVES_AFTER_DAYS)
  let now = horse
  return run(({ step: key, side, rung }) => {
    const asked = askSimulated(
      now,
      { step: stepOf(FEET_FIRST, key)!, side, rung, day, opensBurst: true },
      draw,
    )
    now = asked.horse
    return asked.answer
  })
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

describe('made-up horses that were half handled elsewhere', () => {
  it('are placed as by full knowledge within twenty asks at the median', () => {
    const results = Array.from({ length: 26 }, (_, i) => {
      const worked = halfHandled(i)
      const { check, answers } = checkSimulated(worked, 1000 + i)
      const truth = trulyOpen(worked)
      const isSame = check.opens.length === truth.size && check.opens.every((key) => truth.has(key))
      return { asks: isSame ? answers.length : Infinity, isSame }
    })
    expect(median(results.map(({ asks }) => asks))).toBeLessThanOrEqual(20)
    expect(results.filter(({ isSame }) => isSame).length).toBeGreaterThanOrEqual(18)
  })
})
