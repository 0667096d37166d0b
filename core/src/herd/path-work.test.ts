import { describe, expect, it } from 'vitest'
import { addDays } from '../answer'
import { FEET_FIRST, stepOf } from '../program'
import { pathWork, sessionsFor } from './path-work'

const PATH = { upTo: 'tie', without: ['target', 'food-manners'] }
const days = Array.from({ length: sessionsFor(FEET_FIRST, PATH) }, (_, i) => addDays('2026-01-01', 2 * i))
const work = pathWork(FEET_FIRST, PATH, days)
const rungsOf = (key: string): number[] =>
  work.flatMap(({ bursts }) => bursts.filter(({ step }) => step === key).map(({ sides }) => sides[0]!.rung))

describe('a long stretch of work along the path', () => {
  it('takes every step up to the last, but for those left out', () => {
    const asked = new Set(work.flatMap(({ bursts }) => bursts.map(({ step }) => step)))
    expect(asked.has('tie')).toBe(true)
    expect(asked.has('target')).toBe(false)
    expect(asked.has('rope-over')).toBe(false)
    expect(asked.size).toBe(19)
  })

  it('begins a step small and has it at its required rung in the third session', () => {
    const { requiredRung } = stepOf(FEET_FIRST, 'foot-front')!
    expect(rungsOf('foot-front').slice(0, 3)).toEqual([3, 5, requiredRung])
  })

  it('comes back to what is older, the longest left first', () => {
    expect(rungsOf('settle-in-pen').length).toBeGreaterThan(5)
    expect(work.at(-1)!.bursts.length).toBeGreaterThan(9)
  })
})
