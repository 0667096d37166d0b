import { describe, expect, it } from 'vitest'
import type { Carried } from '../store'
import { broughtUp } from './brought-up'

const ID = '01a0b97b-e660-7000-8000-00cfc514984f'
const OLD = {
  personId: 'me',
  horseId: ID,
  horse: { id: ID, name: 'Snipe' },
  checks: [{ id: ID, kind: 'mouth', on: '2026-05-01', until: null, passed: true, note: '' }],
  incidents: [
    {
      id: ID,
      kind: 'buck',
      on: '2026-05-02',
      step: 'sit',
      side: null,
      rung: null,
      serious: true,
      where: '',
      before: '',
      after: '',
    },
  ],
} as unknown as Carried

describe('what an older app carried', () => {
  it('has no corrections, was never taken back, and says who was up and what was hurt', () => {
    const { checks, incidents, horse, known, block } = broughtUp(OLD)
    expect(checks[0]).toMatchObject({ kind: 'mouth', leaves: null, withdrawn: null, earlier: [] })
    expect(incidents[0]).toMatchObject({
      mounted: true,
      fell: false,
      hurt: 'none',
      withdrawn: null,
      earlier: [],
    })
    expect(horse).toMatchObject({ name: 'Snipe', estimate: null, feral: false })
    expect([known, block]).toEqual([[], null])
  })

  it('is as it was where this app carried it', () => {
    expect(broughtUp(broughtUp(OLD))).toEqual(broughtUp(OLD))
  })
})
