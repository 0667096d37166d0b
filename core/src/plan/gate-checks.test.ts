import { describe, expect, it } from 'vitest'
import { heldLog, inOrder, viewsFrom } from '../../tests/held'
import { FEET_FIRST } from '../program'
import type { DueAsk } from '../readiness'
import { gateChecks } from './gate-checks'

const due = (change: Partial<DueAsk>): DueAsk => ({
  step: 'bend',
  name: 'Bend',
  side: 'left',
  rung: 4,
  asks: 1,
  places: [],
  reason: 'Rusty: only time has worn it',
  ...change,
})

const ON = '2026-05-14'
const horse = {
  program: FEET_FIRST,
  views: viewsFrom(heldLog({ lastDay: '2026-05-12', days: 6 }), ON),
  facts: inOrder(ON),
}
const checksOf = (...asks: DueAsk[]) => gateChecks(horse, { due: asks }, ON)

describe('the checks of a gate', () => {
  const bursts = checksOf(
    due({ side: 'right', asks: 3, places: [] }),
    due({ step: 'flag', name: 'Flag', side: 'left', rung: 4, places: [4, 5] }),
    due({ side: 'left' }),
  )

  it('come step by step, in the order of the path, both sides of a step together', () => {
    expect(bursts.map(({ step, purpose }) => [step, purpose])).toEqual([
      ['flag', 'check'],
      ['bend', 'check'],
    ])
    expect(bursts[1]!.sides).toEqual([
      { side: 'right', rung: 4, asks: 3, places: [] },
      { side: 'left', rung: 4, asks: 1, places: [] },
    ])
    expect(bursts[1]!.firstSide).toBe('right')
  })

  it('ask once from each place that is missing, and say so', () => {
    expect(bursts[0]!.sides[0]!.asks).toBe(2)
    expect(bursts[0]!.reasons).toEqual([
      'Left: Rusty: only time has worn it, from behind the shoulder, behind the tail',
    ])
  })

  it('are none where nothing is due', () => expect(checksOf()).toEqual([]))

  it('leave off what may not be asked yet, and say what is to be confirmed for the rest', () => {
    const young = { ...horse, facts: inOrder(ON, { born: '2024-09-01' }) }
    const asks = [due({}), due({ step: 'weight-in-stirrup', name: 'Weight in the stirrup', rung: 3 })]
    expect(gateChecks(young, { due: asks }, ON).map(({ step }) => step)).toEqual(['bend'])
    const up = checksOf(...asks)
    expect(up.map(({ step }) => step)).toEqual(['bend', 'weight-in-stirrup'])
    expect(up[1]!.provided.join()).toMatch(/second person.*helmet/)
  })
})
