import { addDays } from '../answer'
import { describe, expect, it } from 'vitest'
import { bodyOf, riderShare, type Measured } from '.'

const NOTHING: Measured = {
  on: '2026-05-14',
  girthCm: null,
  lengthCm: null,
  withersCm: null,
  croupCm: null,
  condition: null,
  scaleKg: null,
}
const at = (on: string, more: Partial<Measured>): Measured => ({ ...NOTHING, on, ...more })
const asked = (months: number | null, on = '2026-05-14') => ({
  on,
  ageOn: () => (months === null ? null : { low: months, high: months }),
})

describe('the body of a horse', () => {
  it('is nothing where nothing was measured, and due', () =>
    expect(bodyOf([], asked(40))).toMatchObject({ weight: null, growth: null, trend: null, isDue: true }))

  it('takes the newest weight by its day, in whatever order it came, and none from after the day asked for', () => {
    const measured = [
      at('2026-05-10', { scaleKg: 440 }),
      at('2026-05-01', { scaleKg: 430 }),
      at('2026-05-20', { scaleKg: 500 }),
    ]
    expect(bodyOf(measured, asked(40)).weight).toMatchObject({ on: '2026-05-10', kg: 440 })
  })

  it('reads a tape by the divisor of its age, and by the older one where the age is in doubt', () => {
    const tape = at('2026-05-14', { girthCm: 150, lengthCm: 130 })
    const method = (low: number, high: number) =>
      bodyOf([tape], { on: '2026-05-14', ageOn: () => ({ low, high }) }).weight!.method
    expect([method(6, 6), method(14, 14), method(30, 30), method(20, 28)]).toEqual([
      'weanling',
      'yearling',
      'adult',
      'adult',
    ])
    expect(bodyOf([tape], asked(null)).weight!.method).toBe('adult')
  })

  it('tells the share of the mature weight of the day it was measured, and that its croup is ahead', () => {
    const { growth } = bodyOf([at('2026-05-14', { withersCm: 150, croupCm: 154, scaleKg: 420 })], asked(24))
    expect(growth).toMatchObject({ says: 'growing-now' })
    expect(growth!.matureKgLow).toBeCloseTo(420 / 0.8584118412, 6)
  })

  it('sees a loss over a month, and takes two weights of a day as one', () => {
    const weekly = [0, 7, 14, 21, 28].map((days, i) =>
      at(addDays('2026-04-01', days), { scaleKg: 450 - 6 * i }),
    )
    const twice = [...weekly, at('2026-04-29', { scaleKg: 426 })]
    expect(bodyOf(twice, asked(100)).trend).toMatchObject({ n: 5, says: 'losing' })
  })

  it('is due after a month while it grows, and after three once it is grown', () => {
    const measured = [at('2026-04-14', { scaleKg: 400 })]
    expect(bodyOf(measured, asked(40)).isDue).toBe(true)
    expect(bodyOf(measured, asked(90)).isDue).toBe(false)
    expect(bodyOf(measured, asked(null)).isDue).toBe(true)
  })
})

// Powell, Bennett-Wimbush, Peeples and Duthie 2008, J. Equine Vet. Sci. 28(1), 28–33 (from memory: verify): eight grown
// light horses carried 15, 20, 25 and 30 % of their own weight. Hearts went faster and muscles were sorer at 25 and 30,
// not at 15 and 20. Nothing in it is about young horses.
describe('how heavy a rider may be, against what was found on grown horses', () => {
  const carried = (share: number, rideNumber: number) =>
    riderShare({ riderKg: share * 500 - 10, tackKg: 10, horseKg: 500, rideNumber, conditionScore: 5 }).says

  it('lets a grown, ridden horse carry the loads that were borne, and stops those that were not', () => {
    expect([0.15, 0.2, 0.25, 0.3].map((share) => carried(share, 31))).toEqual(['ok', 'near', 'stop', 'stop'])
  })

  it('is more careful with a young one than the finding is', () => {
    expect([0.15, 0.2, 0.25].map((share) => carried(share, 5))).toEqual(['near', 'stop', 'stop'])
  })
})
