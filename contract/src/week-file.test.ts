import { loadSolver, type Solver } from '@still-pine/core/solver'
import { beforeAll, describe, expect, it } from 'vitest'
import { planFile } from './week-file'

let solve: Solver
beforeAll(async () => {
  solve = await loadSolver()
})

const DAY = '2026-05-18'

/** The least that a week is planned from, with what is of interest changed. */
const file = (change: Record<string, unknown> = {}) => ({
  firstDay: DAY,
  parts: [{ id: 'morning', from: '07:00', to: '12:00' }],
  people: [
    {
      id: 'ylva',
      name: 'Ylva',
      roles: ['start'],
      windows: [
        { day: DAY, from: '08:00', to: '10:00' },
        { day: DAY, from: '09:00', to: '11:00' },
      ],
    },
  ],
  places: [{ id: 'pen', name: 'Pen', suits: ['ground'] }],
  horses: [
    {
      id: 'sedge',
      name: 'Sedge',
      block: 'start',
      wantedVisits: 1,
      options: [{ use: 'ground', minutes: 20, load: false, hard: false, roles: ['start'], savedDays: 1 }],
    },
  ],
  ...change,
})

const faults = (change: Record<string, unknown>): readonly string[] => {
  const result = planFile(file(change), solve)
  return result.ok ? [] : result.faults.map(({ field, words }) => `${field}: ${words}`)
}

const horse = file().horses[0]!
const person = file().people[0]!

describe('a file of a week', () => {
  it('is planned, overlapping windows taken as one', () => {
    const result = planFile(file(), solve)
    expect(result).toMatchObject({
      ok: true,
      reply: {
        status: 'proved',
        words: 'No better week exists.',
        shortOfBestDays: 0,
        visits: [{ horse: 'sedge', day: DAY, start: '08:00', lead: 'ylva', place: 'pen', slots: 2 }],
      },
    })
  })

  it('says where it is wrong, every fault with its field', () => {
    const window = { day: DAY, from: '11:00', to: '08:00' }
    expect(faults({ people: [{ ...person, windows: [window] }] })).toEqual([
      'people[0].windows[0].to: It ends before it begins.',
    ])
    expect(faults({ horses: [{ ...horse, options: [] }] })).toEqual([
      'horses[0].options: Nothing is open: look at its steps.',
    ])
    expect(faults({ people: [] })).toEqual(['people: Nobody is here to work.'])
    expect(faults({ horses: Array.from({ length: 61 }, (_, i) => ({ ...horse, id: `h${i}` })) })).toEqual([
      'horses: At most 60 horses in one week.',
    ])
    expect(faults({ horses: [horse, horse] })).toEqual(['horses: An id stands twice.'])
    const wish = { id: 'gone', kind: 'avoid', match: { horses: ['willow'] } }
    expect(faults({ wishes: [wish] })).toEqual(['wishes[0].match.horses: This horse is not here.'])
    expect(faults({ weather: 'fine' })).toEqual(['weather: This field is not known here.'])
    expect(faults({ firstDay: '2026-02-30' })).toEqual([
      'firstDay: This is not a day of the calendar (YYYY-MM-DD).',
    ])
  })

  it('has no visit that is longer than any part, and nothing falls over', () => {
    const long = { ...horse, options: [{ ...horse.options[0]!, minutes: 600 }] }
    expect(planFile(file({ horses: [long] }), solve)).toMatchObject({ ok: true, reply: { visits: [] } })
  })

  it('says what a pin clashes with', () => {
    const pins = [{ id: 'sunday', horse: 'sedge', day: '2026-05-24' }]
    expect(planFile(file({ pins }), solve)).toMatchObject({
      reply: {
        clashes: [
          {
            must: 'sunday',
            with: ['window:ylva'],
            words: 'Sedge on Sunday cannot be had: Ylva is not there then.',
          },
        ],
      },
    })
  })
})
