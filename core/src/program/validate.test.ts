import { describe, expect, it } from 'vitest'
import { CATALOGUE } from './catalogue'
import { FEET_FIRST } from './schools'
import { stepOf, type Program } from './program'
import type { NeedRef, Step } from './step'
import { flawsOf } from './validate'

const withStep = (key: string, change: Partial<Step>): Program => ({
  ...FEET_FIRST,
  steps: FEET_FIRST.steps.map((step) => (step.key === key ? { ...step, ...change } : step)),
})

const needing = (...needs: NeedRef[]) => ({ needs })

describe('the catalogue', () => {
  it('holds 74 steps in nine stages', () => {
    expect(CATALOGUE).toHaveLength(74)
    const perStage = [1, 2, 3, 4, 5, 6, 7, 8, 9].map(
      (stage) => CATALOGUE.filter((s) => s.stage === stage).length,
    )
    expect(perStage).toEqual([11, 10, 10, 14, 8, 6, 6, 5, 4])
  })

  it('marks the required rung where it is not the last', () => {
    const required = (key: string) => CATALOGUE.find((step) => step.key === key)?.requiredRung
    expect([required('head-rub'), required('stand'), required('tie'), required('halter-on')]).toEqual([
      3, 3, 4, 4,
    ])
    expect(CATALOGUE.every(({ rungs }) => rungs.every((rung) => !rung.includes('*')))).toBe(true)
  })

  it('keeps the higher need for the five steps a neck hangs on, and the first one ridden', () => {
    expect(CATALOGUE.filter(({ need }) => need).map(({ key }) => key)).toEqual([
      'stand',
      'yield-hind',
      'bend',
      'stop-on-circle',
      'weight-in-stirrup',
      'ride-bend',
    ])
  })
})

describe('Feet First', () => {
  it('has no flaw', () => expect(flawsOf(FEET_FIRST)).toEqual([]))

  it('leaves food out and puts draw before the halter', () => {
    expect(stepOf(FEET_FIRST, 'food-manners')).toBeUndefined()
    expect(stepOf(FEET_FIRST, 'halter-on')?.needs).toContainEqual({ step: 'draw', rung: 3 })
  })
})

describe('a flawed program', () => {
  it('names a need that is no step', () => {
    const flaws = flawsOf(withStep('stand', needing({ step: 'whistle' })))
    expect(flaws.map(({ words }) => words)).toContain(
      'stand needs “whistle”, which is not a step of this program.',
    )
  })

  it('names a rung beyond the ladder', () => {
    const flaws = flawsOf(withStep('stand', needing({ step: 'lead-up', rung: 9 })))
    expect(flaws.map(({ words }) => words)).toContain('stand needs lead-up at rung 9, but it has 4.')
  })

  it('names a role that no step has', () => {
    const flaws = flawsOf({ ...FEET_FIRST, steps: FEET_FIRST.steps.map((step) => ({ ...step, roles: [] })) })
    expect(flaws.map(({ kind, step }) => `${kind} ${step}`)).toContain('unknown halter')
  })

  it('tells a circle by its steps, and all that can never be reached behind it', () => {
    const flaws = flawsOf(withStep('settle-in-pen', needing({ step: 'face-up', rung: 2 })))
    const circles = flaws.filter(({ kind }) => kind === 'circle')
    expect(circles.map(({ words }) => words)).toEqual([
      'These wait for each other: settle-in-pen needs face-up needs settle-in-pen.',
    ])
    expect(flaws.some(({ kind, step }) => kind === 'unreachable' && step === 'ride-small-fence')).toBe(true)
  })

  it('allows a step to need an earlier rung of one that later needs it', () => {
    const later: NeedRef = { step: 'halter-on', rung: 1, fromRung: 4 }
    const headRub = stepOf(FEET_FIRST, 'head-rub')!
    expect(flawsOf(withStep('head-rub', needing(...headRub.needs, later)))).toEqual([])
  })

  it('tells a step that stands in it twice', () => {
    const flaws = flawsOf({ ...FEET_FIRST, steps: [...FEET_FIRST.steps, FEET_FIRST.steps[0]!] })
    expect(flaws).toContainEqual(expect.objectContaining({ kind: 'duplicate', step: 'settle-in-pen' }))
  })
})
