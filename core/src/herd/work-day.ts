import { addDays, PLACES, type Calm, type Day, type Grade, type PlaceByHorse, type Side } from '../answer'
import type { Burst } from '../plan'
import { stepOf, type Step } from '../program'
import { trackKey } from '../readiness'
import { askSimulated, type Draw, type SimulatedHorse } from './simulated'

/** One made-up answer, with when it was given. */
export interface LoggedAnswer {
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm
  readonly seconds: number
  readonly place: PlaceByHorse | null
  readonly moving: boolean
  /** Minutes after the session began. */
  readonly minute: number
}

type Mark = Pick<LoggedAnswer, 'grade' | 'calm'>

/** Whether a made-up handler would leave the burst here: three light and loose running. */
export const isEnough = (answers: readonly Mark[]): boolean =>
  answers.length >= 3 && answers.slice(-3).every(({ grade, calm }) => grade <= 1 && calm === 0)

const isHard = ({ grade, calm }: Mark): boolean => grade >= 2 || calm === 2

/** The rung of the next ask: one smaller after two hard answers running, one up after a thought. */
export const rungAfter = (answers: readonly Mark[], rung: number, { requiredRung }: Step): number => {
  const last = answers.at(-1)!
  if (answers.length >= 2 && answers.slice(-2).every(isHard)) return Math.max(1, rung - 1)
  return last.grade === 0 && last.calm < 2 ? Math.min(requiredRung, rung + 1) : rung
}

/** What is done on a day: which steps, on which sides, at which rungs, how often. A session's plan is one. */
export interface DayOfWork {
  readonly day: Day
  readonly bursts: readonly (Pick<Burst, 'step' | 'sides'> & Partial<Pick<Burst, 'purpose' | 'minutes'>>)[]
}

const MINUTES_BETWEEN_ASKS = 0.4

/** A made-up handler goes all round a horse: first where it is missing, then from place to place, and walks it. */
const standFor = (
  step: Step,
  missing: readonly PlaceByHorse[],
  { ask, daysWorked }: { ask: number; daysWorked: number },
): Pick<LoggedAnswer, 'place' | 'moving'> =>
  step.allRound
    ? {
        place: missing[ask] ?? PLACES[(2 * daysWorked + ask) % PLACES.length]!,
        moving: daysWorked > 0 && ask % 2 === 1,
      }
    : { place: null, moving: false }

/** Runs one side of a burst: a rung smaller after two hard answers, left when three go well. */
const runSide = (
  horse: SimulatedHorse,
  burst: Pick<Burst, 'step'>,
  {
    part,
    day,
    startMinute,
    draw,
  }: { part: Burst['sides'][number]; day: Day; startMinute: number; draw: Draw },
): { horse: SimulatedHorse; answers: readonly LoggedAnswer[] } => {
  const step = stepOf(horse.program, burst.step)!
  const answers: LoggedAnswer[] = []
  const daysWorked = horse.tracks.get(trackKey(step.key, part.side))?.daysWorked ?? 0
  let now = horse
  let { rung } = part
  for (let i = 0; i < part.asks && !(isEnough(answers) && i >= part.places.length); i++) {
    const asked = askSimulated(now, { step, side: part.side, rung, day, opensBurst: i === 0 }, draw)
    now = asked.horse
    answers.push({
      step: step.key,
      side: part.side,
      rung,
      ...asked.answer,
      ...standFor(step, part.places, { ask: i, daysWorked }),
      minute: startMinute + i * MINUTES_BETWEEN_ASKS,
    })
    rung = rungAfter(answers, rung, step)
  }
  return { horse: now, answers }
}

/** Works a made-up horse through a day; gives its answers and the horse as it is that evening. */
export const workThrough = (
  horse: SimulatedHorse,
  work: DayOfWork,
  draw: Draw,
): { horse: SimulatedHorse; answers: readonly LoggedAnswer[] } => {
  let now = horse
  let minute = 1
  const answers: LoggedAnswer[] = []
  for (const burst of work.bursts)
    for (const part of burst.sides) {
      const run = runSide(now, burst, { part, day: work.day, startMinute: minute, draw })
      now = run.horse
      answers.push(...run.answers)
      minute += 0.5 + run.answers.length * MINUTES_BETWEEN_ASKS
    }
  return { horse: now, answers }
}

/** The days of a made-up working spell: every `every` days, the last one `endsBefore` days before today. */
export const workDays = (
  today: Day,
  sessions: number,
  { every, endsBefore }: { every: number; endsBefore: number },
): readonly Day[] =>
  Array.from({ length: sessions }, (_, i) => addDays(today, -endsBefore - (sessions - 1 - i) * every))
