import type { Answer, Day, Side } from '../answer'
import {
  askedOn,
  meanAbility,
  restedTo,
  startMeanWith,
  startOf,
  type HorseStanding,
  type Model,
} from '../judgement'
import { gatesGuarding, rungAt, sidesAnswered, sidesOf, stepOf, type Program, type Step } from '../program'
import { goneBehind } from './behind'
import { judge, type TrackView } from './judge'
import { freshRecord, recordWith, type RecordOfHorse, type TrackRecord } from './record'
import type { Behind } from './tally'
import { noRecords, trackKey, type GrowingRecords, type Records, type Views } from './track-key'

/** An answer with the track it belongs to; its rung is the mark that rung carries. */
export interface TrackedAnswer extends Answer {
  readonly step: string
  readonly side: Side
}

/** The tracks of a source step that feed a target's side: the same side, or whichever there are. */
const sourceSides = (source: Step, target: Step, side: Side): readonly Side[] =>
  source.sided && target.sided ? [side] : sidesOf(source)

const average = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** The mean a track starts from on `day`: where this horse starts any, and what its sources already can on that day. */
export const startingMean = (
  model: Model,
  program: Program,
  { step, side, day, records }: { step: Step; side: Side; day: Day; records: Records },
): number => {
  const sources = program.carryOver
    .filter(({ to }) => to === step.key)
    .flatMap(({ from, share }) => {
      const source = stepOf(program, from)
      if (!source) return []
      const means = sourceSides(source, step, side)
        .map((from) => records.tracks.get(trackKey(source.key, from)))
        .filter((record) => record !== undefined && record.tally.answers > 0)
        .map((record) => meanAbility(restedTo(model, record!.belief, day)))
      return means.length > 0 ? [{ share, mean: average(means) }] : []
    })
  return startMeanWith(startOf(model, records.horse).ability.mean, sources)
}

interface Adding {
  readonly model: Model
  readonly program: Program
  readonly records: Records
  readonly step: Step
  readonly answer: TrackedAnswer
}

/** What one more answer says of the gates it went behind, or nothing. */
const behindWith = ({
  model,
  program,
  records,
  step,
  answer,
}: Adding): Readonly<Record<string, Behind>> | null => {
  const gone = gatesGuarding(program, step.key, answer.rung).flatMap((gate) => {
    const behind = goneBehind({ model, program, gate, records, on: answer.day })
    return behind ? [[gate.key, behind] as const] : []
  })
  return gone.length > 0 ? Object.fromEntries(gone) : null
}

/** Adds one more answer to the records; one to a step outside the program, or an uncued one, changes nothing. */
export const recordsWith = (
  model: Model,
  program: Program,
  { records, answer }: { records: GrowingRecords; answer: TrackedAnswer },
): void => {
  const step = stepOf(program, answer.step)
  if (!step || answer.uncued) return
  const onLadder = step.marks ? { ...answer, rung: rungAt(step, answer.rung) } : answer
  const behind = behindWith({ model, program, records, step, answer: onLadder })
  const track = trackKey(step.key, answer.side)
  records.horse = askedOn(model, records.horse, { track, day: answer.day })
  for (const side of sidesAnswered(step, answer.side)) {
    const key = trackKey(step.key, side)
    const before =
      records.tracks.get(key) ??
      freshRecord(
        model,
        records.horse,
        startingMean(model, program, { step, side, day: answer.day, records }),
      )
    const { record, horse } = recordWith(model, step, {
      record: before,
      horse: records.horse,
      answer: onLadder,
    })
    records.horse = horse
    records.tracks.set(
      key,
      behind
        ? { ...record, tally: { ...record.tally, behind: { ...record.tally.behind, ...behind } } }
        : record,
    )
  }
}

/** Every track of a horse from its whole history, oldest answer first, with what carries over between them. */
export const replayHorse = (
  model: Model,
  program: Program,
  answers: readonly TrackedAnswer[],
): GrowingRecords => {
  const records = noRecords(model)
  for (const answer of answers) recordsWith(model, program, { records, answer })
  return records
}

interface LastView {
  readonly model: Model
  readonly horse: HorseStanding
  readonly step: Step
  readonly on: Day
  readonly view: TrackView
}

/** In a session a horse is judged after every answer and only one track is another: the last view of each is kept. */
const lastView = new WeakMap<TrackRecord, LastView>()

const judgedOnce = (
  model: Model,
  step: Step,
  { record, horse, on }: RecordOfHorse & { readonly on: Day },
): TrackView => {
  const last = lastView.get(record)
  if (last?.on === on && last.step === step && last.model === model && last.horse.speed === horse.speed)
    return last.view
  const view = judge(model, step, { record, horse, on })
  lastView.set(record, { model, step, on, horse, view })
  return view
}

/** One track on the day judged, also where it has no answers yet. */
export const viewOf = (
  model: Model,
  program: Program,
  { step, side, records, on }: { step: Step; side: Side; records: Records; on: Day },
): TrackView => {
  const known = records.tracks.get(trackKey(step.key, side))
  const fresh = (): TrackRecord =>
    freshRecord(model, records.horse, startingMean(model, program, { step, side, day: on, records }))
  return known
    ? judgedOnce(model, step, { record: known, horse: records.horse, on })
    : judge(model, step, { record: fresh(), horse: records.horse, on })
}

/** Every track of the program on the day judged. */
export const viewsOf = (
  model: Model,
  program: Program,
  { records, on }: { records: Records; on: Day },
): Views =>
  new Map(
    program.steps.flatMap((step) =>
      sidesOf(step).map((side) => [
        trackKey(step.key, side),
        viewOf(model, program, { step, side, records, on }),
      ]),
    ),
  )

/** The tracks of one step, in the order left, right. */
export const sideViews = (views: Views, step: Step) =>
  sidesOf(step).map((side) => ({ side, view: views.get(trackKey(step.key, side))! }))
