import type { HorseInWeek } from '@still-pine/contract'
import { greedyWeek } from '@still-pine/core/week'
import { describe, expect, it } from 'vitest'
import type { Reply } from './query'
import { beyondPlanning, decidingIn, plannedVisit, weekAskedFrom } from './week-asked'

const MONDAY = '2026-05-11'
const YARD = '0198f000-0000-7000-8000-000000000001'

const HOURS = [1, 2, 3, 4, 5].map((weekday) => ({ weekday, from: '08:00', to: '12:00' }))

const week = (change: Partial<Reply<'plannedWeek'>> = {}): Reply<'plannedWeek'> => ({
  firstDay: MONDAY,
  today: MONDAY,
  time: '06:00',
  yardId: YARD,
  people: [
    { id: 'runa', name: 'Runa', role: 'starter', busy: [], feedSince: null },
    { id: 'orm', name: 'Orm', role: 'helper', busy: [], feedSince: null },
  ],
  places: [],
  horses: [{ id: 'sedge', name: 'Sedge' }],
  arranged: [
    {
      id: 'runa',
      version: 1,
      arranged: {
        about: 'person',
        roles: ['start'],
        hours: HOURS,
        mostMinutesPerDay: null,
        remindMinutes: null,
      },
    },
  ],
  planned: null,
  worked: [],
  ...change,
})

const horse = (change: Partial<HorseInWeek> = {}): HorseInWeek => ({
  horseId: 'sedge',
  name: 'Sedge',
  born: '2021-05-01',
  block: 'start',
  lastTouchedDay: null,
  loadDays: [],
  hardDays: [],
  holds: [],
  options: [{ use: 'ground', minutes: 25, load: false, hard: false, roles: ['start'], savedDays: 1 }],
  nothing: null,
  sessionsLeft: null,
  dues: [],
  missing: null,
  ...change,
})

const askedOf = (told: Reply<'plannedWeek'>, horses = [horse()]) =>
  weekAskedFrom(told, horses, decidingIn(told))

describe('what a week is planned from', () => {
  it('is the hours of each person by day, none of a helper who has entered none', () => {
    const [runa, orm] = askedOf(week()).people
    expect(runa!.windows).toHaveLength(5)
    expect(orm).toMatchObject({ roles: ['help', 'hold'], windows: [] })
  })

  it('is what is left of a week that has begun: its days, its hours, its visits', () => {
    const asked = askedOf(
      week({
        today: '2026-05-13',
        time: '10:10',
        worked: [
          { horseId: 'sedge', day: MONDAY },
          { horseId: 'sedge', day: '2026-05-12' },
        ],
      }),
    )
    expect([asked.firstDay, asked.days]).toEqual(['2026-05-13', 5])
    expect(asked.people[0]!.windows[0]).toEqual({ day: '2026-05-13', from: '10:10', to: '12:00' })
    expect(asked.horses[0]!.wantedVisits).toBe(1)
  })

  it('does not work a horse twice on a day on which it was worked', () => {
    const told = week({ worked: [{ horseId: 'sedge', day: MONDAY }] })
    expect(greedyWeek(askedOf(told)).map(({ day }) => day)).not.toContain(MONDAY)
  })

  it('counts a youngster’s sessions left as the most, and no more than somebody said', () => {
    expect(askedOf(week(), [horse({ sessionsLeft: 4 })]).horses[0]!.visitsAtMost).toBe(4)
    const said = week({
      arranged: [
        {
          id: 'sedge',
          version: 1,
          arranged: {
            about: 'horse',
            wantedVisits: 2,
            visitsAtMost: null,
            wantedBy: null,
            wantedGate: null,
            notFree: [],
          },
        },
      ],
    })
    expect(askedOf(said, [horse({ sessionsLeft: 4 })]).horses[0]!.visitsAtMost).toBe(2)
  })

  it('leaves out what nobody is there for, and says so', () => {
    const horses = [
      horse({
        nothing: null,
        dues: [
          {
            id: 'teeth',
            kind: 'vet',
            name: 'teeth',
            minutes: 30,
            earliestDay: MONDAY,
            dueDay: '2026-05-15',
            roles: ['vet', 'hold'],
          },
        ],
      }),
      horse({ horseId: 'teal', name: 'Teal', options: [], nothing: 'Nothing is open: look at its steps.' }),
    ]
    const asked = askedOf(week(), horses)
    expect(asked.dues).toEqual([])
    expect(asked.horses.map(({ id }) => id)).toEqual(['sedge'])
    expect(beyondPlanning(horses, asked)).toEqual([
      'Sedge: the vet is due by 2026-05-15, and nobody who is a vet has hours this week.',
      'Teal: Nothing is open: look at its steps.',
    ])
  })
})

describe('a visit as it is kept', () => {
  const asked = askedOf(week())
  const [first] = greedyWeek(asked)
  const made = (known: Parameters<typeof plannedVisit>[2]['known']) =>
    plannedVisit(asked, { ...first!, reasons: [] }, { known, newId: () => 'new' })

  it('has a new id, or the one it had on that day', () => {
    expect(made([]).id).toBe('new')
    expect(made([{ id: 'old', horseId: 'sedge', day: first!.day, due: null }]).id).toBe('old')
    expect(made([{ id: 'old', horseId: 'sedge', day: '2026-05-17', due: null }]).id).toBe('new')
  })

  it('counts as load by its length too, and is nowhere in particular in a yard without places', () => {
    expect(made([])).toMatchObject({ load: true, placeId: null, minutes: 25 })
  })
})
