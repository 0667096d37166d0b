import type { Line } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import { describe, expect, it } from 'vitest'
import { isBehind, nextGate, postLook, postsOf } from './posts'

type Gate = Line['gates'][number]

const gate = (change: object): Gate =>
  ({
    gate: 'tie-fast',
    name: 'Tie fast',
    verdict: 'stop',
    stops: [{ rule: 'safe-rail', words: '' }],
    tracks: [{ state: 'solid' }, { state: 'coming' }],
    ...change,
  }) as unknown as Gate

const line = (states: Record<string, string>, gates: Gate[] = []): Line =>
  ({
    gates,
    shut: [],
    tracks: Object.entries(states).map(([step, state]) => ({ step, side: 'none', view: { state } })),
  }) as unknown as Line

describe('a gate’s post', () => {
  it('hangs for all twelve gates', () => expect(postsOf(FEET_FIRST)).toHaveLength(12))

  it('names its verdict when the gate is near', () => {
    expect(postLook(FEET_FIRST, line({ tie: 'coming' }), gate({})).words).toBe('Tie fast · Stop')
  })

  it('stands quietly when few of its tracks were asked, or when none are ticked', () => {
    const far = gate({ tracks: [{ state: 'coming' }, ...Array(4).fill({ state: 'new' })] })
    expect(postLook(FEET_FIRST, line({ tie: 'new' }), far).words).toBe('Tie fast')
    expect(postLook(FEET_FIRST, line({ tie: 'new' }), gate({ tracks: [] })).words).toBe('Tie fast')
  })

  it('stands quietly behind the horse while it only waits for the day', () => {
    const behind = line({ tie: 'rusty' })
    expect(isBehind(FEET_FIRST, behind, gate({}))).toBe(true)
    expect(postLook(FEET_FIRST, behind, gate({})).words).toBe('Tie fast')
    const held = gate({ stops: [{ rule: 'safe-rail' }, { rule: 'veterinary-hold' }] })
    expect(postLook(FEET_FIRST, behind, held).words).toBe('Tie fast · Stop')
  })
})

describe('the next gate', () => {
  it('is the first ahead that is not at Go', () => {
    const open = gate({ gate: 'halter', verdict: 'go' })
    const bit = gate({ gate: 'first-bit', verdict: 'not-yet' })
    const gates = [open, gate({}), bit]
    expect(nextGate(FEET_FIRST, line({ tie: 'solid', 'give-to-bit': 'new' }, gates))).toBe(bit)
    expect(nextGate(FEET_FIRST, line({ tie: 'coming', 'give-to-bit': 'new' }, gates))).toBe(gates[1])
  })
})
