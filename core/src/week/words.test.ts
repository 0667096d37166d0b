import { expect, it } from 'vitest'
import { randomYard } from '../../tests/random-yard'
import { clashWords, gapWords, reasonsOf } from './words'

const yard = () => {
  const asked = randomYard(1, { horses: 2 })
  return {
    ...asked,
    horses: asked.horses.map((horse) => ({ ...horse, born: '2023-04-08' })),
    people: asked.people.map((person) =>
      person.id === 'arne'
        ? { ...person, windows: [{ day: '2026-05-19', from: '08:00', to: '12:00' }] }
        : person,
    ),
  }
}

const pin = (id: string, day: string) => ({ id, pin: { id, horse: 'horse-0', day } })

it('says how far a plan may be from the best, in work days', () => {
  const said = (objective: number, bound: number, status: 'proved' | 'stopped' = 'proved') =>
    gapWords({ objective, bound, status })
  expect(said(33.4, 33.4)).toBe('No better week exists.')
  expect(said(33.4, 34)).toBe('At most 0.6 work days of 34 short of the best there can be.')
  expect(said(33, 34, 'stopped')).toBe(
    'At most 1 work day of 34 short of the best there can be. Stopped by the clock; another run may differ.',
  )
  expect(said(33, Infinity, 'stopped')).toBe('Not yet known how good this is; still looking.')
})

it('says what a visit that somebody put there clashes with', () => {
  const must = pin('thursday', '2026-05-21')
  expect(
    clashWords(yard(), {
      must,
      with: ['loadDays:horse-0', pin('monday', '2026-05-18'), pin('tuesday', '2026-05-19')],
    }),
  ).toBe(
    'Horse 0 on Thursday cannot be had: Horse 0 on Monday and Horse 0 on Tuesday are kept and Horse 0 has 3 load days in any seven at its age.',
  )
  expect(clashWords(yard(), { must, with: [] })).toBe(
    'Horse 0 on Thursday cannot be had: it fits no part of that day.',
  )
  expect(clashWords(yard(), { must, with: ['window:ylva'] })).toBe(
    'Horse 0 on Thursday cannot be had: Ylva is not there then.',
  )
})

it('says why a visit stands where it does', () => {
  const visit = {
    horse: 'horse-0',
    day: '2026-05-19',
    start: '08:00',
    slots: 2,
    part: 'morning',
    option: 0,
    due: null,
    use: 'ground',
    lead: 'arne',
    helper: null,
    place: 'pen',
  }
  const asked = yard()
  const horses = asked.horses.map((horse) => ({
    ...horse,
    urgency: 1,
    options: [{ ...horse.options[0]!, load: true, savedDays: 1.1 }],
  }))
  expect(reasonsOf({ ...asked, horses }, visit, [visit])).toEqual([
    'Arne is there only then',
    'the first load day of the week; 3 in any seven at its age',
    'saves 1.1 work days',
  ])
})
