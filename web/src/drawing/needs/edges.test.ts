import { FEET_FIRST } from '@still-pine/core/program'
import { applyEdit, copyOfSchool, type Edit } from '@still-pine/core/school-edit'
import { describe, expect, it } from 'vitest'
import { edgesOf, standsOn } from './edges'

const OWN = copyOfSchool(FEET_FIRST, 'own', 'Own')

const after = (edit: Edit) => {
  const edited = applyEdit(OWN, edit)
  if ('refused' in edited) throw new Error(edited.refused)
  return edited.program
}

describe('what needs what', () => {
  it('is the same before and after where nothing changed', () => {
    expect(new Set(edgesOf(OWN, OWN).map(({ since }) => since))).toEqual(new Set(['before']))
  })

  it('tells what a change brought and what it took away', () => {
    const more = after({ do: 'add-need', step: 'bend', need: { step: 'flag' } })
    expect(edgesOf(OWN, more).find(({ since }) => since === 'come')).toMatchObject({
      from: 'flag',
      to: 'bend',
    })
    const [need] = OWN.steps.find(({ key }) => key === 'bend')!.needs
    const less = after({ do: 'drop-need', step: 'bend', need: need! })
    expect(edgesOf(OWN, less).find(({ since }) => since === 'gone')).toMatchObject({
      from: 'give-to-halter',
      to: 'bend',
    })
  })

  it('leads from every step down to the beginning', () => {
    const under = standsOn(edgesOf(OWN, OWN), 'surcingle')
    expect(under.has('rope-over')).toBe(true)
    expect(under.has('settle-in-pen')).toBe(true)
    expect(under.has('ride-out')).toBe(false)
  })
})
