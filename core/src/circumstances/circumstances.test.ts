import { describe, expect, it } from 'vitest'
import {
  CIRCUMSTANCE_KINDS,
  circumstancesInWords,
  isSo,
  notedIn,
  notedInAny,
  NOTHING_NOTED,
  valuesOf,
  valueWords,
  type Circumstances,
} from './circumstances'

const so = (change: Partial<Circumstances>): Circumstances => ({ ...NOTHING_NOTED, ...change })

describe('how a session was', () => {
  it('is nothing until something is noted', () => {
    expect(notedIn(NOTHING_NOTED)).toEqual([])
    expect(circumstancesInWords(NOTHING_NOTED)).toBe('')
    expect(notedInAny([NOTHING_NOTED, NOTHING_NOTED])).toEqual([])
  })

  it('is told in the order of its kinds, the kit last', () => {
    const windy = so({ weather: 'wind', watching: 'few', kit: 'rope halter, 4 m line' })
    expect(circumstancesInWords(windy)).toBe(
      'People watching: one to three; Weather: wind; Kit: rope halter, 4 m line',
    )
  })

  it('has kits told apart by their words alone', () => {
    const rope = so({ kit: 'Rope  halter ' })
    expect(isSo(rope, { kind: 'kit', value: 'rope halter' })).toBe(true)
    expect(isSo(rope, { kind: 'kit', value: 'headcollar' })).toBe(false)
    expect(notedInAny([rope, so({ kit: 'rope halter' }), so({ kit: '  ' })])).toHaveLength(1)
  })

  it('lists each thing noted once, as the kinds list it', () => {
    const all = [so({ weather: 'heat' }), so({ weather: 'wind', ground: 'new' }), so({ weather: 'heat' })]
    expect(notedInAny(all)).toEqual([
      { kind: 'ground', value: 'new' },
      { kind: 'weather', value: 'wind' },
      { kind: 'weather', value: 'heat' },
    ])
  })

  it('has words for every value of every kind, all different', () => {
    for (const kind of CIRCUMSTANCE_KINDS) {
      const words = valuesOf(kind).map(([value]) => valueWords(kind, value))
      expect(new Set(words).size).toBe(words.length)
      expect(isSo(so({}), { kind, value: valuesOf(kind)[0]![0] })).toBe(false)
    }
  })
})
