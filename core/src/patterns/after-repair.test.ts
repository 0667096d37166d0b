import { describe, expect, it } from 'vitest'
import { goneAfter, repairsByFault, type Tried } from './after-repair'

const tried = (repair: string, worked: number, failed: number): Tried[] => [
  ...Array.from({ length: worked }, () => ({ fault: 'comes in', repair, worked: true })),
  ...Array.from({ length: failed }, () => ({ fault: 'comes in', repair, worked: false })),
]

describe('what came after a repair', () => {
  const asked = (...faults: (string | null)[]) => faults.map((fault, i) => ({ at: 10 * (i + 1), fault }))

  it('is told by the next three asks, and not before they have come', () => {
    const repair = { fault: 'comes in', at: 15 }
    expect(goneAfter(repair, asked('comes in', null, null))).toBeNull()
    expect(goneAfter(repair, asked('comes in', null, null, null))).toBe(true)
    expect(goneAfter(repair, asked(null, null, 'tilts', 'comes in', null))).toBe(false)
    expect(goneAfter(repair, asked(null, null, null, null, 'comes in'))).toBe(true)
  })

  it('names a best one only where it stands apart (Wilson 1927)', () => {
    const [found] = repairsByFault([...tried('smaller', 13, 1), ...tried('louder', 2, 10)])
    expect(found).toMatchObject({ fault: 'comes in', best: 'smaller', says: 'apart' })
    const open = { fault: 'comes in', repair: 'smaller', worked: null }
    expect(repairsByFault([open])).toEqual([])
    expect(repairsByFault([...tried('smaller', 3, 1), ...tried('louder', 1, 1), open])[0]?.says).toBe(
      'too-few',
    )
  })
})
