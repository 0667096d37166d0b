import { jStat } from 'jstat'
import { describe, expect, it } from 'vitest'
import { standardNormal, uniform, type Ticket } from './random'

const ticket = (change: Partial<Ticket> = {}): Ticket => ({
  seed: 1,
  draw: 0,
  track: 0,
  n: 0,
  purpose: 'grade',
  ...change,
})

const MANY = 20_000

/** Pearson's chi-square of counts that should be even, as its probability (a library's distribution). */
const pOfEven = (counts: readonly number[]): number => {
  const expected = counts.reduce((sum, one) => sum + one, 0) / counts.length
  const square = counts.reduce((sum, one) => sum + (one - expected) ** 2 / expected, 0)
  return 1 - jStat.chisquare.cdf(square, counts.length - 1)
}

describe('a random number by its ticket', () => {
  it('is the same for the same ticket, and another for any other', () => {
    expect(uniform(ticket())).toBe(uniform(ticket()))
    const others = [
      ticket({ seed: 2 }),
      ticket({ draw: 1 }),
      ticket({ track: 1 }),
      ticket({ n: 1 }),
      ticket({ purpose: 'calm' }),
    ].map(uniform)
    expect(new Set([uniform(ticket()), ...others]).size).toBe(6)
  })

  it('is evenly spread along every part of its ticket', () => {
    for (const part of ['seed', 'draw', 'track', 'n'] as const) {
      const counts = new Array<number>(50).fill(0)
      for (let i = 0; i < MANY; i++) counts[Math.floor(50 * uniform(ticket({ [part]: i })))]!++
      expect([part, pOfEven(counts) > 0.001]).toEqual([part, true])
    }
  })

  it('hangs together with its neighbour no more than chance has it', () => {
    for (const part of ['draw', 'track', 'n'] as const) {
      const pairs = Array.from({ length: MANY }, (_, i) => [
        uniform(ticket({ [part]: i })),
        uniform(ticket({ [part]: i + 1 })),
      ])
      const r = jStat.corrcoeff(
        pairs.map(([a]) => a!),
        pairs.map(([, b]) => b!),
      )
      // Four standard errors of a correlation of nothing.
      expect([part, Math.abs(r) < 4 / Math.sqrt(MANY)]).toEqual([part, true])
    }
  })

  it('makes normal numbers', () => {
    const counts = new Array<number>(20).fill(0)
    for (let draw = 0; draw < MANY; draw++)
      counts[Math.min(19, Math.floor(20 * jStat.normal.cdf(standardNormal(ticket({ draw })), 0, 1)))]!++
    expect(pOfEven(counts)).toBeGreaterThan(0.001)
  })
})
