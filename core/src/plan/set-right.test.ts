import { describe, expect, it } from 'vitest'
import { heldLog, viewsFrom } from '../../tests/held'
import { addDays } from '../answer'
import { STANDARD_MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { trackKey, type TrackView } from '../readiness'
import { candidateFor } from './ways'

const LAST = '2026-05-10'
const ON = addDays(LAST, 2)
const STAND = stepOf(FEET_FIRST, 'stand')!
const LEARNER = { model: STANDARD_MODEL, law: STANDARD_MODEL.law }

const views = viewsFrom(heldLog({ lastDay: LAST }), ON)

/** Sure enough, and nothing wanting but a first ask that passes; it opens at this rung. */
const worthWhereItOpensAt = (openAt: number): number => {
  const view: TrackView = {
    ...views.get(trackKey('stand', 'none'))!,
    state: 'coming',
    misses: [{ rule: 'cold', words: '' }],
    lastCold: { day: LAST, passed: false },
    openAt,
  }
  const { ways } = candidateFor(LEARNER, FEET_FIRST, {
    views,
    goal: { step: STAND, rung: 3, must: 'solid', gate: null, weight: 1, days: 1, behind: 0, due: null },
    open: { step: STAND, tracks: [{ side: 'none', view, rung: openAt }], permits: [], heldBy: null },
    allowed: null,
    on: ON,
  })!
  return Math.max(...ways.map(({ worth }) => worth))
}

describe('a step that is sure and ended badly, and opens a rung lower for it', () => {
  it('is worth a day of work, for until it ended well its first ask proves nothing', () => {
    expect(worthWhereItOpensAt(2)).toBeGreaterThan(0.7)
  })

  it('is worth no more than one that may be asked at its rung', () => {
    expect(worthWhereItOpensAt(2)).toBeLessThanOrEqual(worthWhereItOpensAt(3) + 0.1)
  })
})
