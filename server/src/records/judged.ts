import { STANDARD_MODEL } from '@still-pine/core/belief'
import type { Horse, Line } from '@still-pine/contract'
import { factsFrom, lastClosed, weekBefore } from '@still-pine/contract/line'
import { offLeadFrom } from '@still-pine/core/counters'
import type { Program } from '@still-pine/core/program'
import {
  replayHorse,
  trackKey,
  viewsOf,
  type Facts,
  type Records,
  type Views,
} from '@still-pine/core/readiness'
import { countRides, evidence, workedRows } from '../data/answers'
import { knownOf, openBlock } from '../data/blocks'
import { checksOf, confirmedOn, incidentsOf, overrulesOn } from '../data/care'
import { judgedDay } from '../data/days'
import { programById } from '../data/programs'
import { tracksOf } from '../data/tracks'
import { todayIn, type Yard } from './yard'

/** One version of a program never changes: the newest used are kept, with what core remembers of their steps. */
const programs = new Map<string, Program>()
const MOST_PROGRAMS = 50

export const programOf = async (yard: Yard, { programId }: Horse): Promise<Program> => {
  const known = programs.get(programId)
  const program = known ?? (await programById(yard.client, programId))!.document
  programs.delete(programId)
  programs.set(programId, program)
  const [oldest] = programs.keys()
  if (programs.size > MOST_PROGRAMS) programs.delete(oldest!)
  return program
}

const isPastKnown = (records: Records, on: string): boolean =>
  [...records.values()].some(({ belief }) => belief.lastDay !== null && belief.lastDay > on)

/** Every track judged from scratch, leaving out answers after the day. */
const judgedFromAnswers = async (
  yard: Yard,
  horseId: string,
  program: Program,
  on: string,
): Promise<Views> => {
  const steps = program.steps.map(({ key }) => key)
  const answers = await evidence(yard.client, horseId, steps, on)
  return viewsOf(STANDARD_MODEL, program, replayHorse(STANDARD_MODEL, program, answers), on)
}

const asViews = (tracks: Line['tracks']): Views =>
  new Map(tracks.map(({ step, side, view }) => [trackKey(step, side), view]))

/** Every track of a horse on a day: read where the day is judged already, and else worked out. */
export const judgedTracks = async (
  yard: Yard,
  horseId: string,
  program: Program,
  on: string,
): Promise<Views> => {
  if (on === todayIn(yard)) {
    const known = await judgedDay(yard.client, { horseId, day: on, engine: yard.engine })
    if (known) return asViews(known.judged.tracks)
  }
  const records = await tracksOf(yard.client, horseId)
  return isPastKnown(records, on)
    ? judgedFromAnswers(yard, horseId, program, on)
    : viewsOf(STANDARD_MODEL, program, records, on)
}

/** Everything known of a horse beside its tracks that says what may be asked of it on a day. */
export const factsOf = async (
  { client }: Yard,
  horse: Horse,
  program: Program,
  on: string,
): Promise<Facts> => {
  const incidents = await incidentsOf(client, horse.id)
  return factsFrom({
    horse,
    program,
    checks: await checksOf(client, horse.id),
    incidents,
    confirmed: await confirmedOn(client, horse.id, on),
    overrules: await overrulesOn(client, horse.id, on),
    known: await knownOf(client, horse.id),
    block: (await openBlock(client, horse.id)) ?? null,
    rides: await countRides(client, horse.id, offLeadFrom(program), lastClosed(incidents)),
    week: await workedRows(client, horse.id, weekBefore(on), on),
    on,
  })
}
