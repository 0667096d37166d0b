import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inOrder, type Placed } from './order'

const item = (step: string, change: Partial<Placed> = {}): Placed => ({
  step,
  role: 'learn',
  worth: 1,
  endsWell: false,
  after: [],
  at: null,
  ...change,
})

const steps = (items: readonly Placed[]): string =>
  inOrder(items)
    .map(({ step }) => step)
    .join(' ')

describe('the order of a session', () => {
  it('comes back to a step instead of going on with it', () => {
    expect(steps([item('a'), item('a'), item('b'), item('b'), item('c')])).not.toMatch(/(\w) \1/)
  })

  it('never has the same pair twice running', () => {
    expect(steps([item('a'), item('a'), item('b'), item('b'), item('c')])).not.toMatch(/(\w) (\w) \1 \2/)
  })

  it('opens with the first asks and ends on something good', () => {
    const order = steps([
      item('a'),
      item('close', { role: 'close', endsWell: true }),
      item('b'),
      item('look', { role: 'check', endsWell: true }),
    ])
    expect(order).toMatch(/^look . . close$/)
  })

  it('ends on the surest of what is learnt where there is nothing else', () => {
    expect(steps([item('sure', { endsWell: true, worth: 9 }), item('a'), item('b')])).toMatch(/sure$/)
  })

  it('has the ingredients before what is put together from them', () => {
    expect(steps([item('whole', { after: ['part'], worth: 9 }), item('part'), item('c')])).toMatch(
      /part.*whole/,
    )
  })

  it('does what is worth most while the horse is fresh', () => {
    expect(
      steps([
        item('little', { worth: 1 }),
        item('much', { worth: 5 }),
        item('end', { endsWell: true, worth: 2 }),
      ]),
    ).toBe('much little end')
  })

  it('leaves a pinned burst in its place, and loses none', () => {
    const items = fc.array(
      fc.record({
        step: fc.constantFrom('a', 'b', 'c', 'd'),
        at: fc.option(fc.nat(6)),
        worth: fc.nat(9),
        endsWell: fc.boolean(),
      }),
      { maxLength: 7 },
    )
    fc.assert(
      fc.property(items, (list) => {
        const placed = list.map((one) => item(one.step, one))
        const order = inOrder(placed)
        expect(order.length).toBe(placed.length)
        expect(new Set(order)).toEqual(new Set(placed))
        const pins = placed.filter(({ at }) => at !== null && at < placed.length)
        for (const pin of pins)
          if (
            pins.filter(({ at }) => at === pin.at).length === 1 &&
            placed.every(({ at }) => at === null || at < placed.length)
          )
            expect(order.indexOf(pin)).toBe(pin.at)
      }),
    )
  })
})
