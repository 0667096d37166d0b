import { addDays, count, daysBetween, monthsOld, type Day } from '../answer'
import type { BlockKind } from './kinds'

export interface BlockNow {
  readonly kind: BlockKind
  readonly from: Day
}

/** A weanling or yearling is handled only: about ten short sessions in three weeks, then left to grow (common practice, no source). */
const YOUNG_MONTHS = 24
const YOUNG_SESSIONS = 10
const YOUNG_DAYS = 21
export const YOUNG_MINUTES = 15

const isYoung = (born: Day | null, on: Day): boolean => born !== null && monthsOld(born, on) < YOUNG_MONTHS

/** What speaks against beginning such a block with such a horse; a warning, not a bar. */
export const againstOpening = (kind: BlockKind, born: Day | null, on: Day): string | null => {
  if (!isYoung(born, on) || kind === 'handling' || kind === 'grow' || kind === 'rest') return null
  return `Under two years old it is handled only: about ${YOUNG_SESSIONS} sessions of ${YOUNG_MINUTES} minutes in three weeks, and then left to grow.`
}

/** What the rules say of the block a horse is in: how much of a youngster’s handling is done, or that it is off work. */
export const blockNotice = (
  block: BlockNow | null,
  born: Day | null,
  { sessions, on }: { sessions: number; on: Day },
): string | null => {
  if (block === null) return null
  const days = daysBetween(block.from, on)
  if (block.kind === 'grow')
    return `Left to grow since ${block.from}: feet, worming and a handling check, no more.`
  if (block.kind === 'rest') return `Rests since ${block.from}.`
  if (block.kind !== 'handling' || !isYoung(born, on)) return null
  if (sessions >= YOUNG_SESSIONS || days > YOUNG_DAYS)
    return `${count(sessions, 'session')} in ${count(days, 'calendar day')}: enough for a youngster. Close the block and leave it to grow.`
  return `Session ${sessions + 1} of about ${YOUNG_SESSIONS}, by ${addDays(block.from, YOUNG_DAYS)}; ${YOUNG_MINUTES} minutes at the most.`
}

/** Sessions that a youngster’s handling has left; nothing where it has no end of them. */
export const sessionsLeft = (
  block: BlockNow | null,
  born: Day | null,
  { sessions, on }: { sessions: number; on: Day },
): number | null =>
  block?.kind === 'handling' && isYoung(born, on) ? Math.max(0, YOUNG_SESSIONS - sessions) : null

/** Why a horse is not worked in this block, if it is not. */
export const offWork = (block: BlockNow | null): string | null => {
  if (block?.kind === 'rest') return `Rests: off work since ${block.from}.`
  return block?.kind === 'grow' ? `Rests: left to grow since ${block.from}.` : null
}
