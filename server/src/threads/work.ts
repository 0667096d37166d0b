import { fitTo, type Fit } from '@still-pine/core/fit'
import { modelFor, STANDARD_MODEL, type FittedValues } from '@still-pine/core/judgement'
import {
  dayEndsSince,
  dayEndsToSave,
  predictingOn,
  type Replay as JudgedHistory,
  type SavedDayEnds,
} from '@still-pine/core/evidence'
import type { Program } from '@still-pine/core/program'
import { noRecords, viewsOf, type Facts, type Records, type TrackedAnswer } from '@still-pine/core/readiness'
import type { Option } from '@still-pine/core/week'
import { judgedFrom, weekOptionsOf, type Judged, type ToOption } from '@still-pine/use-cases'

// What takes long, as functions of plain values: they run on a thread, or here.

interface Tested {
  readonly id: string
  readonly sessionId: string
  readonly personId: string
}

/** A program under a name of its own: what core remembers of its steps is found again by it. */
export interface KnownProgram {
  readonly key: string
  readonly document: Program
}

const programs = new Map<string, Program>()
const MOST_PROGRAMS = 50

/** The same object for the same program, though each task brings a copy of its own. */
const programOf = ({ key, document }: KnownProgram): Program => {
  const program = programs.get(key) ?? document
  programs.delete(key)
  programs.set(key, program)
  const [oldest] = programs.keys()
  if (programs.size > MOST_PROGRAMS) programs.delete(oldest!)
  return program
}

export interface History {
  readonly program: KnownProgram
  /** How the horse stood before these answers; nothing where they are all there are. */
  readonly before?: Records
  /** The answers that stand, in the order they were given. */
  readonly answers: readonly (TrackedAnswer & Tested)[]
}

export interface Replayed extends Pick<JudgedHistory<Tested>, 'records' | 'predictions'> {
  readonly ends: SavedDayEnds
}

/** Works every track of a horse out from its history, and what was predicted on the way. */
export const replay = ({ program, before, answers }: History): Replayed => {
  const document = programOf(program)
  const model = modelFor(document)
  const replayed = predictingOn(model, document, { before: before ?? noRecords(model), answers })
  const { records, dayEnds } = replayed
  // Of an answer only the ids go back to whoever asked.
  const predictions = replayed.predictions.map(({ answer: { id, sessionId, personId }, ...prediction }) => ({
    ...prediction,
    answer: { id, sessionId, personId },
  }))
  const { lastDay } = records.horse
  return { records, predictions, ends: dayEndsToSave(dayEnds, dayEndsSince(lastDay)) }
}

export interface ToJudge {
  readonly program: KnownProgram
  readonly records: Records
  readonly facts: Facts
  readonly loadDays: number
  readonly on: string
}

/** Judges a horse on a day from its tracks as they stand. */
export const judge = ({ program, records, ...told }: ToJudge): Judged => {
  const document = programOf(program)
  const views = viewsOf(modelFor(document), document, { records, on: told.on })
  return judgedFrom({ program: document, views, ...told })
}

/** What a horse may be worked at in a week. */
export const weekOptions = ({
  program,
  ...known
}: ToOption & { readonly program: KnownProgram }): readonly Option[] =>
  weekOptionsOf(programOf(program), known)

export interface ToFit {
  readonly horses: readonly { readonly program: KnownProgram; readonly answers: readonly TrackedAnswer[] }[]
  /** The yard's own values in use, or `null` for the defaults. */
  readonly inUse: FittedValues | null
}

/** Looks for values that make the log of some horses likelier; nothing where it is too short to say. */
export const fit = ({ horses, inUse }: ToFit): Fit | null =>
  fitTo(
    STANDARD_MODEL,
    horses.map(({ program, answers }) => ({ program: programOf(program), answers })),
    { inUse: modelFor({ values: inUse ?? undefined }) },
  )
