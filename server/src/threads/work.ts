import { STANDARD_MODEL } from '@still-pine/core/judgement'
import { replayPredicting, type Replay as JudgedHistory } from '@still-pine/core/evidence'
import type { Program } from '@still-pine/core/program'
import { viewsOf, type Facts, type Records, type TrackedAnswer } from '@still-pine/core/readiness'
import { judgedFrom, type Judged } from '@still-pine/use-cases'

// What takes long, as functions of plain values: they run on a thread, or here.

interface Tested {
  readonly id: string
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
  /** The answers that stand, in the order they were given. */
  readonly answers: readonly (TrackedAnswer & Tested)[]
}

export type Replayed = JudgedHistory<Tested>

/** Works every track of a horse out from its history, and what was predicted on the way. */
export const replay = ({ program, answers }: History): Replayed => {
  const { predictions, ...judged } = replayPredicting(STANDARD_MODEL, programOf(program), answers)
  // Of an answer only its id goes back to whoever asked.
  return {
    ...judged,
    predictions: predictions.map(({ answer: { id }, ...prediction }) => ({ ...prediction, answer: { id } })),
  }
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
  const views = viewsOf(STANDARD_MODEL, document, { records, on: told.on })
  return judgedFrom({ program: document, views, ...told })
}
