import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LAW_AGES, strictestAge } from './law'

describe('the law of a country or a body', () => {
  it('raises a least age, and says by whom', () => {
    const laws = [{ about: 'mounted', months: 42, source: 'Animal Welfare Act' }] as const
    expect(strictestAge(36, laws, (about) => about === 'mounted')).toEqual({
      months: 42,
      source: 'Animal Welfare Act',
    })
    expect(strictestAge(48, laws, (about) => about === 'mounted')).toEqual({ months: 48, source: null })
    expect(strictestAge(30, laws, (about) => about === 'girth')).toEqual({ months: 30, source: null })
  })

  it('never lowers one', () => {
    const law = fc.record({
      about: fc.constantFrom(...LAW_AGES),
      months: fc.nat(600),
      source: fc.constant('x'),
    })
    fc.assert(
      fc.property(fc.nat(60), fc.array(law), fc.constantFrom(...LAW_AGES), (own, laws, one) => {
        expect(strictestAge(own, laws, (about) => about === one).months).toBeGreaterThanOrEqual(own)
      }),
    )
  })
})
