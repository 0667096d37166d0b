import { addDays } from '../src/answer'
import type { WeekAsked, WeekHorse, Window } from '../src/week'
import { seeded } from './logs'

const FIRST_DAY = '2026-05-18'

/** A made-up yard: people with part of a week, places, horses of every age and block, dues, wishes and pins. */
export const randomYard = (
  seed: number,
  { horses, days = 7 }: { horses: number; days?: number },
): WeekAsked => {
  const draw = seeded(seed)
  const upTo = (n: number): number => Math.floor(n * draw())
  const oneOf = <T>(list: readonly T[]): T => list[upTo(list.length)]!
  const dayOf = (i: number): string => addDays(FIRST_DAY, i)
  const hours = (from: number, length: number): Omit<Window, 'day'> => ({
    from: `${String(from).padStart(2, '0')}:00`,
    to: `${String(from + length).padStart(2, '0')}:00`,
  })
  const windows = (share: number): Window[] =>
    Array.from({ length: days }, (_, i) => i).flatMap((i) =>
      draw() < share ? [{ day: dayOf(i), ...hours(7 + upTo(3), 2 + upTo(4)) }] : [],
    )
  const horse = (i: number): WeekHorse => ({
    id: `horse-${i}`,
    name: `Horse ${i}`,
    born: draw() < 0.15 ? null : addDays(FIRST_DAY, -365 * (1 + upTo(6)) - upTo(300)),
    block: draw() < 0.1 ? 'grow' : 'start',
    wantedVisits: 1 + upTo(4),
    visitsAtMost: draw() < 0.2 ? 1 + upTo(5) : null,
    urgency: 1 + draw(),
    lastTouchedDay: draw() < 0.7 ? dayOf(-1 - upTo(5)) : null,
    loadDays: [-6, -5, -4, -3, -2, -1].filter(() => draw() < 0.25).map(dayOf),
    hardDays: draw() < 0.2 ? [dayOf(-1)] : [],
    holds: draw() < 0.15 ? [{ from: dayOf(upTo(5)), until: draw() < 0.5 ? null : dayOf(5) }] : [],
    notFree: draw() < 0.2 ? [{ day: dayOf(upTo(7)), ...hours(8, 3) }] : [],
    options: [
      {
        use: 'ground',
        minutes: 10 + 5 * upTo(4),
        load: draw() < 0.5,
        hard: false,
        roles: ['start'],
        savedDays: 0.3 + 0.7 * draw(),
      },
      ...(draw() < 0.5
        ? [
            {
              use: 'ridden',
              minutes: 20,
              load: true,
              hard: true,
              roles: ['ride', 'help'],
              savedDays: 0.5 + 0.7 * draw(),
            },
          ]
        : []),
    ],
  })
  const all = Array.from({ length: horses }, (_, i) => horse(i))
  return {
    firstDay: FIRST_DAY,
    days,
    slotMinutes: oneOf([15, 30]),
    changeoverMinutes: 5,
    parts: [
      { id: 'morning', from: '07:00', to: '12:00' },
      { id: 'afternoon', from: '12:00', to: '18:00' },
    ],
    conditions: { [dayOf(1)]: ['afterRain'] },
    rules: {
      noTwoLoadDaysBelowMonths: draw() < 0.8 ? 36 : null,
      restAfterHardDay: oneOf(['none', 'noLoad', 'untouched'] as const),
      mostDaysUntouched: 3,
    },
    people: [
      {
        id: 'ylva',
        name: 'Ylva',
        roles: ['start', 'ride', 'help', 'hold'],
        windows: windows(0.8),
        busy: [],
        mostMinutesPerDay: draw() < 0.3 ? 90 : null,
      },
      {
        id: 'arne',
        name: 'Arne',
        roles: ['help', 'start', 'hold'],
        windows: windows(0.5),
        busy: windows(0.1),
        mostMinutesPerDay: null,
      },
      {
        id: 'smith',
        name: 'Smith',
        roles: ['farrier'],
        windows: windows(0.2),
        busy: [],
        mostMinutesPerDay: null,
      },
    ],
    places: [
      { id: 'pen', name: 'Pen', suits: ['ground'], windows: null, travelMinutes: 0 },
      {
        id: 'arena',
        name: 'Arena',
        suits: ['ground', 'ridden'],
        windows: draw() < 0.3 ? windows(0.8) : null,
        travelMinutes: upTo(2) * 5,
      },
    ],
    horses: all,
    dues: all.slice(0, upTo(3)).map(({ id }) => ({
      id: `feet-${id}`,
      horse: id,
      kind: 'farrier' as const,
      minutes: 40,
      earliestDay: FIRST_DAY,
      dueDay: dayOf(upTo(9) - 1),
      roles: ['farrier', 'hold'],
      places: [],
    })),
    wishes: [
      { id: 'dry', kind: 'avoid', weight: 1, match: { conditions: ['afterRain'] } },
      ...(draw() < 0.5
        ? [
            {
              id: 'ylva-only',
              kind: 'only' as const,
              weight: 'must' as const,
              match: { horses: ['horse-0'] },
              then: { leads: ['ylva'] },
            },
          ]
        : []),
    ],
    pins:
      draw() < 0.4
        ? [{ id: 'put', horse: 'horse-1', day: dayOf(upTo(days)), part: oneOf([null, 'morning']) }]
        : [],
    previous: [],
    limits: { relativeGap: 0, nodes: 2_000, seconds: 30 },
  }
}
