import type { Day, PlaceByHorse, Side } from '../answer'
import type { Estimate, Model, Normal } from '../judgement'
import { CARRY_OVER, FEET_FIRST, stepOf, type Program, type Step } from '../program'
import { replayHorse, trackKey, viewOf, type State } from '../readiness'
import type { LogRow } from './answer-log'

/** The judgement of one horse × step × side, under the names the log uses. */
export interface JudgedTrack {
  readonly horse: string
  readonly step: string
  readonly side: Side
  readonly requiredRung: number
  readonly state: State
  readonly chance: number
  readonly low: number
  readonly high: number
  readonly calmChance: number
  readonly daysWorked: number
  readonly workRung: number
  readonly holdsToRung: number
  readonly openAt: number
  readonly asksNeeded: number | null
  readonly placesMissing: readonly PlaceByHorse[]
  readonly movingMissing: number
  readonly answers: number
  /** The horse's own numbers after its last answer, the same on each of its tracks. */
  readonly talent: Normal
  readonly ease: Normal
  readonly speed: Normal
}

const spreadOf = ({ mean, variance }: Estimate): Normal => ({ mean, sd: Math.sqrt(variance) })

const byCodePoint = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/** A time without an offset is read as UTC: only its order within the day matters. */
const instantOf = (at: string): number => {
  const [, day, clock = '00:00', offset = 'Z'] = /^(.{10})(?:[T ]([\d:.,]+)(.*))?$/.exec(at)!
  const [, sign, hours, minutes] = /^([+-])(\d\d):?(\d\d)?$/.exec(offset) ?? []
  const zone = sign ? `${sign}${hours}:${minutes ?? '00'}` : 'Z'
  return Date.parse(`${day}T${clock.replace(',', '.')}${zone}`)
}

/** Days never run backwards; within a day the instants decide, and rows of the same instant keep their order. */
const inTime = (a: LogRow, b: LogRow): number =>
  byCodePoint(a.day, b.day) || instantOf(a.at) - instantOf(b.at) || a.line - b.line

/** What a step of a log is asked as; one asked with sides and without counts as two. */
const keyOf = ({ step, side }: Pick<LogRow, 'step' | 'side'>): string =>
  side === 'none' ? step : `${step} by sides`

const stepFrom = ({ step, side, kind, requiredRung, allRound }: LogRow): Step => {
  const rungs = Array.from({ length: requiredRung }, (_, i) => `rung ${i + 1}`)
  return {
    key: keyOf({ step, side }),
    name: step,
    stage: 1,
    kind,
    requiredRung,
    rungs,
    rungCount: requiredRung,
    sided: side !== 'none',
    allRound,
    needs: [],
    roles: [],
  }
}

/** A program of what a log asks of one horse: no needs and no gates, and of the shares that carry over those between its steps. */
const programFrom = (rows: readonly LogRow[]): Program => {
  const firsts = new Map(rows.map((row) => [keyOf(row), row]))
  const keysOf = (step: string): readonly string[] =>
    [...firsts].filter(([, row]) => row.step === step).map(([key]) => key)
  return {
    ...FEET_FIRST,
    steps: [...firsts.values()].map(stepFrom),
    gates: [],
    carryOver: CARRY_OVER.flatMap(({ from, to, share }) =>
      keysOf(from).flatMap((source) => keysOf(to).map((target) => ({ from: source, to: target, share }))),
    ),
  }
}

const judgedHorse = (model: Model, rows: readonly LogRow[], on: Day): readonly JudgedTrack[] => {
  const program = programFrom(rows)
  const answers = rows
    .filter(({ day }) => day <= on)
    .sort(inTime)
    .map((row) => ({ ...row, step: keyOf(row) }))
  const records = replayHorse(model, program, answers)
  const { talent, ease, speed } = records.horse
  const tracks = new Map(rows.map((row) => [trackKey(row.step, row.side), row]))
  return [...tracks.values()].map((row) => {
    const step = stepOf(program, keyOf(row))!
    const view = viewOf(model, program, { step, side: row.side, records, on })
    return {
      horse: row.horse,
      step: row.step,
      side: row.side,
      requiredRung: row.requiredRung,
      state: view.state,
      chance: view.chance,
      low: view.low,
      high: view.high,
      calmChance: view.calmChance,
      daysWorked: view.daysWorked,
      workRung: view.workRung,
      holdsToRung: view.holdsToRung,
      openAt: view.openAt,
      asksNeeded: view.asksNeeded,
      placesMissing: view.placesMissing,
      movingMissing: view.movingMissing,
      answers: view.answers,
      talent: spreadOf(talent),
      ease: spreadOf(ease),
      speed: spreadOf(speed),
    }
  })
}

/**
 * Judges every horse × step × side of a log, sorted by those. All steps of a horse belong together: its own numbers are
 * learnt from all of them, and what carries over does. Answers after the day judged are left out.
 */
export const judgeLog = (model: Model, rows: readonly LogRow[], on: Day): readonly JudgedTrack[] => {
  const horses = new Map<string, LogRow[]>()
  for (const row of rows) {
    const horse = horses.get(row.horse)
    if (horse) horse.push(row)
    else horses.set(row.horse, [row])
  }
  return [...horses.values()]
    .flatMap((horse) => judgedHorse(model, horse, on))
    .sort(
      (a, b) => byCodePoint(a.horse, b.horse) || byCodePoint(a.step, b.step) || byCodePoint(a.side, b.side),
    )
}
