import type { Line } from '@still-pine/contract'
import { PLAIN } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { FEET_FIRST } from '@still-pine/core/program'
import { replayHorse, viewsOf, type TrackedAnswer } from '@still-pine/core/readiness'
import { describe, expect, it } from 'vitest'
import { calloutsOf, lineSentence } from './callouts'

const answer = (change: Partial<TrackedAnswer>): TrackedAnswer => ({
  step: 'settle-in-pen',
  side: 'none',
  day: '2026-05-01',
  rung: 4,
  grade: 1,
  calm: 0,
  ...PLAIN,
  ...change,
})

/** Days of five answers, every other day from 1 May. */
const worked = (days: number, change: Partial<TrackedAnswer>): TrackedAnswer[] =>
  Array.from({ length: days }, (_, i) =>
    Array.from({ length: 5 }, () =>
      answer({ ...change, day: `2026-05-${String(1 + 2 * i).padStart(2, '0')}` }),
    ),
  ).flat()

const lineOn = (day: string, log: readonly TrackedAnswer[]): Line => {
  const inOrder = [...log].sort((a, b) => a.day.localeCompare(b.day))
  const views = viewsOf(STANDARD_MODEL, FEET_FIRST, {
    records: replayHorse(STANDARD_MODEL, FEET_FIRST, inOrder),
    on: day,
  })
  const tracks = [...views].map(([key, view]) => ({
    step: key.split('/')[0]!,
    side: key.split('/')[1]!,
    view,
  }))
  return { day, tracks } as unknown as Line
}

const words = (line: Line): string[] => calloutsOf(FEET_FIRST, line).map((callout) => callout.words)

describe('what is named on the Line', () => {
  it('is nothing for a new horse', () => {
    const line = lineOn('2026-05-14', [])
    expect(words(line)).toEqual([])
    expect(lineSentence(FEET_FIRST, line)).toBe('Nothing asked yet. It begins with settling in the pen.')
  })

  it('is nothing that is Solid and fresh', () => {
    const line = lineOn('2026-05-08', worked(4, {}))
    expect(words(line)).toEqual([])
    expect(lineSentence(FEET_FIRST, line)).toBe('1 of the 1 steps begun are Solid.')
  })

  it('is what time has worn, with its days', () => {
    expect(words(lineOn('2026-08-01', worked(3, { calm: 1 })))).toEqual([
      'settle in the pen: not asked for 88 days',
    ])
  })

  it('is what slipped, before anything else', () => {
    const fought = [...worked(5, {}), answer({ day: '2026-05-11', grade: 4, calm: 2 })]
    const line = lineOn('2026-05-12', [...fought, ...worked(1, { step: 'face-up', grade: 3 })])
    expect(words(line)[0]).toBe('settle in the pen: slipped')
  })

  it('is the weaker side, and a side that was never asked', () => {
    const left = worked(3, { step: 'first-touch', side: 'left' })
    const right = worked(3, { step: 'first-touch', side: 'right', grade: 2 })
    expect(words(lineOn('2026-05-06', [...left, ...right]))[0]).toMatch(/^first touch, right \d+ %$/)
    expect(words(lineOn('2026-05-06', left))).toEqual(['first touch: right not asked'])
  })
})
