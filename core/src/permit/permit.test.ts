import { describe, expect, it } from 'vitest'
import { ALL_CONFIRMED, heldLog, inOrder, viewsFrom } from '../../tests/held'
import { addDays, PLAIN, type Side } from '../answer'
import type { Facts } from '../facts'
import { FEET_FIRST } from '../program'
import { gateVerdict, type TrackedAnswer, type Views } from '../readiness'
import { opennessOf } from './gates'
import { permit } from './permit'

const ON = '2026-06-20'
const ago = (days: number): string => addDays(ON, -days)
const program = FEET_FIRST

const HELD = viewsFrom(heldLog({ lastDay: ago(1), days: 6 }), ON)

/** The first asks of the day that the gates want before anybody is up. */
const DUE = ['bend', 'yield-hind', 'stand', 'weight-in-stirrup']
const passedToday: readonly TrackedAnswer[] = DUE.flatMap((key) => {
  const step = program.steps.find((one) => one.key === key)!
  const sides: readonly Side[] = step.sided ? ['left', 'right'] : ['none']
  return sides.map((side) => ({
    ...PLAIN,
    step: key,
    side,
    day: ON,
    rung: step.requiredRung,
    grade: 1,
    calm: 0,
  }))
})

const HELD_TODAY = viewsFrom([...heldLog({ lastDay: ago(1) }), ...passedToday], ON)

const said = (facts: Facts, asks: string, views: Views = HELD) =>
  asks.split(' ').map((ask) => {
    const [step, rung] = ask.split('@') as [string, string | undefined]
    const { answer, because } = permit({ program, views, facts }, { step, rung: Number(rung ?? 1) }, ON)
    return { ask, answer, rules: because.filter((one) => one.answer === answer).map(({ rule }) => rule) }
  })

const answers = (facts: Facts, asks: string, views?: Views): string[] =>
  said(facts, asks, views).map(({ ask, answer }) => `${ask} ${answer}`)

const each = (asks: string, answer: string): string[] => asks.split(' ').map((ask) => `${ask} ${answer}`)

