import type { BatchReply } from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import type { AnswerToKeep } from '../data/answers'
import { horseById, lockHorse, type HorseTip } from '../data/horses'
import { programById } from '../data/programs'
import { sessionById } from '../data/sessions'
import type { NewEvidence } from './keep-tracks'
import { dayIn } from './yard-day'
import type { Yard } from './yard'

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
  readonly horses: Map<string, HorseAtWork | null>
  /** The horse of each session, once looked up. */
  readonly sessions: Map<string, string>
  /** Answers that are fit to be kept, and the reply of each as it will stand; written together. */
  readonly toKeep: { readonly answer: AnswerToKeep; readonly reply: ItemReply; readonly horse: HorseAtWork }[]
}

export const refused = (id: string, reason: string, path?: string): ItemReply => ({
  id,
  status: 'refused',
  reason,
  ...(path === undefined ? {} : { path }),
})

const loadHorse = async ({ client }: Yard, id: string): Promise<HorseAtWork | null> => {
  const tip = await lockHorse(client, id)
  const horse = await horseById(client, id)
  const program = horse && (await programById(client, horse.programId))
  if (!tip || !horse || !program) return null
  return {
    id,
    name: horse.name,
    born: horse.born,
    program: program.document,
    tip,
    added: [],
    voidedSteps: new Set(),
  }
}

export const horseAtWork = async (work: Work, id: string): Promise<HorseAtWork | null> => {
  const known = work.horses.get(id)
  if (known !== undefined) return known
  const loaded = await loadHorse(work.yard, id)
  work.horses.set(id, loaded)
  return loaded
}

export const horseOfSession = async (work: Work, id: string): Promise<string | null> => {
  const known = work.sessions.get(id)
  if (known !== undefined) return known
  const horseId = (await sessionById(work.yard.client, id))?.horseId ?? null
  if (horseId !== null) work.sessions.set(id, horseId)
  return horseId
}

export const corrected = ({ clockOffMs }: Work, at: string): Date => new Date(Date.parse(at) + clockOffMs)

export const NO_HORSE = 'This horse is not in your yard.'

/** What is wrong with the time of something, or nothing. */
export const timeFault = ({ yard }: Work, horse: HorseAtWork, at: Date): string | null => {
  if (at.getTime() - yard.now.getTime() > DAY_MS)
    return 'This lies more than 24 hours ahead: set the clock of the phone, then send it again.'
  if (horse.born !== null && dayIn(yard.timeZone, at) < horse.born)
    return `This lies before ${horse.name} was born (${horse.born}).`
  return null
}
