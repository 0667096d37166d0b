import { addDays } from '@still-pine/core/answer'
import { loadSolver } from '@still-pine/core/solver'
import { greedyWeek, planWeek, type WeekAsked, type WeekHorse, type Window } from '@still-pine/core/week'
import { timed, type Figure } from './measure'

const FIRST_DAY = '2026-05-18'
const DAYS = 7
const SEED = 12_345
const SECONDS = 10

/** A made-up draw of its own, so that every run plans the same weeks (Park and Miller 1988). */
const drawFrom = (seed: number): (() => number) => {
  let state = seed
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647
}

const mornings = (from: string): readonly Window[] =>
  Array.from({ length: 5 }, (_, i) => addDays(FIRST_DAY, i)).flatMap((day) => [
    { day, from, to: '12:00' },
    { day, from: '13:00', to: '16:00' },
  ])

/** A yard with a week as others are, or one in which half of each morning is gone. */
const yardOf = (horses: number, people: number, isTight: boolean): WeekAsked => {
  const draw = drawFrom(SEED + horses)
  const horse = (i: number): WeekHorse => ({
    id: `horse-${String(i).padStart(2, '0')}`,
    name: `Horse ${i}`,
    born: addDays(FIRST_DAY, -365 * (2 + Math.floor(6 * draw())) - Math.floor(300 * draw())),
    block: 'start',
    wantedVisits: 3,
    visitsAtMost: null,
    urgency: 1 + draw() * 0.5,
    lastTouchedDay: addDays(FIRST_DAY, -1 - Math.floor(3 * draw())),
    loadDays: [],
    hardDays: [],
    holds: [],
    notFree: [],
    options: [
      {
        use: 'ground',
        minutes: 15,
        load: false,
        hard: false,
        roles: ['start'],
        savedDays: 0.3 + 0.3 * draw(),
      },
      {
        use: 'ground',
        minutes: 25,
        load: true,
        hard: false,
        roles: ['start'],
        savedDays: 0.6 + 0.4 * draw(),
      },
      { use: 'lines', minutes: 25, load: true, hard: false, roles: ['start'], savedDays: 0.5 + 0.5 * draw() },
      ...(draw() < 0.4
        ? [
            {
              use: 'ridden',
              minutes: 20,
              load: true,
              hard: true,
              roles: ['ride', 'help'],
              savedDays: 0.7 + 0.5 * draw(),
            },
          ]
        : []),
    ],
  })
  return {
    firstDay: FIRST_DAY,
    days: DAYS,
    slotMinutes: 15,
    changeoverMinutes: 5,
    parts: [
      { id: 'morning', from: '07:00', to: '12:00' },
      { id: 'afternoon', from: '12:00', to: '18:00' },
    ],
    conditions: {},
    rules: { noTwoLoadDaysBelowMonths: 36, restAfterHardDay: 'noLoad', mostDaysUntouched: 3 },
    people: Array.from({ length: people }, (_, i) => ({
      id: `person-${i}`,
      name: `Person ${i}`,
      roles: i === 0 ? ['start', 'ride', 'help'] : ['start', 'help'],
      windows: mornings(isTight ? '10:00' : '08:00').filter(
        ({ from }) => !isTight || from !== '13:00' || i === 0,
      ),
      busy: [],
      mostMinutesPerDay: 300,
    })),
    places: [
      { id: 'pen', name: 'Pen', suits: ['ground'], windows: null, travelMinutes: 0 },
      { id: 'arena', name: 'Arena', suits: ['ground', 'lines', 'ridden'], windows: null, travelMinutes: 0 },
      { id: 'track', name: 'Track', suits: ['lines', 'ridden'], windows: null, travelMinutes: 5 },
    ],
    horses: Array.from({ length: horses }, (_, i) => horse(i)),
    dues: [],
    wishes: [],
    pins: [],
    previous: [],
    limits: { relativeGap: 0.02, nodes: 2_000, seconds: SECONDS },
  }
}

/** Planned weeks of three sizes, ordinary and tight: how long, how near the best, and how good the plan at once is. */
export const weekFigures = async (say: (text: string) => void): Promise<readonly Figure[]> => {
  const solve = await loadSolver()
  planWeek(yardOf(4, 2, false), solve)
  const figures: Figure[] = []
  for (const [horses, people] of [
    [12, 3],
    [24, 4],
    [40, 5],
  ] as const)
    for (const isTight of [false, true]) {
      const asked = yardOf(horses, people, isTight)
      const name = `${horses} horses, ${people} people, ${isTight ? 'tight' : 'ordinary'} week`
      say(`  ${name} …`)
      greedyWeek(asked)
      const greedyMs = timed(() => greedyWeek(asked))
      let plan: ReturnType<typeof planWeek> | null = null
      const seconds = timed(() => (plan = planWeek(asked, solve))) / 1000
      const { terms, objective, bound, first, status, visits } = plan!
      const share = (short: number): number => (100 * Math.max(0, short)) / terms.saved
      const isAimed = horses === 12
      figures.push(
        {
          name: `${name}: solved (${status}, ${visits.length} visits)`,
          value: seconds,
          unit: 's',
          aim: isAimed ? '≤ 10' : '',
        },
        {
          name: `${name}: not proved, of the worth saved`,
          value: share(bound - objective),
          unit: '%',
          aim: isAimed ? '≤ 2' : '',
        },
        {
          name: `${name}: the plan at once short of the best`,
          value: share(objective - first.objective),
          unit: '%',
          aim: '',
        },
        {
          name: `${name}: the plan at once`,
          value: greedyMs,
          unit: 'ms',
          aim: horses === 40 ? '≤ 100 at a quarter of the speed' : '',
        },
      )
    }
  return figures
}
