import { describe, expect, it } from 'vitest'
import { heldLog, inOrder, viewsFrom } from '../../tests/held'
import { addDays } from '../answer'
import type { Facts } from '../facts'
import { FEET_FIRST } from '../program'
import { gateVerdict } from '../readiness'
import { permit } from './permit'

const ON = '2026-06-20'
const HELD = viewsFrom(heldLog({ lastDay: addDays(ON, -1), days: 6 }), ON)
/** Forty months old. */
const HORSE = inOrder(ON, { born: '2023-02-20' })
const LAW = [{ about: 'mounted', months: 42, source: 'the Animal Welfare Act' }] as const

const gate = (facts: Facts, key: string) =>
  gateVerdict(
    FEET_FIRST,
    FEET_FIRST.gates.find((one) => one.key === key)!,
    { views: HELD, facts, on: ON },
  )

const ageWords = (facts: Facts, step: string): string | undefined =>
  permit({ program: FEET_FIRST, views: HELD, facts }, { step, rung: 1 }, ON).because.find(
    ({ rule }) => rule === 'age',
  )?.words

describe('what a law or a body asks', () => {
  it('raises a least age at the permit and at its gate, in the name of its source', () => {
    const words = 'It is 40 months old; the least age is 42, by the Animal Welfare Act.'
    const bound = { ...HORSE, leastAges: LAW }
    expect(ageWords(HORSE, 'sit')).toBeUndefined()
    expect(ageWords(bound, 'sit')).toBe(words)
    expect(gate(bound, 'first-time-up').stops.map((stop) => stop.words)).toContain(words)
    expect(gate(HORSE, 'first-time-up').stops.map((stop) => stop.words)).not.toContain(words)
  })

  it('touches nothing that it does not name, and lowers nothing', () => {
    expect(ageWords({ ...HORSE, leastAges: LAW }, 'surcingle')).toBeUndefined()
    const lax = [{ about: 'jump', months: 12, source: 'a body' }] as const
    expect(ageWords({ ...HORSE, leastAges: lax }, 'ride-small-fence')).toBe(
      'It is 40 months old; the least age is 48, and local law comes first.',
    )
  })
})
