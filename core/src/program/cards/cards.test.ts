import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../catalogue'
import { cardFor } from './index'

describe('the step cards', () => {
  it.each(CATALOGUE.map(({ key }) => key))('%s has every part', (key) => {
    const { purpose, counts, faults, kit, cautions } = cardFor(key)
    expect(purpose.length).toBeGreaterThan(10)
    expect(counts.length).toBeGreaterThan(8)
    expect(kit.length).toBeGreaterThan(0)
    expect(cautions.length).toBeGreaterThan(0)
    expect(faults.length).toBeGreaterThanOrEqual(2)
    for (const { fault, repair } of faults) {
      expect(fault).toBeTruthy()
      expect(repair).toBeTruthy()
    }
  })

  it('says no purpose twice', () => {
    const purposes = CATALOGUE.map(({ key }) => cardFor(key).purpose)
    expect(new Set(purposes).size).toBe(purposes.length)
  })
})
