import { describe, expect, it } from 'vitest'
import { pullLimit } from './limit'
import { witnessesInWords, type Witnessed } from './words'

const heard = (calm: Witnessed['calm'], byHeart: Witnessed['byHeart']): Witnessed => ({
  calm,
  byHeart,
  overLimit: null,
})
const pulled = (overLimit: boolean): Witnessed => ({ calm: null, byHeart: null, overLimit })

describe('a second witness in words', () => {
  it('says how often the heart agrees, and which way it differs', () => {
    expect(witnessesInWords([heard(0, 0), heard(0, 2), heard(2, 2), heard(2, 0), heard(null, 1)])).toEqual([
      'The heart agrees with the mark in 2 of 4; says tighter in 1; says looser in 1.',
    ])
  })

  it('does not compare with a mark that nobody made', () => {
    expect(witnessesInWords([heard(null, 0)])).toEqual([
      'The strap was on in 1 ask; nobody noted how the horse felt.',
    ])
  })

  it('tells how often the pull was over the limit', () => {
    expect(witnessesInWords([pulled(true), pulled(false)])).toEqual([
      'The pull went over the school’s limit in 1 of 2 asks.',
    ])
    expect(witnessesInWords([pulled(false)])).toEqual([
      'The pull kept to the school’s limit in all of 1 ask.',
    ])
  })

  it('has nothing to say where neither was on', () => {
    expect(witnessesInWords([])).toEqual([])
  })
})

describe('how hard a school may pull', () => {
  // Our judgement, no source: what each school says of itself.
  it('differs by school', () => {
    const of = (school: string, step = 'give-to-halter') => pullLimit({ school }, step)
    expect(['feet-first', 'stand-first', 'light-aids', 'mark-and-reward'].map((one) => of(one))).toEqual([
      50, 20, 20, 3,
    ])
    expect(of('light-aids', 'ride-contact')).toBe(10)
  })

  it('is that of the school it was copied from, and a cautious one where there is none', () => {
    expect(pullLimit({ school: 'ours', copyOf: 'mark-and-reward' }, 'stand')).toBe(3)
    expect(pullLimit({ school: 'ours' }, 'stand')).toBe(20)
  })
})
