import type { Answer, Day, Side } from '../answer'
import { meanAbility, priorMeanWith, restedTo, type Model } from '../belief'
import { gatesGuarding, rungAt, sidesAnswered, sidesOf, stepOf, type Program, type Step } from '../program'
import { goneBehind } from './behind'
import { judge, type TrackView } from './judge'
import { freshRecord, recordWith, type TrackRecord } from './record'
import type { Behind } from './tally'
import { trackKey, type Records, type TrackKey, type Views } from './track-key'

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

/** The prior mean of a track that starts on `day`, from what its sources already can on that day. */
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
        .map((from) => records.get(trackKey(source.key, from)))
        .filter((record) => record !== undefined && record.tally.answers > 0)
        .map((record) => meanAbility(restedTo(model, record!.belief, day)))
      return means.length > 0 ? [{ share, mean: average(means) }] : []
    })
  return priorMeanWith(model, sources)
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

/** The records after one more answer; an answer to a step outside the program changes nothing. */
export const recordsWith = (
  model: Model,
  program: Program,
  { records, answer }: { records: Map<TrackKey, TrackRecord>; answer: TrackedAnswer },
): void => {
  const step = stepOf(program, answer.step)
  if (!step || answer.uncued) return
  const onLadder = step.marks ? { ...answer, rung: rungAt(step, answer.rung) } : answer
  const behind = behindWith({ model, program, records, step, answer: onLadder })
  for (const side of sidesAnswered(step, answer.side)) {
    const key = trackKey(step.key, side)
    const before =
      records.get(key) ??
      freshRecord(model, startingMean(model, program, { step, side, day: answer.day, records }))
    const after = recordWith(model, step, { record: before, answer: onLadder })
    records.set(
      key,
      behind ? { ...after, tally: { ...after.tally, behind: { ...after.tally.behind, ...behind } } } : after,
    )
  }
}

/** Every track of a horse from its whole history, oldest answer first, with what carries over between them. */
export const replayHorse = (
  model: Model,
  program: Program,
  answers: readonly TrackedAnswer[],
): Map<TrackKey, TrackRecord> => {
  const records = new Map<TrackKey, TrackRecord>()
  for (const answer of answers) recordsWith(model, program, { records, answer })
  return records
}

const untouched = new WeakMap<Model, WeakMap<Step, TrackView>>()

/** A track without answers and with nothing carried over looks the same on every day: worked out once a step. */
const untouchedView = (model: Model, step: Step, on: Day): TrackView => {
  const known = untouched.get(model) ?? new WeakMap<Step, TrackView>()
  untouched.set(model, known)
  const view = known.get(step) ?? judge(model, step, { record: freshRecord(model), on })
  known.set(step, view)
  return view
}

interface LastView {
  readonly model: Model
  readonly step: Step
  readonly on: Day
  readonly view: TrackView
}

/** In a session a horse is judged after every answer and only one track is another: the last view of each is kept. */
const lastView = new WeakMap<TrackRecord, LastView>()

const judgedOnce = (
  model: Model,
  step: Step,
  { record, on }: { record: TrackRecord; on: Day },
): TrackView => {
  const last = lastView.get(record)
  if (last?.on === on && last.step === step && last.model === model) return last.view
  const view = judge(model, step, { record, on })
  lastView.set(record, { model, step, on, view })
  return view
}

/** One track on the day judged, also where it has no answers yet. */
export const viewOf = (
  model: Model,
  program: Program,
  { step, side, records, on }: { step: Step; side: Side; records: Records; on: Day },
): TrackView => {
  const record = records.get(trackKey(step.key, side))
  if (record) return judgedOnce(model, step, { record, on })
  const mean = startingMean(model, program, { step, side, day: on, records })
  return mean === model.priorAbility.mean
    ? untouchedView(model, step, on)
    : judge(model, step, { record: freshRecord(model, mean), on })
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
