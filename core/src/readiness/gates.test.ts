import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import type { Answer, Grade, Side } from '../answer'
import { meanAbility, STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, stepOf, type Gate } from '../program'
import { gateVerdict } from './gates'
import type { Facts } from '../facts'
import { replayHorse, startingMean, viewOf, viewsOf, type TrackedAnswer } from './horse'
import { needStanding, unmetNeeds } from './needs'
import { sideGap, stepState } from './step-view'
import { trackKey } from './track-key'

const gate = (key: string): Gate => FEET_FIRST.gates.find((one) => one.key === key)!
const FACTS: Facts = { born: '2022-04-01', checks: [], incidents: [], confirmed: [], handOver: [] }

/** Days of light, loose answers at the required rung, on every side of some steps. */
const solidLog = (steps: readonly string[], days = 4, change: Partial<Answer> = {}): TrackedAnswer[] =>
  times(days, (i) =>
    steps.flatMap((key) => {
      const step = stepOf(FEET_FIRST, key)!
      const sides: readonly Side[] = step.sided ? ['left', 'right'] : ['none']
      return sides.flatMap((side) =>
        times(5, (n) => ({
          ...answer({
            day: day(2 * i),
            rung: step.requiredRung,
            place: (n + 1) as 1,
            moving: true,
            ...change,
          }),
          step: key,
          side,
        })),
      )
    }),
  ).flat()

const judgedOn = (log: readonly TrackedAnswer[], on: string) =>
  viewsOf(MODEL, FEET_FIRST, { records: replayHorse(MODEL, FEET_FIRST, log), on })

const verdictOf = (
  key: string,
  log: readonly TrackedAnswer[],
  { on, facts = {} }: { on: string; facts?: Partial<Facts> },
) => gateVerdict(FEET_FIRST, gate(key), { views: judgedOn(log, on), facts: { ...FACTS, ...facts }, on })

describe('handing over', () => {
  const ticked = { handOver: ['lead-up', 'foot-front'] }
  const done = solidLog(ticked.handOver, 6, { grade: 0 })

  it('waits until the yard has ticked what the horse leaves with', () => {
    const verdict = verdictOf('hand-over', done, { on: day(11) })
    expect(verdict).toMatchObject({ verdict: 'not-yet', tracks: [] })
    expect(verdict.sentence).toMatch(/Nothing is ticked/)
  })

  it('looks at the ticked steps on all their sides, asked in the last 21 days', () => {
    const soon = verdictOf('hand-over', done, { on: day(30), facts: ticked })
    expect(soon.verdict).toBe('go')
    expect(soon.tracks.map(({ step, side }) => `${step} ${side}`)).toEqual([
      'lead-up none',
      'foot-front left',
      'foot-front right',
    ])
    const late = verdictOf('hand-over', done, { on: day(31), facts: ticked })
    expect(late).toMatchObject({
      verdict: 'check-first',
      sentence: '3 short checks to run first, 3 asks in all.',
    })
    expect(late.due.map(({ reason }) => reason)).toEqual(Array(3).fill('not asked for 21 calendar days'))
  })

  it('stops while the vet holds the horse', () => {
    const checks = [{ kind: 'veterinary-hold', on: day(1), until: null, passed: false }] as const
    expect(verdictOf('hand-over', done, { on: day(11), facts: { ...ticked, checks } }).verdict).toBe('stop')
  })
})

