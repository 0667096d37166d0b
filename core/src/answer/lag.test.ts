import { describe, expect, it } from 'vitest'
import { pressLagFrom } from './lag'

describe('the press lag', () => {
  it('is the middle press, or half way between the two in the middle', () => {
    expect(pressLagFrom([0.5, 0.3, 0.4])).toBe(0.4)
    expect(pressLagFrom([0.3, 0.6, 0.4, 0.5])).toBe(0.45)
  })

  it('leaves out what was guessed and what was missed', () => {
    expect(pressLagFrom([0.02, 0.3, 0.4, 0.5, 9])).toBe(0.4)
  })

  it('says nothing from fewer than three', () => {
    expect(pressLagFrom([0.3, 0.4])).toBeNull()
  })
})
