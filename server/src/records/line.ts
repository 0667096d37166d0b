import { createHash } from 'node:crypto'
import type { Horse, Line } from '@still-pine/contract'
import { judgedFrom, lineFrom, loadDaysIn, weekBefore, type Judged } from '@still-pine/contract/line'
import type { Program } from '@still-pine/core/program'
import type { Facts } from '@still-pine/core/readiness'
import { countWorkDays, workedRows } from '../data/answers'
import { overrulesOn } from '../data/care'
import { lockHorse } from '../data/horses'
import { dropDays, keepJudged, keepWorkDays, keptDay, type KeptDay } from '../data/tracks'
import { factsOf, judgedTracks, programOf } from './judged'
import { todayIn, type Yard } from './yard'

interface Known {
  readonly horse: Horse
  readonly program: Program
  readonly facts: Facts
  readonly loadDays: number
  readonly on: string
}

const judgeNow = async (yard: Yard, known: Known): Promise<Judged> =>
  judgedFrom({ ...known, views: await judgedTracks(yard, known.horse.id, known.program, known.on) })

/** Raised with every change of what is made of the same answers and facts: what was made before is then made anew. */
const JUDGED_BY = 2

/** All that a judgement hangs on besides the answers: with a new answer the whole day is forgotten. */
const keyOf = ({ horse, facts, loadDays }: Known): string =>
  createHash('sha256')
    .update(JSON.stringify([JUDGED_BY, horse.programId, facts, loadDays]))
    .digest('base64')

/** Counts and judges today anew, and keeps both until the next answer or another fact. */
const judgeAndKeep = async (yard: Yard, known: Known, day: KeptDay | undefined) => {
  const { client, yardId } = yard
  const { horse, on } = known
  // Whoever adds answers holds this lock too, so nothing of an older history is kept.
  await lockHorse(client, horse.id)
  const workDays = await countWorkDays(client, horse.id, on)
  const judged = await judgeNow(yard, known)
  if (day === undefined || day.workDays !== workDays) {
    await dropDays(client, horse.id)
    await keepWorkDays(client, yardId, horse.id, on, workDays)
  }
  await keepJudged(client, horse.id, on, keyOf(known), judged)
  return { workDays, judged }
}

const judgedToday = async (yard: Yard, known: Known) => {
  const day = await keptDay(yard.client, known.horse.id, known.on)
  return day?.judged && day.judgedFrom === keyOf(known)
    ? { workDays: day.workDays, judged: day.judged }
    : judgeAndKeep(yard, known, day)
}

/** Load days of a horse among the six before a day. */
export const loadDaysBefore = async (
  { client }: Yard,
  horse: Horse,
  program: Program,
  on: string,
): Promise<number> => loadDaysIn(program, await workedRows(client, horse.id, weekBefore(on), on), horse, on)

/** A horse's Line on a day; today's is judged once and then read, until an answer or a fact changes it. */
export const lineOf = async (yard: Yard, horse: Horse, on: string): Promise<Line> => {
  const { client } = yard
  const program = await programOf(yard, horse)
  const facts = await factsOf(yard, horse, program, on)
  const overrules = await overrulesOn(client, horse.id, on)
  const loadDays = facts.loadDays ?? 0
  const known = { horse, program, facts, loadDays, on }
  const { workDays, judged } =
    on === todayIn(yard)
      ? await judgedToday(yard, known)
      : { workDays: await countWorkDays(client, horse.id, on), judged: await judgeNow(yard, known) }
  return lineFrom({ horse, facts, overrules, workDays, loadDays, judged, on })
}