describe('the Halter gate', () => {
  const NEEDED = ['first-touch', 'head-rub', 'face-up']

  it('is Not yet for a new horse, and says that nothing was asked', () => {
    const verdict = verdictOf('halter', [], { on: day(0) })
    expect(verdict.verdict).toBe('not-yet')
    expect(verdict.weakest[0]!.words).toMatch(/not asked yet/)
    expect(verdict.sentence).toBe('0 of 5 skills hold.')
  })

  it('is Go for the day when its needs are met, and names the day and the step', () => {
    const verdict = verdictOf('halter', solidLog(NEEDED), { on: day(8) })
    expect(verdict).toMatchObject({ verdict: 'go', day: day(8), gate: 'halter' })
    expect(verdict.sentence).toBe('Go for halter on, today only. All 5 skills hold.')
    expect(verdict.likelyMisses).toBeLessThan(1)
  })

  it('wants a look first after 14 days without an ask: one cold ask a track', () => {
    const verdict = verdictOf('halter', solidLog(NEEDED), { on: day(6 + 14) })
    expect(verdict.verdict).toBe('check-first')
    expect(verdict.due.map(({ asks }) => asks)).toEqual([1, 1, 1, 1, 1])
    expect(verdict.due[0]!.reason).toBe('not asked for 14 calendar days')
    expect(verdictOf('halter', solidLog(NEEDED), { on: day(6 + 13) }).verdict).toBe('go')
  })

  it('is no Go on a day on which the horse is not itself, whatever it was asked', () => {
    const others = solidLog(['settle-in-pen', 'draw', 'lead-up', 'step-back'])
    const today = others
      .filter((one) => one.day === day(0))
      .map((one) => ({ ...one, day: day(8), grade: 3 as const }))
    const verdict = verdictOf('halter', [...solidLog(NEEDED), ...others, ...today], { on: day(8) })
    expect(verdict.verdict).toBe('check-first')
    expect(verdict.sentence).toMatch(/^Not itself today: 0 of 4 first asks light/)
  })

  it('is not gone through by what is asked behind it on such a day', () => {
    const others = solidLog(['settle-in-pen', 'draw', 'lead-up', 'step-back'])
    const before = [...solidLog(NEEDED), ...others]
    const day8 = (grade: Grade): TrackedAnswer[] => [
      ...others.filter((one) => one.day === day(0)).map((one) => ({ ...one, day: day(8), grade })),
      { ...answer({ day: day(8), rung: 4, grade: 0 }), step: 'halter-on', side: 'none' },
    ]
    const wentThrough = (today: readonly TrackedAnswer[]): boolean =>
      [...replayHorse(MODEL, FEET_FIRST, [...before, ...today]).tracks.values()].some(
        ({ tally }) => tally.behind?.halter !== undefined,
      )
    expect(wentThrough(day8(0))).toBe(true)
    expect(wentThrough(day8(3))).toBe(false)
  })

  it('takes either step of a role', () => {
    expect(
      verdictOf('halter', solidLog(['first-touch', 'head-rub', 'catch-rope']), { on: day(8) }).verdict,
    ).toBe('go')
    expect(verdictOf('halter', solidLog(['first-touch', 'head-rub']), { on: day(8) }).verdict).toBe('not-yet')
  })

  it('counts likely misses as one less chance times calm chance, over its tracks', () => {
    const verdict = verdictOf('halter', solidLog(NEEDED), { on: day(8) })
    const byHand = verdict.tracks.reduce((sum, { chance, calmChance }) => sum + 1 - chance * calmChance, 0)
    expect(verdict.likelyMisses).toBeCloseTo(byHand, 12)
    expect(verdict.likelyMissesWords).toBe('Of 5 first asks fewer than 1 are likely to fail.')
  })

  it('puts the three weakest in words and numbers', () => {
    const log = [...solidLog(['first-touch', 'face-up']), ...solidLog(['head-rub'], 2, { grade: 3, calm: 2 })]
    const { weakest } = verdictOf('halter', log, { on: day(8) })
    expect(weakest).toHaveLength(3)
    expect(weakest[0]).toMatchObject({ step: 'head-rub' })
    expect(weakest[0]!.words).toMatch(
      /^(left|right): 0 of the last 8 light, 8 tight; last asked 6 calendar days ago$/,
    )
  })
})

describe('stops', () => {
  const confirmed: Facts['confirmed'] = ['helper', 'helmet', 'rider-share']
  const stopsFor = (key: string, facts: Partial<Facts> = {}, on = day(8)) =>
    verdictOf(key, [], { on, facts }).stops.map(({ rule }) => rule)

  it('come before every other verdict', () => {
    expect(
      verdictOf('tie-fast', solidLog(['give-to-halter', 'lead-up', 'step-back']), { on: day(8) }).verdict,
    ).toBe('stop')
  })

  it('want the mouth looked at before the first bit, and the age', () => {
    expect(stopsFor('first-bit')).toEqual(['mouth-check'])
    const looked = { kind: 'mouth', on: day(1), until: null, passed: true } as const
    expect(stopsFor('first-bit', { checks: [looked] })).toEqual([])
    expect(stopsFor('first-bit', { checks: [{ ...looked, passed: false }] })).toEqual(['mouth-check'])
    expect(stopsFor('first-bit', { checks: [looked], born: '2023-10-01' })).toEqual(['age'])
    expect(stopsFor('first-bit', { checks: [looked], born: null })).toEqual(['age'])
  })

  it('want helper and helmet confirmed before anybody is up', () => {
    expect(stopsFor('first-time-up')).toEqual(['helper', 'helmet', 'rider-share'])
    expect(stopsFor('first-time-up', { confirmed })).toEqual([])
  })

  it('hold while the vet does, to the day', () => {
    const hold = { kind: 'veterinary-hold', on: day(2), until: day(9), passed: false } as const
    expect(stopsFor('first-time-up', { confirmed, checks: [hold] })).toEqual(['veterinary-hold'])
    expect(stopsFor('first-time-up', { confirmed, checks: [hold] }, day(10))).toEqual([])
  })

  it('close what is done under a person after a bolt for three days, and until the brakes pass again', () => {
    const bolt = { kind: 'bolt', on: day(8), step: 'sit', rung: 1, mounted: true } as const
    const told = { confirmed, incidents: [bolt] }
    expect(stopsFor('first-time-up', told, day(10))).toEqual(['incident'])
    expect(stopsFor('first-time-up', told, day(12))).toEqual(['incident'])
    const again = solidLog(['bend', 'yield-hind', 'stand'], 1).map((one) => ({ ...one, day: day(12) }))
    expect(verdictOf('first-time-up', again, { on: day(12), facts: told }).stops).toEqual([])
    expect(verdictOf('first-time-up', again.slice(0, 2), { on: day(12), facts: told }).stops).toMatchObject([
      {
        rule: 'incident',
        words: expect.stringMatching(/until hind yield and stand have passed|until .*stand/),
      },
    ])
    expect(
      stopsFor('first-time-up', { confirmed, incidents: [{ ...bolt, mounted: false }] }, day(8)),
    ).toEqual([])
  })
})