describe('facts the permit must give', () => {
  const young = inOrder(ON, { born: addDays(ON, -20 * 30 - 20) })

  it('says no to weight, a bit and tack at 20 months, for the age, whatever it can', () => {
    const asks =
      'weight-in-stirrup@2 lie-over@1 sit@1 stand-to-mount@2 over-from-fence@1 carry-bit@1 surcingle@1'
    expect(answers(young, asks)).toEqual(each(asks, 'no'))
    for (const { rules } of said(young, asks)) expect(rules[0]).toBe('age')
    const fine = 'stand-to-mount@1 bend@4 foot-hind@7 tie@2'
    expect(answers(young, fine)).toEqual(each(fine, 'yes'))
  })

  it('asks for the age where nothing is known of it', () => {
    const unknown = inOrder(ON, { born: null })
    const [bit] = said(unknown, 'carry-bit@1')
    expect(bit).toMatchObject({ answer: 'no', rules: ['age'] })
    const { because } = permit({ program, views: HELD, facts: unknown }, { step: 'carry-bit', rung: 1 }, ON)
    expect(because[0]!.words).toMatch(/Say what is known/)
    expect(answers(unknown, 'bend@1')).toEqual(['bend@1 yes'])
  })

  it('takes the lower end of an estimate', () => {
    const aboutFour = inOrder(ON, {
      born: null,
      age: { lowMonths: 36, highMonths: 60, on: ON },
      confirmed: ['helper', 'helmet', 'rider-share'],
    })
    expect(answers(aboutFour, 'lie-over@1', HELD_TODAY)).toEqual(['lie-over@1 yes'])
    expect(said(aboutFour, 'ride-small-fence@1', HELD_TODAY)).toMatchObject([
      { answer: 'no', rules: ['age'] },
    ])
  })

  it('closes everything under a person after a bolt, and nothing on the ground', () => {
    const bolted = inOrder(ON, {
      confirmed: ALL_CONFIRMED,
      incidents: [{ kind: 'bolt', on: ago(1), step: 'ride-go-stop', rung: 2, mounted: true }],
    })
    const shut = 'ride-out@1 ride-poles@1 sit@1 ride-small-fence@1'
    expect(answers(bolted, shut, HELD_TODAY)).toEqual(each(shut, 'no'))
    for (const { rules } of said(bolted, shut, HELD_TODAY)) expect(rules).toContain('incident')
    expect(answers(bolted, 'bend@4', HELD_TODAY)).toEqual(['bend@4 yes'])
  })

  it('closes every tie after a pull-back, and no leading', () => {
    const pulled = inOrder(ON, { incidents: [{ kind: 'pull-back', on: ago(1), step: 'tie' }] })
    expect(answers(pulled, 'tie@3 tie@1 lead-up@4')).toEqual(['tie@3 no', 'tie@1 no', 'lead-up@4 yes'])
  })

  it('asks nothing at all under a hold that leaves nothing', () => {
    const hold = { kind: 'veterinary-hold', on: ago(2), until: null, passed: false } as const
    const facts = inOrder(ON, { checks: [hold] })
    for (const { key } of program.steps) {
      const [one] = said(facts, `${key}@1`)
      expect(one).toMatchObject({ answer: 'no' })
      expect(one!.rules[0]).toBe('veterinary-hold')
    }
  })

  it('takes the saddle off for a check that failed, and leaves the long lines', () => {
    const failed = inOrder(ON, { confirmed: ALL_CONFIRMED })
    const facts = {
      ...failed,
      checks: [...failed.checks, { kind: 'saddle', on: ago(1), until: null, passed: false } as const],
    }
    expect(answers(facts, 'saddle-on@1 ride-go-stop@1 drive@2', HELD_TODAY)).toEqual([
      'saddle-on@1 no',
      'ride-go-stop@1 no',
      'drive@2 yes',
    ])
  })

  it('sends a horse that was ridden two years ago to First time up first', () => {
    const views = viewsFrom(heldLog({ lastDay: ago(730), days: 6, grade: 0 }), ON)
    const states = new Set([...views.values()].map(({ state }) => state))
    expect(states.has('rusty')).toBe(true)
    expect([...states].every((state) => state === 'rusty' || state === 'solid')).toBe(true)
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED })
    const { answer, because } = permit({ program, views, facts }, { step: 'ride-go-stop', rung: 1 }, ON)
    expect(answer).toBe('no')
    expect(because.some(({ gate }) => gate === 'first-time-up')).toBe(true)
    expect(answers(facts, 'bend@4', views)).toEqual(['bend@4 yes'])
  })

  it('leads nothing in its first hour that has not worn a halter', () => {
    const first = ['settle-in-pen', 'first-touch', 'head-rub', 'face-up', 'loose-direction']
    const log = heldLog({
      lastDay: ON,
      without: program.steps.map(({ key }) => key).filter((key) => !first.includes(key)),
    })
    const views = viewsFrom(log, ON)
    expect(said(inOrder(ON), 'lead-up@1', views)).toMatchObject([{ answer: 'no', rules: ['needs'] }])
  })

  it('canters nobody up on a horse that never cantered in the saddle', () => {
    const log = heldLog({ lastDay: ago(1), notBeyond: ['saddle-move'] })
    const views = viewsFrom([...log, ...passedToday], ON)
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED })
    const { answer, because } = permit({ program, views, facts }, { step: 'ride-canter', rung: 1 }, ON)
    expect(answer).toBe('no')
    expect(because.filter((one) => one.answer === 'no')).toMatchObject([
      { rule: 'gate', gate: 'first-canter' },
    ])
    expect(because[0]!.words).toMatch(/never asked at “canter”/)
    expect(answers(facts, 'ride-canter@1', HELD_TODAY)).toEqual(['ride-canter@1 yes'])
  })
})

