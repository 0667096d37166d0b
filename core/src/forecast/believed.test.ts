import { describe, expect, it } from 'vitest'
import { workedHorse } from '../../tests/worked-horse'
import { addDays } from '../answer'
import { STANDARD_MODEL } from '../judgement'
import { FEET_FIRST } from '../program'
import { noRecords } from '../readiness'
import { horseBelieved } from './believed'
import { futureOf } from './draw'
import { setupOf } from './forecast'
import { morningOf } from './seen'

const worked = workedHorse(4, { upTo: 'lead-up', without: ['target', 'food-manners'] })
const believed = horseBelieved(STANDARD_MODEL, FEET_FIRST, worked.records)

describe('what a forecast takes up of a horse', () => {
  it('is its own numbers, the speed as a logarithm over the standard one', () => {
    const { speed, talent } = worked.records.horse
    expect(0.35 * Math.exp(believed.logSpeed.mean)).toBeCloseTo(speed.mean, 12)
    expect(believed.logSpeed.sd).toBeCloseTo(Math.sqrt(speed.variance) / speed.mean, 12)
    expect(believed.talent.mean).toBe(talent.mean)
  })

  it('is little of a horse nobody asked: what the model says of any', () => {
    const nothing = horseBelieved(STANDARD_MODEL, FEET_FIRST, noRecords(STANDARD_MODEL))
    expect(nothing).toMatchObject({
      talent: { mean: 0, sd: 1.5 },
      calmTalent: { mean: 0, sd: 1 },
      logSpeed: { mean: 0 },
      stiffness: { mean: 0, sd: 0.6 },
      tracks: [],
    })
  })

  it('lets the hand see its tracks as the judge does on the first morning', () => {
    const from = addDays(worked.lastDay, 3)
    const setup = setupOf({
      program: FEET_FIRST,
      gate: 'first-time-up',
      from,
      horizonDays: 30,
      draws: 1,
      seed: 1,
      born: '2015-05-01',
      by: null,
      block: 'start',
      heldWithoutEnd: false,
      loadDays: [],
      plan: { weekdays: [1, 2, 3, 4, 5, 6, 7], minutes: 25, helperWeekdays: null, off: [] },
      whatIfs: [],
      ...believed,
    })
    if ('refused' in setup) throw new Error(setup.refused)
    const { views } = morningOf(futureOf(setup, 0), { day: 0, on: from })
    const judged = worked.viewsOn(from)
    setup.path.tracks.forEach(({ key }, i) => {
      const [seen, is] = [views[i]!, judged.get(key)!]
      expect(seen.answers, key).toBe(is.answers)
      expect(seen.hardest, key).toBe(is.hardest)
      // A normal distribution in the stead of a density.
      expect(Math.abs(seen.chance - is.chance), key).toBeLessThan(0.06)
      if (is.answers > 0) expect(seen.lastDay).toBe(is.lastDay)
    })
  })
})
