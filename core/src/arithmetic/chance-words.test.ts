import { expect, it } from 'vitest'
import { oneIn } from './chance-words'

it('says how likely something is by chance, to a million', () => {
  expect([0.0138, 0.5, 1, 1e-6, 2e-15, 0].map(oneIn)).toEqual([
    '1 in 72',
    '1 in 2',
    '1 in 1',
    '1 in 1000000',
    'less than 1 in a million',
    'less than 1 in a million',
  ])
})
