import { describe, expect, it } from 'vitest'
import { inOrder, viewsFrom } from '../../tests/held'
import { workedHorse } from '../../tests/worked-horse'
import { addDays } from '../answer'
import { FEET_FIRST, SCHOOLS } from '../program'
import { optionsOf } from './options'
import { isLoadVisit } from './rules'

const ON = '2026-05-14'

describe('what a horse may be worked at in a week', () => {
  it('is something in every school for a horse that nobody has asked yet, in whole figures', () => {
    for (const program of SCHOOLS) {
      const options = optionsOf(program, viewsFrom([], ON, program), { facts: inOrder(ON), on: ON })
      expect(options.length, program.name).toBeGreaterThan(0)
      for (const { savedDays, minutes } of options) {
        expect(savedDays).toBeGreaterThan(0)
        expect(savedDays).toBeLessThanOrEqual(1.2)
        expect(Number.isInteger(minutes)).toBe(true)
      }
    }
  })

  const worked = workedHorse(4, { upTo: 'lead-up' })
  const on = addDays(worked.lastDay, 2)

  it('has a way without load for each with, and none that another does as well for less', () => {
    const options = optionsOf(FEET_FIRST, worked.viewsOn(on), { facts: inOrder(on), on })
    expect(options.some((one) => !isLoadVisit(one))).toBe(true)
    for (const one of options)
      for (const other of options)
        if (one !== other && one.use === other.use && one.roles.length >= other.roles.length)
          expect(
            one.savedDays > other.savedDays ||
              Number(isLoadVisit(one)) < Number(isLoadVisit(other)) ||
              Number(one.load) < Number(other.load) ||
              one.minutes < other.minutes,
          ).toBe(true)
  })

  it('is nothing while it rests or is held', () => {
    const facts = inOrder(on, { offWork: 'It is left to grow.' })
    expect(optionsOf(FEET_FIRST, worked.viewsOn(on), { facts, on })).toEqual([])
  })
})
