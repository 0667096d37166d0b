import { describe, expect, it } from 'vitest'
import { acceptedFrom } from './accept'

// Worked by hand with a press lag of 0.4 s.
describe('one approach', () => {
  it('held until it settled: 9.4 s on the clock are 9.0 s to settle', () => {
    expect(acceptedFrom({ worst: 'moved', seconds: 9.4, tookAway: false }, 0.4)).toEqual({
      grade: 3,
      ending: 'held',
      seconds: 9,
    })
  })

  it('at ease up to three seconds, noticed beyond', () => {
    expect(acceptedFrom({ worst: 'nothing', seconds: 3.4, tookAway: false }, 0.4).grade).toBe(0)
    expect(acceptedFrom({ worst: 'nothing', seconds: 3.5, tookAway: false }, 0.4).grade).toBe(1)
  })

  it('left before it moved, though it tightened', () => {
    expect(acceptedFrom({ worst: 'tightened', seconds: 1.9, tookAway: true }, 0.4)).toEqual({
      grade: 2,
      ending: 'left-before',
      seconds: 1.5,
    })
  })

  it('left while it was moving, after it moved or left', () => {
    expect(acceptedFrom({ worst: 'moved', seconds: 2.4, tookAway: true }, 0.4).ending).toBe('left-moving')
    expect(acceptedFrom({ worst: 'left', seconds: 2.4, tookAway: true }, 0.4)).toMatchObject({
      grade: 4,
      ending: 'left-moving',
    })
  })
})
