import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { layRow, placeLabels, type Post } from './layout'

const steps = [
  { key: 'a', stage: 1 },
  { key: 'b', stage: 1 },
  { key: 'c', stage: 2 },
]
const posts: Post[] = [
  { gate: 'g', step: 'b', where: 'before' },
  { gate: 'e', step: 'c', where: 'after' },
]

describe('a row of rope', () => {
  const row = layRow(steps, posts, { width: 400, ropeY: 100, mostSag: 18 })

  it('hangs steps and posts in the order of the path', () => {
    const xs = [
      row.steps.get('a')!,
      row.posts.get('g')!,
      row.steps.get('b')!,
      row.steps.get('c')!,
      row.posts.get('e')!,
    ]
    expect(xs.map(({ x }) => x)).toEqual([...xs.map(({ x }) => x)].sort((a, b) => a - b))
  })

  it('uses the whole width and sags only between posts', () => {
    expect(row.posts.get('g')!.y).toBe(100)
    expect(row.steps.get('b')!.y).toBeGreaterThan(100)
    expect(row.stages).toHaveLength(2)
    expect(row.stages[1]!.endX).toBeCloseTo(400)
  })
})

describe('labels', () => {
  const wish = fc.record({
    x: fc.integer({ min: 0, max: 1200 }),
    width: fc.integer({ min: 10, max: 400 }),
    aligns: fc.constantFrom(['start'] as const, ['middle'] as const, ['middle', 'end', 'start'] as const),
  })

  it('never touch and never leave the row, whatever they say', () => {
    fc.assert(
      fc.property(fc.array(wish, { maxLength: 25 }), (list) => {
        const wishes = list.map((one, i) => ({ ...one, key: String(i) }))
        const placed = placeLabels(wishes, 1200, { lanes: 3 })
        for (const one of placed) {
          const right = one.left + wishes[Number(one.key)]!.width
          expect(one.left).toBeGreaterThanOrEqual(0)
          expect(right).toBeLessThanOrEqual(1200)
          for (const other of placed) {
            if (other.key === one.key || other.lane !== one.lane) continue
            const otherRight = other.left + wishes[Number(other.key)]!.width
            expect(right <= other.left || one.left >= otherRight).toBe(true)
          }
        }
      }),
    )
  })

  it('stand beside a neighbour’s post, not across it', () => {
    const aligns = ['middle', 'end', 'start'] as const
    const [farrier, tie] = placeLabels(
      [
        { key: 'farrier', x: 780, width: 100, aligns },
        { key: 'tie', x: 800, width: 90, aligns },
      ],
      1200,
      { lanes: 2, posts: [780, 800] },
    )
    expect(farrier).toEqual({ key: 'farrier', left: 680, lane: 0 })
    expect(tie).toEqual({ key: 'tie', left: 800, lane: 0 })
  })
})