describe('a need at a rung', () => {
  it('is not met by answers on an easier one, however good', () => {
    const easier = solidLog(['first-touch'], 6, { rung: 1, grade: 0 })
    const need = { step: 'first-touch', rung: 2 }
    expect(needStanding(FEET_FIRST, judgedOn(easier, day(12)), need)).toMatchObject({
      met: false,
      words: expect.stringMatching(/never asked there/),
    })
    const asked = [
      ...easier,
      ...solidLog(['first-touch'], 1, { rung: 2, grade: 0 }).map((one) => ({ ...one, day: day(11) })),
    ]
    expect(needStanding(FEET_FIRST, judgedOn(asked, day(12)), need)).toMatchObject({ met: true })
  })
})

describe('needs', () => {
  it('are met by chance, calm and answers on the worse side', () => {
    const left = solidLog(['first-touch']).filter(({ side }) => side === 'left')
    const need = { step: 'first-touch', rung: 2 }
    expect(needStanding(FEET_FIRST, judgedOn(left, day(8)), need)).toMatchObject({
      met: false,
      side: 'right',
    })
    expect(needStanding(FEET_FIRST, judgedOn(solidLog(['first-touch']), day(8)), need)).toMatchObject({
      met: true,
    })
    const tight = solidLog(['first-touch'], 4, { calm: 2 })
    expect(needStanding(FEET_FIRST, judgedOn(tight, day(8)), need)?.words).toMatch(
      /chance that it is not tight/,
    )
  })

  it('open a step when all are met', () => {
    const halter = stepOf(FEET_FIRST, 'halter-on')!
    expect(
      unmetNeeds(FEET_FIRST, judgedOn([], day(0)), { step: halter, rung: 1 }).map(({ step }) => step.key),
    ).toEqual(['head-rub', 'draw'])
    expect(
      unmetNeeds(FEET_FIRST, judgedOn(solidLog(['head-rub', 'draw']), day(8)), { step: halter, rung: 1 }),
    ).toEqual([])
  })
})

describe('two sides', () => {
  it('give a step the worse state and a gap only with enough answers', () => {
    const log = solidLog(['first-touch'])
    const views = judgedOn(
      log.filter(({ side, day: d }) => side === 'left' || d === day(0)),
      day(8),
    )
    const sides = (['left', 'right'] as const).map((side) => ({
      side,
      view: views.get(trackKey('first-touch', side))!,
    }))
    expect(stepState(sides)).toBe('coming')
    expect(sideGap(sides)).toMatchObject({ kind: 'gap' })
    const few = judgedOn(
      [...log.filter(({ side }) => side === 'left'), log.find(({ side }) => side === 'right')!],
      day(8),
    )
    const uneven = (['left', 'right'] as const).map((side) => ({
      side,
      view: few.get(trackKey('first-touch', side))!,
    }))
    expect(sideGap(uneven)).toEqual({ kind: 'not-asked', sides: ['right'] })
  })
})

describe('carry-over between tracks', () => {
  it('starts a hind foot where the front foot of that side stands on that day', () => {
    const log = solidLog(['foot-front']).filter(({ side }) => side === 'left')
    const records = replayHorse(MODEL, FEET_FIRST, log)
    const hind = stepOf(FEET_FIRST, 'foot-hind')!
    const front = records.tracks.get('foot-front/left')!
    // Judged on the front foot's own last day: no rest between. Share 0.3.
    const own = -2.2 + records.horse.talent.mean
    const byHand = own + 0.3 * (meanAbility(front.belief) - own)
    expect(startingMean(MODEL, FEET_FIRST, { step: hind, side: 'left', day: day(6), records })).toBeCloseTo(
      byHand,
      9,
    )
    expect(startingMean(MODEL, FEET_FIRST, { step: hind, side: 'right', day: day(6), records })).toBe(own)
  })

  it('uses only what was known when the target was first asked', () => {
    const front = solidLog(['foot-front'])
    const hind = { ...solidLog(['foot-hind'], 1)[0]!, day: day(0) }
    const early = replayHorse(MODEL, FEET_FIRST, [hind, ...front])
    const alone = replayHorse(MODEL, FEET_FIRST, [hind])
    expect(early.tracks.get('foot-hind/left')!.belief.start).toEqual(
      alone.tracks.get('foot-hind/left')!.belief.start,
    )
  })

  it('lifts a New track’s chance', () => {
    const hind = stepOf(FEET_FIRST, 'foot-hind')!
    const records = replayHorse(MODEL, FEET_FIRST, solidLog(['foot-front']))
    const view = viewOf(MODEL, FEET_FIRST, { step: hind, side: 'left', records, on: day(8) })
    expect(view.state).toBe('new')
    expect(view.chance).toBeGreaterThan(0.088)
  })
})
