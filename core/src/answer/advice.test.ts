import { describe, expect, it } from 'vitest'
import { adviceFor, feetHaveGoneDull, usualGrade, type BurstSoFar } from './advice'

const good = { grade: 1, calm: 0 } as const
const hard = { grade: 3, calm: 1 } as const
const offered = { grade: 0, calm: 0, uncued: true } as const

const kind = (burst: Partial<BurstSoFar>) =>
  adviceFor({ here: [], there: [], side: 'left', seconds: 30, danger: false, ...burst })?.kind

describe('advice while it happens', () => {
  it('leaves after three light and loose in a row', () => {
    expect(kind({ here: [good, good, good] })).toBe('leave')
    expect(kind({ here: [good, { ...good, calm: 1 }, good] })).toBeUndefined()
    expect(kind({ here: [good, { ...good, calm: null }, good] })).toBeUndefined()
  })

  it('makes it smaller after two hard ones, tight ones too', () => {
    expect(kind({ here: [good, hard, hard] })).toBe('smaller')
    expect(kind({ here: [good, { grade: 1, calm: 2 }, hard] })).toBe('smaller')
    expect(kind({ here: [hard, good, hard] })).toBeUndefined()
  })

  it('stops at danger before anything else', () => {
    expect(kind({ here: [hard, hard], seconds: 500, danger: true })).toBe('danger')
  })

  it('puts trouble before time and time before success', () => {
    expect(kind({ here: [hard, hard], seconds: 500 })).toBe('smaller')
    expect(kind({ here: [good, good, good], seconds: 121 })).toBe('time')
    expect(kind({ seconds: 120 })).toBeUndefined()
  })

  it('goes to the other side when this one has four asks more', () => {
    const watchful = { grade: 1, calm: 1 } as const
    const here = [watchful, watchful, watchful, watchful]
    expect(kind({ here })).toBe('other-side')
    expect(kind({ here, there: [good] })).toBeUndefined()
    expect(kind({ here, side: 'none' })).toBeUndefined()
  })

  it('says which side takes more once both were asked three times', () => {
    const firm = { grade: 2, calm: 1 } as const
    const here = [firm, { grade: 3, calm: 1 } as const, good, firm, { grade: 3, calm: 1 } as const, good]
    expect(
      adviceFor({
        here,
        there: [offered, good, good, { grade: 0, calm: 0 }],
        side: 'left',
        seconds: 30,
        danger: false,
      })?.headline,
    ).toBe('The left takes more')
    expect(kind({ here: [firm, good], there: [good, good, good] })).toBeUndefined()
  })

  it('sees that the pattern is being learnt, and counts no offered answer as one asked for', () => {
    expect(kind({ here: [good, offered, good, offered] })).toBe('pattern')
    expect(kind({ here: [offered, offered, { ...good, calm: 1 }, good, good, good] })).toBe('leave')
  })
})

describe('whether the feet still listen', () => {
  it('takes the middle of the last grades, the better one of two', () => {
    expect(usualGrade([good, { grade: 0, calm: 0 }, hard])).toBe(1)
    expect(usualGrade([{ grade: 0, calm: 0 }, good])).toBe(0)
    expect(usualGrade([])).toBeNull()
  })

  it('calls two grades worse than usual dull', () => {
    expect(feetHaveGoneDull(1, 3)).toBe(true)
    expect(feetHaveGoneDull(1, 2)).toBe(false)
    expect(feetHaveGoneDull(null, 4)).toBe(false)
  })
})