describe('what is confirmed on the day', () => {
  it('is asked for, each thing once, and then it is a yes', () => {
    const { answer, because } = permit(
      { program, views: HELD_TODAY, facts: inOrder(ON) },
      { step: 'sit', rung: 1 },
      ON,
    )
    expect(answer).toBe('confirm')
    expect(because.map(({ confirm }) => confirm)).toEqual(['rider-share', 'helper', 'helmet'])
    expect(
      answers(inOrder(ON, { confirmed: ['helper', 'helmet', 'rider-share'] }), 'sit@1', HELD_TODAY),
    ).toEqual(['sit@1 yes'])
  })

  it('wants company outside, or on its own somebody who knows where and until when', () => {
    const up = ['helper', 'helmet', 'rider-share'] as const
    const asks = 'ride-out@1 ride-out@4'
    expect(answers(inOrder(ON, { confirmed: up }), asks, HELD_TODAY)).toEqual(each(asks, 'confirm'))
    expect(answers(inOrder(ON, { confirmed: [...up, 'whereabouts'] }), asks, HELD_TODAY)).toEqual([
      'ride-out@1 confirm',
      'ride-out@4 yes',
    ])
    expect(answers(inOrder(ON, { confirmed: [...up, 'company'] }), asks, HELD_TODAY)).toEqual(
      each(asks, 'yes'),
    )
  })

  it('is a scale where rider and horse are weighed: 15 % in the first thirty rides, 20 % after (Powell et al. 2008)', () => {
    const weighed = (kg: number, rides: number) =>
      said(
        inOrder(ON, { confirmed: ['helper', 'helmet'], rider: { kg, tackKg: 10 }, weightKg: 500, rides }),
        'sit@1',
        HELD_TODAY,
      )[0]!
    expect(weighed(65, 0)).toMatchObject({ answer: 'yes' })
    expect(weighed(66, 0)).toMatchObject({ answer: 'no', rules: ['rider-share'] })
    expect(weighed(90, 30)).toMatchObject({ answer: 'yes' })
    expect(weighed(91, 30)).toMatchObject({ answer: 'no', rules: ['rider-share'] })
  })

  it('counts what a fat horse bears without its fat, and no press lifts what a scale says', () => {
    const up = ['helper', 'helmet', 'rider-share'] as const
    const facts = inOrder(ON, { confirmed: [...up], rider: { kg: 65, tackKg: 10 }, weightKg: 500 })
    expect(said(facts, 'sit@1', HELD_TODAY)[0]).toMatchObject({ answer: 'yes' })
    const fat = { ...facts, conditionScore: 7 }
    expect(said(fat, 'sit@1', HELD_TODAY)[0]).toMatchObject({ answer: 'no', rules: ['rider-share'] })
    const gate = program.gates.find(({ key }) => key === 'first-time-up')!
    const { stops, sentence } = gateVerdict(program, gate, { views: HELD_TODAY, facts: fat, on: ON })
    expect(stops).toMatchObject([{ rule: 'rider-share', measured: true }])
    expect(sentence).toMatch(
      /^Rider and saddle are 15.6 % of its weight; at most 15 % in the first thirty rides/,
    )
  })

  it('leaves handling in a heat that is too much for load', () => {
    const hot = inOrder(ON, { confirmed: [...ALL_CONFIRMED], heat: 'not-today' })
    expect(answers(hot, 'laps@2 saddle-move@3 sit@1', HELD_TODAY)).toEqual([
      'laps@2 no',
      'saddle-move@3 no',
      'sit@1 no',
    ])
    expect(said(hot, 'laps@2')[0]!.rules).toContain('heat')
    expect(answers(hot, 'bend@4 foot-hind@3')).toEqual(['bend@4 yes', 'foot-hind@3 yes'])
  })

  it('begins every day with mounted work with the first asks of the day, for thirty rides', () => {
    const ridden = (rides: number) =>
      permit(
        { program, views: HELD, facts: inOrder(ON, { confirmed: ALL_CONFIRMED, rides }) },
        { step: 'ride-steer', rung: 1 },
        ON,
      )
    expect(
      ridden(3)
        .because.map(({ words }) => words)
        .join(),
    ).toMatch(/first asks first: bend/)
    expect(ridden(30).because).toEqual([])
  })
})

describe('an overrule', () => {
  it('turns a gate that is not met into a confirmation with a name on it, and never a stop', () => {
    const log = heldLog({ lastDay: ago(1), notBeyond: ['saddle-move'] })
    const views = viewsFrom([...log, ...passedToday], ON)
    const overruled = [{ gate: 'first-canter', byName: 'Ylva Tarn' }]
    const facts = inOrder(ON, { confirmed: ALL_CONFIRMED, overruled })
    const { answer, because } = permit({ program, views, facts }, { step: 'ride-canter', rung: 1 }, ON)
    expect(answer).toBe('confirm')
    expect(because[0]!.words).toMatch(/Overruled today by Ylva Tarn/)
    const young = { ...facts, born: addDays(ON, -30 * 30) }
    expect(answers(young, 'ride-canter@1', views)).toEqual(['ride-canter@1 no'])
  })
})

