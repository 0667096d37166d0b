import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../catalogue'
import { SCHOOLS } from '../schools'
import { cardFor, GENERAL_CAUTIONS } from './index'

const ALL = CATALOGUE.map(({ key }) => key)

/** The sentences that belong to one step alone, in every school. */
const ownSentences = (key: string): readonly string[] => {
  const { purpose, counts, faults, cautions, how, underSaddle } = cardFor(key)
  return [
    purpose,
    counts,
    how,
    underSaddle ?? '',
    ...faults.map(({ repair }) => repair),
    ...cautions.filter((caution) => !GENERAL_CAUTIONS.includes(caution)),
    ...SCHOOLS.map(({ school }) => cardFor(key, school).inThisSchool),
  ].filter(Boolean)
}

describe('the step cards', () => {
  it.each(ALL)('%s has every part', (key) => {
    const { purpose, counts, faults, kit, cautions, how } = cardFor(key)
    expect(purpose.length).toBeGreaterThan(15)
    expect(counts.length).toBeGreaterThan(30)
    expect(how.length).toBeGreaterThan(40)
    expect(kit.length).toBeGreaterThan(0)
    expect(cautions.length).toBeGreaterThan(0)
    expect(faults.length).toBeGreaterThanOrEqual(2)
    expect(faults.length).toBeLessThanOrEqual(3)
    for (const { fault, repair } of faults) {
      expect(fault.length).toBeGreaterThan(4)
      expect(repair?.length, fault).toBeGreaterThan(8)
    }
  })

  it('tells how each school asks each of its steps, and no two alike', () => {
    for (const { school, steps } of SCHOOLS)
      for (const { key } of steps)
        expect(cardFor(key, school).inThisSchool.length, `${key} in ${school}`).toBeGreaterThan(15)
  })

  it('has nothing to say in a school that leaves the step out', () => {
    for (const { school, steps } of SCHOOLS)
      for (const key of ALL.filter((one) => !steps.some((step) => step.key === one)))
        expect(cardFor(key, school).inThisSchool, `${key} in ${school}`).toBe('')
  })

  it('says no sentence on two cards but the cautions that hold for many', () => {
    const owners = new Map<string, string[]>()
    for (const key of ALL)
      for (const sentence of ownSentences(key)) owners.set(sentence, [...(owners.get(sentence) ?? []), key])
    expect([...owners].filter(([, keys]) => keys.length > 1)).toEqual([])
  })

  it('stands every general caution on a card', () => {
    const said = new Set(ALL.flatMap((key) => cardFor(key).cautions))
    expect(GENERAL_CAUTIONS.filter((caution) => !said.has(caution))).toEqual([])
  })

  it('tells what changes under saddle of every ground step that carries over to a ridden one', () => {
    const [feetFirst] = SCHOOLS
    for (const { from, to } of feetFirst!.carryOver)
      if (to.startsWith('ride-'))
        expect(cardFor(from).underSaddle ?? from.startsWith('ride-'), from).toBeTruthy()
  })

  it('is blank for a step nobody has written yet', () => {
    expect(cardFor('a-yards-own').purpose).toBe('')
  })
})
