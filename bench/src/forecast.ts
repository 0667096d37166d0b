import {
  askOnce,
  drawsOf,
  futureOf,
  setupOf,
  type ForecastAsked,
  type Setup,
} from '@still-pine/core/forecast'
import { ASKED as ARRIVING } from '../../core/tests/arriving-horse'
import { inTurns, percentile, timed, type Figure } from './measure'

const ASKED: ForecastAsked = { ...ARRIVING, draws: 200 }

/** Of the composer, on such horses (decision 0028). */
const COMPOSERS_MIDDLE = 33

const ROUNDS = 3
const AT_ONCE = 10
const HORIZON_DAYS = 120
/** Asks of an ordinary day: three steps, three visits each, six asks. */
const ASKS_A_DAY = 54

const setup = (change: Partial<ForecastAsked> = {}): Setup => {
  const made = setupOf({ ...ASKED, ...change })
  if ('refused' in made) throw new Error(made.refused)
  return made
}

/** The draws and the arithmetic alone: as many asks of one track, and nothing that decides them. */
const bareAsks = (made: Setup, draws: number, days: number): void => {
  for (let draw = 0; draw < draws; draw++) {
    const future = futureOf(made, draw)
    for (let day = 0; day < days; day++)
      for (let k = 1; k <= ASKS_A_DAY; k++)
        askOnce(future, {
          track: (day + k) % made.path.tracks.length,
          rung: 1,
          k: 1,
          day,
          place: null,
          moving: false,
        })
  }
}

const spreadOf = (values: readonly number[]): number => {
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length
  return Math.sqrt(
    values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (values.length - 1) / values.length,
  )
}

/** A forecast of 200 draws: how long, against its bare asks, near the composer or not, and how sharp a what-if is. */
export const forecastFigures = (say: (text: string) => void): readonly Figure[] => {
  const made = setup({ horizonDays: HORIZON_DAYS })
  drawsOf(made, { first: ASKED.draws, count: AT_ONCE })
  say('  200 draws over 120 days …')
  const seconds = timed(() => drawsOf(made, { first: 0, count: ASKED.draws })) / 1000
  const sample = drawsOf(made, { first: 0, count: AT_ONCE })
  const days = Math.round(sample.reduce((sum, { workDays }) => sum + workDays, 0) / AT_ONCE)
  const [whole, bare] = inTurns(
    ROUNDS,
    () => void drawsOf(made, { first: 0, count: AT_ONCE }),
    () => bareAsks(made, AT_ONCE, days),
  )
  say('  one more day a week, with the same luck and without …')
  const base = drawsOf(setup(), { first: 0, count: ASKED.draws })
  const more = { plan: { ...ASKED.plan, weekdays: [1, 2, 3, 5] } }
  const errorOf = (change: Partial<ForecastAsked>): number => {
    const other = drawsOf(setup(change), { first: 0, count: ASKED.draws })
    const end = ASKED.horizonDays
    return spreadOf(other.map(({ days }, i) => (days ?? end) - (base[i]!.days ?? end)))
  }
  const came = base.filter(({ days }) => days !== null).map(({ workDays }) => workDays)
  return [
    { name: 'forecast, 200 draws over 120 days, one thread', value: seconds, unit: 's', aim: '≤ 4' },
    { name: 'forecast to its bare asks', value: whole / bare, unit: '×', aim: '≤ 3' },
    {
      name: 'the hand to the composer, work days in the middle',
      value: percentile(came, 0.5) / COMPOSERS_MIDDLE,
      unit: '×',
      aim: '0.9 to 1.1',
    },
    {
      name: 'came before the gate within half a year',
      value: (100 * came.length) / ASKED.draws,
      unit: '%',
      aim: '',
    },
    {
      name: 'one more day a week, standard error, the same luck',
      value: errorOf(more),
      unit: 'days',
      aim: '',
    },
    {
      name: 'one more day a week, standard error, its own luck',
      value: errorOf({ ...more, seed: 2 }),
      unit: 'days',
      aim: '',
    },
  ]
}
