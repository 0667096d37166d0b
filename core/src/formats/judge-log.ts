import type { Day, PlaceByHorse, Side } from '../answer'
import type { Model } from '../belief'
import { judge, replay, type State } from '../readiness'
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
}

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

const judged = (model: Model, rows: readonly LogRow[], on: Day): JudgedTrack => {
  const { horse, step, side, kind, requiredRung, allRound } = rows[0]!
  const spec = { kind, requiredRung, allRound }
  const answers = rows.filter(({ day }) => day <= on).sort(inTime)
  const view = judge(model, spec, { record: replay(model, spec, { answers }).record, on })
  return {
    horse,
    step,
    side,
    requiredRung,
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
  }
}

/**
 * Judges every horse × step × side of a log by itself, sorted by those; nothing carries over from one step to
 * another, and answers after the day judged are left out.
 */
export const judgeLog = (model: Model, rows: readonly LogRow[], on: Day): readonly JudgedTrack[] => {
  const tracks = new Map<string, LogRow[]>()
  for (const row of rows) {
    const key = JSON.stringify([row.horse, row.step, row.side])
    const track = tracks.get(key)
    if (track) track.push(row)
    else tracks.set(key, [row])
  }
  return [...tracks.values()]
    .map((track) => judged(model, track, on))
    .sort(
      (a, b) => byCodePoint(a.horse, b.horse) || byCodePoint(a.step, b.step) || byCodePoint(a.side, b.side),
    )
}
