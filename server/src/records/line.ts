import type { Horse, Line } from '@still-pine/contract'
import { judgedFrom, lineFrom, loadDaysIn, weekBefore } from '@still-pine/contract/line'
import type { Program } from '@still-pine/core/program'
import { countWorkDays, workedRows } from '../data/answers'
import { overrulesOn } from '../data/care'
import { judgedDay, revisionOf, saveJudgedDay } from '../data/days'
import { factsOf, judgedTracks, programOf } from './judged'
import { todayIn, type Yard } from './yard'

/** Load days of a horse among the six before a day. */
export const loadDaysBefore = async (
  { client }: Yard,
  horse: Horse,
  program: Program,
  on: string,
): Promise<number> => loadDaysIn(program, await workedRows(client, horse.id, weekBefore(on), on), horse, on)

/** A horse's Line on a day; today's is judged once and then read, until anything that is known of it changes. */
export const lineOf = async (yard: Yard, horse: Horse, on: string): Promise<Line> => {
  const { client, yardId, engine } = yard
  const day = { horseId: horse.id, day: on, engine }
  const revision = await revisionOf(client, horse.id)
  const program = await programOf(yard, horse)
  const facts = await factsOf(yard, horse, program, on)
  const overrules = await overrulesOn(client, horse.id, on)
  const loadDays = facts.loadDays ?? 0
  const known = on === todayIn(yard) ? await judgedDay(client, day) : undefined
  const { workDays, judged } = known ?? {
    workDays: await countWorkDays(client, horse.id, on),
    judged: judgedFrom({
      program,
      views: await judgedTracks(yard, horse.id, program, on),
      facts,
      loadDays,
      on,
    }),
  }
  if (!known && on === todayIn(yard))
    yard.afterwards((later) => saveJudgedDay(later, yardId, { ...day, revision, workDays, judged }))
  return lineFrom({ horse, facts, overrules, workDays, loadDays, judged, on })
}
