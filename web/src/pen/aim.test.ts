import type { Line } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { planSession } from '@still-pine/core/plan'
import { FEET_FIRST } from '@still-pine/core/program'
import { replayHorse, viewsOf, type TrackedAnswer } from '@still-pine/core/readiness'
import { describe, expect, it } from 'vitest'
import { pathForHorse, jobWords } from '../app/tag-rail'
import { aimAtFeet, feetAdvice, penAdvice } from './advice'
import { aimOfBurst, aimOfStep, type PenView } from './use-pen'

const DAY = '2026-05-14'

const answers = (step: string, side: TrackedAnswer['side'], grade: 0 | 1 | 2 | 3): TrackedAnswer[] =>
  ['2026-05-08', '2026-05-10', '2026-05-12'].flatMap((day) =>
    Array.from({ length: 4 }, () => ({
      step,
      side,
      day,
      rung: 4,
      grade,
      calm: 0 as const,
      byChance: false,
      recalled: false,
      uncued: false,
      place: null,
      moving: false,
    })),
  )

const lineFrom = (log: readonly TrackedAnswer[]): Line => {
  const inOrder = [...log].sort((a, b) => a.day.localeCompare(b.day))
  const views = viewsOf(STANDARD_MODEL, FEET_FIRST, {
    records: replayHorse(STANDARD_MODEL, FEET_FIRST, inOrder),
    on: DAY,
  })
  const facts = { born: '2022-01-01', checks: [], incidents: [], confirmed: [], handOver: [] }
  const plan = planSession(FEET_FIRST, views, { facts, on: DAY })
  const tracks = [...views].map(([key, view]) => ({
    step: key.split('/')[0]!,
    side: key.split('/')[1]!,
    view,
  }))
  return { day: DAY, plan, tracks } as unknown as Line
}

const line = lineFrom([
  ...answers('settle-in-pen', 'none', 1),
  ...answers('loose-direction', 'left', 1),
  ...answers('loose-direction', 'right', 3),
])

describe('what the pen aims at', () => {
  it('is a burst’s first side at the rung it opens at', () => {
    const index = line.plan.bursts.findIndex(({ step }) => step === 'loose-direction')
    const burst = line.plan.bursts[index]!
    expect(aimOfBurst(line.plan.bursts, index)).toEqual({
      burst: index,
      step: 'loose-direction',
      side: 'right',
      rung: burst.sides[0]!.rung,
    })
    expect(aimOfBurst(line.plan.bursts, 99)).toBeNull()
  })

  it('is the plan’s burst of a step where it has one, and otherwise its worse side', () => {
    expect(aimOfStep(line, line.plan.bursts, 'loose-direction')).toMatchObject({
      side: 'right',
      burst: expect.any(Number),
    })
    expect(aimOfStep(line, [], 'loose-direction')).toMatchObject({ side: 'right', burst: null })
    expect(aimOfStep(line, line.plan.bursts, 'whistle')).toBeNull()
  })
})

describe('advice in the pen', () => {
  const view = (marks: readonly { side: 'left' | 'right'; grade: 1 | 3; recalled?: boolean }[]): PenView =>
    ({
      step: { kind: 'ask' },
      pen: { aim: { side: 'right' }, burstStartedAt: 0, danger: false, answers: [] },
      answers: marks.map((mark) => ({ calm: 0, recalled: false, ...mark })),
    }) as unknown as PenView

  it('ends for two signs of tiredness whatever else is to be said, by the signs of the whole session', () => {
    const signs = ['forges', 'trips'].map((sign, i) => ({
      sign,
      at: new Date(60_000 * (i + 1)).toISOString(),
    }))
    const tired = view([
      { side: 'right', grade: 3 },
      { side: 'right', grade: 3 },
    ])
    const told = { ...tired, pen: { ...tired.pen, answers: signs } } as unknown as PenView
    expect(penAdvice(told, 200_000)?.headline).toBe('It is tired')
  })

  it('asks less of a horse that settles later with each approach', () => {
    const settled = [4, 6, 9, 13, 18].map((seconds, i) => ({
      side: 'right',
      grade: 1,
      calm: 1,
      recalled: false,
      seconds,
      at: new Date(40_000 * (i + 1)).toISOString(),
    }))
    const accept = { ...view([]), step: { kind: 'accept' }, answers: settled } as unknown as PenView
    expect(penAdvice(accept, 100_000)?.headline).toBe('It takes longer each time')
  })

  it('looks at the side that is asked, and not at what was recalled', () => {
    expect(
      penAdvice(
        view([
          { side: 'right', grade: 3 },
          { side: 'right', grade: 3 },
        ]),
        1000,
      )?.kind,
    ).toBe('smaller')
    expect(
      penAdvice(
        view([
          { side: 'left', grade: 3 },
          { side: 'right', grade: 3 },
        ]),
        1000,
      ),
    ).toBeNull()
    expect(
      penAdvice(
        view([
          { side: 'right', grade: 3, recalled: true },
          { side: 'right', grade: 3 },
        ]),
        1000,
      ),
    ).toBeNull()
  })

  it('counts two minutes from the burst’s own start', () => {
    expect(penAdvice(view([]), 119_000)).toBeNull()
    expect(penAdvice(view([]), 121_000)?.kind).toBe('time')
  })
})

describe('the light ask after an accept', () => {
  const lightAsk = { step: 'loose-direction', name: 'Loose direction', rung: 4, rungName: '' }
  const view = (kind: 'accept' | 'ask', step: string, grades: readonly number[]): PenView =>
    ({
      pen: { aim: { burst: 0, step, side: 'left', rung: 1 }, bursts: [{ lightAsk }], running: null },
      step: { key: step, kind },
      answers: grades.map((grade) => ({ grade, side: 'left', step })),
    }) as unknown as PenView

  it('is asked on the same side once the accept was worked', () => {
    expect(aimAtFeet(view('accept', 'rope-over', []), line)).toBeNull()
    expect(aimAtFeet(view('accept', 'rope-over', [0]), line)).toEqual({
      burst: 0,
      step: 'loose-direction',
      side: 'left',
      rung: 4,
    })
    expect(aimAtFeet(view('ask', 'loose-direction', [1]), line)).toBeNull()
  })

  it('says the feet sleep when they answer two grades worse than usual', () => {
    expect(feetAdvice(view('ask', 'loose-direction', [1]), line)?.headline).toBe('The feet still listen')
    expect(feetAdvice(view('ask', 'loose-direction', [3]), line)?.headline).toBe(
      'The feet have gone to sleep',
    )
    expect(feetAdvice(view('accept', 'rope-over', [3]), line)).toBeNull()
  })
})

describe('the tags', () => {
  it('lead to the same part of the day with another horse', () => {
    expect(pathForHorse('/pen/a', 'b')).toBe('/pen/b')
    expect(pathForHorse('/horses/a/steps/draw', 'b')).toBe('/horses/b')
    expect(pathForHorse('/week', 'b')).toBe('/horses/b')
  })

  it('say the day’s work and never a verdict', () => {
    const row = (plan: object) => jobWords({ plan } as never)
    expect(row({ rests: false, minutes: 22 })).toBe('ground, 22 min')
    expect(row({ rests: true, reason: 'Rests: veterinary hold since 2026-05-01.' })).toBe('vet hold')
    expect(row({ rests: true, reason: 'Rests: everything holds.' })).toBe('rests')
  })
})
