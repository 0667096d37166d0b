import { describe, expect, it } from 'vitest'
import { heldLog, inOrder, viewsFrom } from '../../tests/held'
import { type Grade } from '../answer'
import type { Facts } from '../facts'
import { isPermitted, permit } from '../permit'
import { exposuresAt, FEET_FIRST, rungNeeded, sidesOf, stepOf, stepsMeeting } from '../program'
import type { TrackedAnswer } from '../readiness'
import { arrivalCheck, factsMissing, opensAfter, type ArrivalAnswer, type ArrivalAsk } from '.'

const ON = '2026-06-20'
const NOTHING = viewsFrom([], ON)

interface Ways {
  readonly facts?: Partial<Facts>
  readonly log?: readonly TrackedAnswer[]
  readonly handled?: boolean
}

const horseOf = ({ facts = {}, log, handled = true }: Ways) => ({
  program: FEET_FIRST,
  views: log ? viewsFrom(log, ON) : NOTHING,
  facts: inOrder(ON, facts),
  handled,
})

/** Runs a check to its end, answered by whoever is asked. */
const run = (answerTo: (ask: ArrivalAsk) => Pick<ArrivalAnswer, 'grade' | 'calm'>, ways: Ways = {}) => {
  const horse = horseOf(ways)
  const answers: ArrivalAnswer[] = []
  let check = arrivalCheck(horse, answers, ON)
  while (check.next) {
    const { step, side, rung } = check.next
    answers.push({ step, side, rung, ...answerTo(check.next) })
    check = arrivalCheck(horse, answers, ON)
  }
  return { check, answers }
}

const always = (grade: Grade, ways: Ways = {}) => run(() => ({ grade, calm: 0 }), ways)

/** A horse that holds the path up to a stage. */
const upToStage = (last: number, ways: Ways = {}) =>
  run(({ step }) => ({ grade: stepOf(FEET_FIRST, step)!.stage <= last ? 1 : 3, calm: 0 }), ways)

describe('the order of an arrival check', () => {
  it('jumps no need: whatever is asked, all it needs was shown before or is on record', () => {
    for (const { answers } of [always(1), upToStage(1), upToStage(2)])
      answers.forEach(({ step: key }, i) => {
        const before = answers.slice(0, i)
        for (const need of stepOf(FEET_FIRST, key)!.needs.filter(({ fromRung }) => (fromRung ?? 1) === 1))
          expect(
            stepsMeeting(FEET_FIRST, need).some((way) =>
              sidesOf(way).every((side) =>
                before.some(
                  (one) => one.step === way.key && one.side === side && one.rung >= rungNeeded(need, way),
                ),
              ),
            ),
            `${key} needs ${need.step ?? need.role}`,
          ).toBe(true)
      })
  })

  it('asks nothing the permit refuses with what was shown', () => {
    const { answers } = always(1)
    answers.forEach(({ step, rung }, i) => {
      const { known } = arrivalCheck(horseOf({}), answers.slice(0, i), ON)
      const facts = inOrder(ON, { known: known.map((one) => ({ ...one, on: ON })) })
      expect(isPermitted(permit({ program: FEET_FIRST, views: NOTHING, facts }, { step, rung }, ON))).toBe(
        true,
      )
    })
  })

  it('brings at most one new kind of risk beyond touch, lead and yield in a day', () => {
    const kinds = new Set(
      always(1).answers.flatMap(({ step, rung }) =>
        exposuresAt(stepOf(FEET_FIRST, step)!, rung).filter(
          (one) => !['reach', 'feet', 'hind-feet', 'halter'].includes(one),
        ),
      ),
    )
    expect(kinds.size).toBeLessThanOrEqual(1)
  })

  it('begins at the bottom of a ladder that puts anybody at risk', () => {
    const touched = heldLog({
      lastDay: ON,
      without: FEET_FIRST.steps
        .map(({ key }) => key)
        .filter(
          (key) =>
            ![
              'settle-in-pen',
              'first-touch',
              'head-rub',
              'face-up',
              'draw',
              'halter-on',
              'give-to-halter',
            ].includes(key),
        ),
    })
    const { answers } = always(1, { log: touched })
    const first = answers.find(({ step }) => step === 'body-rub')!
    expect(first.rung).toBe(1)
    expect(
      answers.filter(({ step, side }) => step === 'body-rub' && side === 'left').length,
    ).toBeLessThanOrEqual(3)
  })

  it('goes on from what is on record, and asks it not again', () => {
    const known = ['settle-in-pen', 'face-up', 'first-touch', 'head-rub', 'draw']
    const log = heldLog({
      lastDay: ON,
      without: FEET_FIRST.steps.map(({ key }) => key).filter((key) => !known.includes(key)),
    })
    const { next } = arrivalCheck(horseOf({ log }), [], ON)
    expect(known).not.toContain(next!.step)
  })

  it('asks once more, smaller, what did not go, and ends with two that did not in one stage', () => {
    const wild = always(4)
    expect(wild.check.failed).toHaveLength(1)
    expect(wild.answers).toHaveLength(2)
    expect(wild.answers[1]!.rung).toBeLessThan(wild.answers[0]!.rung)
    const some = upToStage(1)
    expect(some.check.end).toMatch(/this is where its work begins|Twenty asks|found for today/)
    const stages = some.check.failed.map((key) => stepOf(FEET_FIRST, key)!.stage)
    expect(stages.filter((stage) => stage === stages.at(-1)).length).toBeLessThanOrEqual(2)
  })

  it('is over after twenty asks', () => {
    const { answers, check } = always(1)
    expect(answers).toHaveLength(20)
    expect(check.end).toMatch(/Twenty asks/)
  })

  it('is nothing for a horse that is not handled: that begins with stage 1', () => {
    const { next, end } = arrivalCheck(horseOf({ handled: false }), [], ON)
    expect(next).toBeNull()
    expect(end).toMatch(/not handled.*stage 1/)
  })

  it('never asks an untouched mare for anything with tack or a person up in her first hours', () => {
    const { answers } = always(1, { facts: { checks: [] } })
    for (const { step, rung } of answers)
      expect(exposuresAt(stepOf(FEET_FIRST, step)!, rung)).not.toEqual(
        expect.arrayContaining([expect.stringMatching(/lines|bit|girth|weight|mounted|tied-fast/)]),
      )
  })
})

describe('what it shows', () => {
  it('is what was asked and went, on both sides, and no more', () => {
    const { known } = arrivalCheck(
      horseOf({}),
      [
        { step: 'first-touch', side: 'left', rung: 3, grade: 1, calm: 0 },
        { step: 'first-touch', side: 'right', rung: 2, grade: 1, calm: 0 },
      ],
      ON,
    )
    expect(known).toEqual([{ step: 'first-touch', name: 'First touch', rung: 2, how: 'shown' }])
  })

  it('is not a light answer that was tight', () => {
    expect(run(() => ({ grade: 1, calm: 2 })).check.known).toEqual([])
  })

  it('opens the next steps at once', () => {
    const opens = opensAfter(
      horseOf({}),
      [{ step: 'settle-in-pen', side: 'none', rung: 4, grade: 1, calm: 0 }],
      ON,
    )
    expect(opens).toEqual(['settle-in-pen', 'face-up', 'loose-direction', 'first-touch', 'catch-rope'])
  })
})

describe('the facts it begins with', () => {
  it('are age, mouth and saddle: each that is missing is asked for, with why', () => {
    expect(factsMissing(inOrder(ON))).toEqual([])
    expect(factsMissing(inOrder(ON, { born: null, checks: [] })).join()).toMatch(/How old.*mouth.*saddle/)
  })
})
