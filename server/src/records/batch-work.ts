import type { BatchReply } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import type { AnswerToKeep } from '../data/answers'
import { horseById, lockHorses, type HorseTip } from '../data/horses'
import type { SessionOf } from '../data/sessions'
import { programNamed } from '../parts/programs'
import type { NewEvidence } from './keep-tracks'
import { dayIn } from './yard-day'
import { todayIn, type Yard } from './yard'

export type ItemReply = BatchReply['items'][number]

const DAY_MS = 86_400_000

/** A phone's clock this much off is corrected; less is the time the batch was on its way. */
export const CLOCK_SLACK_MS = 60_000

export interface HorseAtWork {
  readonly id: string
  readonly name: string
  readonly born: string | null
  readonly program: Program
  readonly tip: HorseTip
  readonly added: NewEvidence[]
  readonly voidedSteps: Set<string>
}

/** What one batch works with: the horses it touches, each locked once. */
export interface Work {
  readonly yard: Yard
  readonly clockOffMs: number
  readonly horses: ReadonlyMap<string, HorseAtWork>
  /** The horse and the day of each session. */
  readonly sessions: Map<string, SessionOf>
  /** Answers that are fit to be kept, and the reply of each as it will stand; written together. */
  readonly toKeep: { readonly answer: AnswerToKeep; readonly reply: ItemReply; readonly horse: HorseAtWork }[]
}

export const refused = (id: string, reason: string, path?: string): ItemReply => ({
  id,
  status: 'refused',
  reason,
  ...(path === undefined ? {} : { path }),
})

/** The horses a batch touches, each locked once and all in the one order, so that two phones never hold each other up. */
export const horsesAtWork = async (
  yard: Yard,
  ids: readonly string[],
): Promise<ReadonlyMap<string, HorseAtWork>> => {
  const tips = await lockHorses(yard.client, ids)
  const horses = new Map<string, HorseAtWork>()
  for (const [id, tip] of tips) {
    const horse = (await horseById(yard.client, id))!
    const program = await programNamed(yard.client, yard.yardId, horse.programId)
    horses.set(id, {
      id,
      name: horse.name,
      born: horse.born,
      program,
      tip,
      added: [],
      voidedSteps: new Set(),
    })
  }
  return horses
}

export const corrected = ({ clockOffMs }: Work, at: string): Date => new Date(Date.parse(at) + clockOffMs)

export const NO_HORSE = 'This horse is not in your yard.'

/** A horse lives no longer: nothing that was done with it lies further back. */
export const LONGEST_LIFE_YEARS = 40
const LONGEST_LIFE_DAYS = Math.round(LONGEST_LIFE_YEARS * 365.25)

export const isLongAgo = (today: string, day: string): boolean => day < addDays(today, -LONGEST_LIFE_DAYS)

/** What is wrong with the day of something that was done with a horse, or nothing. */
export const dayFault = (
  today: string,
  horse: { readonly name: string; readonly born: string | null },
  day: string,
): string | null => {
  if (day > addDays(today, 1)) return 'This day is still to come.'
  if (horse.born !== null && day < horse.born)
    return `This lies before ${horse.name} was born (${horse.born}).`
  return isLongAgo(today, day) ? `This lies more than ${LONGEST_LIFE_YEARS} years back.` : null
}

/** What is wrong with the time of something, or nothing. */
export const timeFault = ({ yard }: Work, horse: HorseAtWork, at: Date): string | null => {
  if (at.getTime() - yard.now.getTime() > DAY_MS)
    return 'This lies more than 24 hours ahead: set the clock of the phone, then send it again.'
  return Number.isNaN(at.getTime())
    ? 'This is no time that can be read.'
    : dayFault(todayIn(yard), horse, dayIn(yard.timeZone, at))
}
