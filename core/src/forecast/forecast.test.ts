import { describe, expect, it } from 'vitest'
import { ASKED } from '../../tests/arriving-horse'
import { FEET_FIRST, sidesOf, stepOf } from '../program'
import { drawsOf, forecast, setupOf, type ForecastAsked } from './forecast'
import type { Setup } from './draw'
import type { KnownTrack } from './standing'

const setup = (change: Partial<ForecastAsked> = {}): Setup => {
  const made = setupOf({ ...ASKED, ...change })
  if ('refused' in made) throw new Error(made.refused)
  return made
}

const daysOf = (made: Setup, first = 0, count = ASKED.draws): readonly number[] =>
  drawsOf(made, { first, count }).map(({ days }) => days ?? ASKED.horizonDays)

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length

/** Every track of the gate held, light and loose, up to last week. */
const held: readonly KnownTrack[] = FEET_FIRST.steps.flatMap((step) =>
  sidesOf(step).map((side) => ({
    step: step.key,
    side,
    ability: { mean: 3, sd: 0.3 },
    calm: { mean: 3, sd: 0.3 },
    answers: 30,
    daysWorked: 10,
    atRequired: 20,
    coldPasses: [true, true, true],
    lastDay: '2026-02-27',
    solidAtEnd: true,
    places: [1, 2, 3, 4, 5],
    moving: 2,
  })),
)

describe('a forecast', () => {
  const draws = drawsOf(setup(), { first: 0, count: ASKED.draws })

  it('is the same again, draw by draw, whoever makes which slice', () => {
    expect(drawsOf(setup(), { first: 3, count: 2 })).toEqual(draws.slice(3, 5))
  })

  it('works these horses not much longer than the composer does, which takes 33 work days in the middle', () => {
    const came = draws.filter(({ days }) => days !== null).map(({ workDays }) => workDays)
    const sorted = came.toSorted((a, b) => a - b)
    expect(came.length).toBeGreaterThanOrEqual(0.8 * draws.length)
    // Forty such horses by the composer (decision 0028). This hand may be no quicker, and no slower than a third more.
    const middle = sorted[Math.floor(sorted.length / 2)]!
    expect(middle).toBeGreaterThanOrEqual(33)
    expect(middle).toBeLessThan(1.33 * 33)
  })

  it('lets one more day a week come sooner, and says so more sharply with the same luck', () => {
    const more = { plan: { ...ASKED.plan, weekdays: [1, 2, 3, 5] } }
    const spreadOf = (other: readonly number[]): number => {
      const base = draws.map(({ days }) => days ?? ASKED.horizonDays)
      const differences = other.map((days, i) => days - base[i]!)
      const middle = mean(differences)
      expect(middle).toBeLessThan(0)
      return Math.sqrt(mean(differences.map((one) => (one - middle) ** 2)))
    }
    const common = spreadOf(daysOf(setup(more)))
    const own = spreadOf(daysOf(setup({ ...more, seed: 99 })))
    expect(common).toBeLessThan(own)
  })

  it('stands before the gate at once where all holds, and waits for what does not', () => {
    expect(daysOf(setup({ tracks: held }), 0, 3)).toEqual([0, 0, 0])
    const tight = held.map((one) =>
      one.step === 'bend' && one.side === 'left' ? { ...one, coldPasses: [false], solidAtEnd: false } : one,
    )
    const waiting = drawsOf(setup({ tracks: tight }), { first: 0, count: 3 })
    for (const { days, last } of waiting) {
      expect(days).toBeGreaterThan(0)
      const { path } = setup()
      expect(last.map((i) => path.tracks[i]!.key)).toContain('bend/left')
    }
  })

  it('waits for the age that a gate asks for, whatever holds', () => {
    const asked = { tracks: held, born: '2023-04-10' }
    // Three years old on 10 April, a Friday, 39 days on; what holds may be worn on that very morning.
    const days = daysOf(setup(asked), 0, 6)
    expect(Math.min(...days)).toBe(39)
    expect(days.filter((one) => one === 39).length).toBeGreaterThanOrEqual(3)
  })

  it('does nothing under a girth without the years for it, and nothing with a person up without a helper', () => {
    expect(daysOf(setup({ born: '2024-12-01' }), 0, 1)).toEqual([ASKED.horizonDays])
    const ready = held.filter(({ step }) => stepOf(FEET_FIRST, step)!.stage < 7)
    const alone = { gate: 'off-the-lead', tracks: ready, plan: { ...ASKED.plan, helperWeekdays: [] } }
    expect(daysOf(setup(alone), 0, 1)).toEqual([ASKED.horizonDays])
    const [helped] = daysOf(setup({ ...alone, plan: ASKED.plan }), 0, 1)
    expect(helped).toBeLessThan(ASKED.horizonDays)
  })

  it('says what holds it, what moves it, and what a refused what-if is refused for', () => {
    const told = forecast({
      ...ASKED,
      draws: 4,
      by: '2026-07-01',
      whatIfs: [
        { id: 'rest', plan: { weekdays: [] } },
        { id: 'longer', plan: { minutes: 30 } },
      ],
    })
    if ('refused' in told) throw new Error(told.refused)
    expect(told.holds.length).toBeGreaterThan(0)
    expect(told.moves.map(({ of }) => of)).toEqual(['talent', 'calmTalent', 'logSpeed', 'stiffness'])
    expect(told.whatIfs[0]).toEqual({ id: 'rest', refused: 'No day of the week is planned.' })
    expect(told.whatIfs[1]).toHaveProperty('differenceDays')
    expect(told.share.by).not.toBeNull()
  })

  it('is refused where nothing can be told', () => {
    expect(forecast({ ...ASKED, born: null })).toHaveProperty('refused')
    expect(forecast({ ...ASKED, block: 'grow' })).toHaveProperty('refused')
    expect(forecast({ ...ASKED, heldWithoutEnd: true })).toHaveProperty('refused')
  })
})
