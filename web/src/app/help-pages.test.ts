import { expect, it } from 'vitest'
import { PAGE_HELP } from './help-pages'
import { TERMS } from './help-words'

it('names only words that are explained', () => {
  const known = new Set(TERMS.map(([term]) => term))
  const named = Object.values(PAGE_HELP).flatMap(({ terms }) => terms)
  expect(named.filter((term) => !known.has(term))).toEqual([])
})