describe('a gate', () => {
  const mounted = (day: string): TrackedAnswer => ({
    ...PLAIN,
    step: 'sit',
    side: 'none',
    day,
    rung: 1,
    grade: 1,
    calm: 0,
  })
  const gate = program.gates.find(({ key }) => key === 'first-time-up')!
  const openOn = (log: readonly TrackedAnswer[], on: string, incidents: Facts['incidents'] = []) =>
    opennessOf({ program, views: viewsFrom(log, on), facts: inOrder(on, { incidents }) }, gate, on)
  const went = [...heldLog({ lastDay: ago(1), without: ['sit'] }), ...passedToday, mounted(ON)]

  it('is open on a day it is Go, and for 14 days after the last work behind it', () => {
    expect(openOn(went, ON)).toBe('go')
    expect(openOn(went, addDays(ON, 14))).toBe('lately')
    expect(openOn(went, addDays(ON, 15))).toBe('shut')
    expect(openOn([...went, mounted(addDays(ON, 10))], addDays(ON, 24))).toBe('lately')
  })

  it('is not opened by work that went behind it while it was shut', () => {
    const never = [...heldLog({ lastDay: ago(20), without: ['bend', 'sit'] }), mounted(ago(2))]
    expect(openOn(never, ON)).toBe('shut')
  })

  it('is shut by an incident since it was gone through, until it is Go again', () => {
    const bolt = { kind: 'bolt', on: addDays(ON, 1), step: 'sit', rung: 1, mounted: true } as const
    expect(openOn(went, addDays(ON, 8), [bolt])).toBe('shut')
  })

  it('is shut where a step it stands on has slipped', () => {
    const fight = { ...mounted(addDays(ON, 1)), step: 'stand', rung: 3, grade: 4 as const, calm: 2 as const }
    expect(openOn([...went, fight], addDays(ON, 2))).toBe('shut')
  })

  it('never stands before the rungs it asks for itself', () => {
    for (const one of program.gates)
      for (const { step: key = '' } of one.solid) {
        const step = program.steps.find((known) => known.key === key)
        if (step)
          for (let rung = 1; rung <= step.requiredRung; rung++)
            expect([one.key, key, rung, gatesAt(key, rung).includes(one.key)]).toEqual([
              one.key,
              key,
              rung,
              false,
            ])
      }
  })

  const gatesAt = (key: string, rung: number): readonly string[] =>
    permit(
      { program, views: viewsFrom([], ON), facts: inOrder(ON) },
      { step: key, rung },
      ON,
    ).because.flatMap(({ gate: named }) => (named ? [named] : []))
})

describe('a vet’s hold', () => {
  const held = (leaves: 'handling' | 'walking') =>
    inOrder(ON, { checks: [{ kind: 'veterinary-hold', on: ago(2), until: null, passed: false, leaves }] })

  it('leaves what it says and no more', () => {
    expect(answers(held('handling'), 'head-rub@1 foot-hind@1 lead-up@1 send@1 saddle-on@1')).toEqual([
      'head-rub@1 yes',
      'foot-hind@1 yes',
      'lead-up@1 no',
      'send@1 no',
      'saddle-on@1 no',
    ])
    expect(answers(held('walking'), 'lead-up@4 send@4 flag@1')).toEqual([
      'lead-up@4 yes',
      'send@4 no',
      'flag@1 no',
    ])
  })

  it('opens by itself where the horse was hurt, and ends with the vet’s word', () => {
    const hurt = { kind: 'kick', on: ago(4), step: null, hurt: 'horse' } as const
    const facts = inOrder(ON, { incidents: [hurt] })
    expect(said(facts, 'bend@1')).toMatchObject([{ answer: 'no', rules: ['veterinary-hold'] }])
    const seen = {
      ...facts,
      checks: [...facts.checks, { kind: 'vet-look', on: ago(3), until: null, passed: true } as const],
    }
    expect(answers(seen, 'bend@1')).toEqual(['bend@1 yes'])
  })
})

describe('the stronger cautions', () => {
  it.each([
    [{ sex: 'entire' }, 'an entire'],
    [{ kind: 'mule' }, 'a mule'],
    [{ feral: true }, 'off a herd'],
  ])('want a second person at hind feet and loading for %o', (change, words) => {
    const facts = inOrder(ON, change)
    const { answer, because } = permit({ program, views: HELD, facts }, { step: 'foot-hind', rung: 1 }, ON)
    expect(answer).toBe('confirm')
    expect(because).toMatchObject([{ rule: 'kind', confirm: 'helper' }])
    expect(because[0]!.words).toContain(words)
    expect(answers(facts, 'foot-front@1 bend@1')).toEqual(['foot-front@1 yes', 'bend@1 yes'])
  })

  it('want one within reach for thirty days after a kick, a strike or a bite', () => {
    const kicked = (days: number) =>
      answers(inOrder(ON, { incidents: [{ kind: 'kick', on: ago(days), step: null }] }), 'tail-hold@1 bend@1')
    expect(kicked(29)).toEqual(['tail-hold@1 confirm', 'bend@1 yes'])
    expect(kicked(30)).toEqual(['tail-hold@1 yes', 'bend@1 yes'])
  })
})

describe('load', () => {
  it('has no more days a week than the horse has years, two where nobody knows', () => {
    const trotted = (facts: Partial<Facts>) => answers(inOrder(ON, facts), 'send@4 send@3')
    expect(trotted({ born: addDays(ON, -25 * 31), loadDays: 2 })).toEqual(['send@4 confirm', 'send@3 yes'])
    expect(trotted({ born: null, loadDays: 2 })).toEqual(['send@4 confirm', 'send@3 yes'])
    expect(trotted({ loadDays: 4 })).toEqual(['send@4 yes', 'send@3 yes'])
    expect(trotted({ loadDays: 5, confirmed: ['load-day'] })).toEqual(['send@4 yes', 'send@3 yes'])
  })
})
