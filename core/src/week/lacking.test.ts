import { describe, expect, it } from 'vitest'
import { randomYard } from '../../tests/random-yard'
import type { WeekAsked, WeekHorse } from './asked'
import { greedyWeek } from './greedy'
import { lackingIn } from './lacking'
import { lackingWords } from './words'

const MONDAY = '2026-05-18'
const DAYS = ['2026-05-18', '2026-05-19', '2026-05-20', '2026-05-21', '2026-05-22']

const horse = (change: Partial<WeekHorse>): WeekHorse => ({
  id: 'sedge',
  name: 'Sedge',
  born: '2019-04-08',
  block: 'start',
  wantedVisits: 3,
  visitsAtMost: null,
  urgency: 1,
  lastTouchedDay: null,
  loadDays: [],
  hardDays: [],
  holds: [],
  notFree: [],
  options: [{ use: 'ground', minutes: 25, load: true, hard: false, roles: ['start'], savedDays: 1 }],
  ...change,
})

/** One person for so many hours of each working day, one pen, and these horses. */
const yard = (hours: number, ...horses: WeekHorse[]): WeekAsked => ({
  ...randomYard(1, { horses: 1 }),
  slotMinutes: 15,
  rules: { noTwoLoadDaysBelowMonths: 36, restAfterHardDay: 'noLoad', mostDaysUntouched: 3 },
  people: [
    {
      id: 'ylva',
      name: 'Ylva',
      roles: ['start'],
      windows: DAYS.map((day) => ({ day, from: '08:00', to: `${String(8 + hours).padStart(2, '0')}:30` })),
      busy: [],
      mostMinutesPerDay: null,
    },
  ],
  places: [{ id: 'pen', name: 'Pen', suits: ['ground'], windows: null, travelMinutes: 0 }],
  horses,
  dues: [],
  wishes: [],
  pins: [],
})

const said = (asked: WeekAsked): readonly string[] => {
  const visits = greedyWeek(asked)
  return lackingIn(asked, visits).map((one) => lackingWords(asked, one))
}

describe('who gets less than was wanted', () => {
  it('is nobody where all fit', () => {
    expect(said(yard(2, horse({})))).toEqual([])
  })

  it('is a young horse for its load days', () => {
    const young = horse({ born: '2024-04-08', loadDays: ['2026-05-15', '2026-05-17'] })
    const [words] = said(yard(2, young))
    expect(words).toMatch(
      /^Sedge gets \d of 3: Sedge (has 2 load days in any seven at its age|is spared two)/,
    )
  })

  it('is the horse for which nobody has time', () => {
    const others = ['a', 'b', 'c'].map((id) => horse({ id, name: id.toUpperCase(), wantedVisits: 5 }))
    const words = said(yard(0, ...others))
    expect(words.length).toBeGreaterThan(0)
    for (const one of words) expect(one).toMatch(/gets \d of 5: everybody who may is at another horse\.$/)
  })

  it('is one on hold only as far as its share of the days', () => {
    const held = horse({ holds: [{ from: MONDAY, until: null }] })
    expect(said(yard(2, held))).toEqual([])
  })
})
