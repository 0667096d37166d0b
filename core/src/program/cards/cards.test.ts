import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../catalogue'
import { SCHOOLS } from '../schools'
import { STAGE_CAUTIONS } from './cautions'
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

/**
 * What a repair may not say in a school, by its feel and its rule for a fright: common practice, no source. Rhythmic
 * schools keep the same level in a fright and never pull; those that stand never chase or swing; those that mark ask
 * once and never more; those of light aids let go within the step and keep their legs slow.
 */
const AGAINST: Readonly<Record<string, RegExp>> = {
  'feet-first':
    /dead pull until|hold it longer|leave (it )?before|take the hand away before|further away and higher/i,
  'stand-first': /swing|send it|drive it|bump|tap |keep the same|chase|shake|never leaves/i,
  'mark-and-reward': /swing|bump|tap |keep the same|hold what|harder|stronger|shade more|hold it longer/i,
  'light-aids': /swing|bump|keep the same|hold what|hold it longer|until it stands up/i,
}

describe('a repair', () => {
  it('never goes against its school’s feel or its rule for a fright', () => {
    for (const { school, steps } of SCHOOLS)
      for (const { key } of steps)
        for (const { fault, repair } of cardFor(key, school).faults) {
          const isAllowed = /never a dead pull/.test(repair) || !AGAINST[school]!.test(repair)
          expect([school, key, fault, isAllowed ? '' : repair]).toEqual([school, key, fault, ''])
        }
  })
})

describe('the words that were unsafe', () => {
  const all = SCHOOLS.flatMap(({ school, steps }) =>
    steps.flatMap(({ key }) =>
      Object.values(cardFor(key, school))
        .flat()
        .map((part) => JSON.stringify(part)),
    ),
  ).join(' ')

  it.each([
    [/jump up from the block/i],
    [/between (its|your|the handler’s) knees, and mark/i],
    [/over and under as you did/i],
    [/toe well down/i],
    [/eat hay with it in/i],
    [/side it does not expect/i],
    [/every pace with the saddle before any pace/i],
    [/the bar comes last and goes first/i],
    [/stopped changing teeth/i],
  ])('are gone: %s', (words) => expect(all).not.toMatch(words))

  it('say the hip with the brake, the collar with the tie, and no surcingle before its gate', () => {
    for (const key of ['bend', 'ride-bend']) expect(cardFor(key).purpose).toMatch(/hip stepping over/)
    expect(cardFor('tie').cautions.join()).toMatch(
      /halter ring to a neck collar. Cross-ties: quick release on both sides/,
    )
    expect(cardFor('rope-behind').kit.join()).not.toMatch(/surcingle/)
    expect(cardFor('drive').kit.join()).toMatch(/only once the First saddle gate is open/)
  })

  it('keep the general cautions of their stage on every card', () => {
    for (const { key, stage } of CATALOGUE)
      for (const caution of STAGE_CAUTIONS[stage - 1]!) expect(cardFor(key).cautions).toContain(caution)
  })
})

describe('the step cards', () => {
  it.each(ALL)('%s has every part', (key) => {
    const { purpose, counts, faults, kit, cautions, how } = cardFor(key)
    expect(purpose.length).toBeGreaterThan(15)
    expect(counts.length).toBeGreaterThan(30)
    expect(how.length).toBeGreaterThan(40)
    expect(kit.length).toBeGreaterThan(0)
    expect(cautions.length).toBeGreaterThan(0)
    expect(faults.length).toBeGreaterThanOrEqual(2)
    expect(faults.length).toBeLessThanOrEqual(7)
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
