import { describe, expect, it } from 'vitest'
import { cmOf, heightCmOf, heightWords, kgOf, kgWords } from './units'

describe('what is typed', () => {
  it.each([
    ['180', 'metric', 180],
    ['180,5', 'metric', 180.5],
    ['70', 'imperial', 177.8],
    ['', 'metric', null],
    ['wide', 'metric', Number.NaN],
  ] as const)('%j in %s units is %f cm', (typed, units, cm) => {
    const got = cmOf(typed, units)
    if (cm === null || Number.isNaN(cm)) expect(got).toEqual(cm)
    else expect(got).toBeCloseTo(cm, 9)
  })

  it.each([
    ['15.2', 157.48],
    ['15.5', Number.NaN],
    ['15', 152.4],
  ])('%s hands are %f cm', (typed, cm) => {
    const got = heightCmOf(typed, 'imperial')
    if (Number.isNaN(cm)) expect(got).toBeNaN()
    else expect(got).toBeCloseTo(cm, 9)
  })

  it('in pounds is told in both', () => {
    expect(kgOf('962', 'imperial')).toBeCloseTo(436.36, 2)
    expect(kgWords(436.47)).toBe('436 kg, 962 lb')
    expect(heightWords(161.7)).toBe('161.5 cm, 16.0 hands')
  })
})
