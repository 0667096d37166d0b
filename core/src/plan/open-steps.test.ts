import { describe, expect, it } from 'vitest'
import { answer, day, times } from '../../tests/logs'
import type { Side } from '../answer'
import { STANDARD_MODEL as MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { replayHorse, viewsOf, type Facts, type TrackedAnswer } from '../readiness'
import { openSteps } from './open-steps'

const FACTS: Facts = { born: '2020-01-01', checks: [], incidents: [], confirmed: [], handOver: [] }

const mastered = (...keys: string[]): TrackedAnswer[] =>
  times(4, (i) =>
    keys.flatMap((key) => {
      const step = stepOf(FEET_FIRST, key)!
      const sides: readonly Side[] = step.sided ? ['left', 'right'] : ['none']
      return sides.flatMap((side) =>
        times(5, () => ({ ...answer({ day: day(2 * i), rung: step.requiredRung }), step: key, side })),
      )
    }),
  ).flat()

const opened = (log: readonly TrackedAnswer[]) => {
  const views = viewsOf(MODEL, FEET_FIRST, { records: replayHorse(MODEL, FEET_FIRST, log), on: day(8) })
  const { open, closed } = openSteps(FEET_FIRST, views, { facts: FACTS, on: day(8) })
  return {
    open: open.map(({ step }) => step.key),
    closed: new Map(closed.map(({ step, words }) => [step.key, words])),
    find: (key: string) => open.find(({ step }) => step.key === key),
  }
}

describe('open steps', () => {
  it('of a new horse is settling alone', () => expect(opened([]).open).toEqual(['settle-in-pen']))

  it('grow with what is met, in the order of the path', () => {
    expect(opened(mastered('settle-in-pen')).open).toEqual([
      'settle-in-pen',
      'face-up',
      'loose-direction',
      'first-touch',
      'catch-rope',
    ])
  })

  it('each are open or closed with a reason, never both', () => {
    const { open, closed } = opened(mastered('settle-in-pen', 'face-up'))
    expect(open.length + closed.size).toBe(FEET_FIRST.steps.length)
    for (const key of open) expect(closed.has(key)).toBe(false)
    for (const words of closed.values()) expect(words).toMatch(/^needs |hold/)
  })

  it('stop below the rung that a gate closes, until the gate says Go', () => {
    const without = mastered('settle-in-pen', 'face-up', 'draw', 'head-rub')
    expect(opened(without).find('halter-on')?.heldBy).toMatchObject({
      from: 4,
      words: expect.stringMatching(/^halter first: /),
    })
    const withTouch = [...without, ...mastered('first-touch')].sort((a, b) => a.day.localeCompare(b.day))
    expect(opened(withTouch).find('halter-on')?.heldBy).toBeNull()
  })

  it('are shut whole where the gate stands before the first rung', () => {
    const { closed } = opened(mastered('girth-rope', 'pad-blanket'))
    expect(closed.get('surcingle')).toMatch(/saddle was never checked/)
  })
})
