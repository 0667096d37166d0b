import { describe, expect, it } from 'vitest'
import type { Calm, Grade } from '../answer'
import { setAdvice } from './set-advice'

const asked = (...marks: readonly (readonly [Grade, Calm | null])[]) =>
  marks.map(([grade, calm]) => ({ grade, calm }))

const EASY = [0, 0] as const
const WATCHFUL = [1, 1] as const
const HARD = [3, 1] as const

describe('a set of three', () => {
  it('says nothing in the middle of a good one, nor after three loose ones, which say it themselves', () => {
    expect(setAdvice([])).toBeNull()
    expect(setAdvice(asked(EASY, HARD))).toBeNull()
    expect(setAdvice(asked(EASY, EASY, EASY))).toBeNull()
  })

  it('is one more after one hard one, never a third', () => {
    expect(setAdvice(asked(EASY, HARD, EASY))?.headline).toBe('One more set')
    expect(setAdvice(asked(EASY, HARD, EASY, EASY, HARD, EASY))?.headline).toBe('Leave it here')
  })

  it('is a rung smaller after two hard ones, and something else after three good ones', () => {
    expect(setAdvice(asked(HARD, [1, 2]))?.kind).toBe('smaller')
    expect(setAdvice(asked(WATCHFUL, EASY, WATCHFUL))?.headline).toBe('Three went well')
  })
})
