import type { ArrivalResult, Horse, PutBlock } from '@still-pine/contract'
import { daysBetween } from '@still-pine/core/answer'
import { arrivalCheck, opensAfter } from '@still-pine/core/arrival'
import { snapshotOf, type Snapshot } from '@still-pine/core/blocks'
import { knownStep, rungAt, rungName, stepOf } from '@still-pine/core/program'
import { againstBetween, countWorkDays, evidence } from '../data/answers'
import { incidentsOf } from '../data/care'
import { readOf } from '../parts'
import type { Yard } from './yard'

/** How a horse stood on the day a block ended. */
export const frozen = async (yard: Yard, horse: Horse, block: PutBlock): Promise<Snapshot | null> => {
  if (block.until === null) return null
  const read = readOf(yard, { horseId: horse.id })
  const program = await read('program')
  const incidents = await incidentsOf(yard.client, horse.id)
  return snapshotOf({
    program,
    views: await read.at({ on: block.until })('views'),
    incidents: incidents.filter(
      ({ on, withdrawn }) => withdrawn === null && on >= block.from && on <= block.until!,
    ),
    day: block.until,
    against: (await againstBetween(yard.client, horse.id, block.from, block.until)).map(
      ({ step, ...one }) => ({
        ...one,
        name: knownStep(program, step)?.name ?? step,
      }),
    ),
    workDays: await countWorkDays(yard.client, horse.id, block.until),
    calendarDays: Math.max(0, daysBetween(horse.arrived, block.until)),
  })
}

/** What the answers of a day show when they are read as an arrival check. */
export const shownOn = async (yard: Yard, horse: Horse, on: string): Promise<ArrivalResult | null> => {
  const read = readOf(yard, { horseId: horse.id, on })
  const program = await read('program')
  const steps = program.steps.map(({ key }) => key)
  const answers = (await evidence(yard.client, horse.id, steps, on))
    .filter(({ day, uncued }) => day === on && !uncued)
    .map((answer) => ({ ...answer, rung: rungAt(stepOf(program, answer.step)!, answer.rung) }))
  if (answers.length === 0) return null
  const named = (step: string) => ({ step, name: stepOf(program, step)!.name })
  const told = {
    program,
    views: await read('views'),
    facts: await read('facts'),
    // What was asked as a check is read as one, whatever is said of the horse by now.
    handled: true,
  }
  const { asked, failed, known, end } = arrivalCheck(told, answers, on)
  return {
    school: program.name,
    asked,
    failed: failed.map(named),
    known: known.map((one) => ({ ...one, rungName: rungName(stepOf(program, one.step)!, one.rung) })),
    opens: opensAfter(told, answers, on).map(named),
    end: end ?? 'It was ended before its place on the path was settled.',
  }
}
