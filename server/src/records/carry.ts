import type { Carry, Cursor, Horse } from '@still-pine/contract'
import { lastClosed } from '@still-pine/contract/line'
import { offLeadFrom } from '@still-pine/core/counters'
import { answersAfter, countRides, voidedAfter } from '../data/answers'
import { knownOf, openBlock } from '../data/blocks'
import { checksOf, confirmedOn, incidentsOf, overrulesOn } from '../data/care'
import { programOf } from './judged'
import { todayIn, type Yard } from './yard'

/** How many answers are given at once. */
const PAGE = 5_000

/**
 * What a device takes along of a horse from where it left off. The order of keeping can be trusted to have no gaps: who
 * adds answers to a horse holds its lock until they are there for all to see.
 */
export const carryOf = async (yard: Yard, horse: Horse, from: Cursor): Promise<Carry> => {
  const { client } = yard
  const day = todayIn(yard)
  // Before the answers: one taken back between the two reads is told again the next time.
  const voided = await voidedAfter(client, horse.id, from.voidings)
  const answers = await answersAfter(client, horse.id, from.answers, PAGE)
  const incidents = await incidentsOf(client, horse.id)
  const program = await programOf(yard, horse)
  return {
    horse,
    day,
    checks: await checksOf(client, horse.id),
    incidents,
    confirmed: await confirmedOn(client, horse.id, day),
    overrules: await overrulesOn(client, horse.id, day),
    rides: await countRides(client, horse.id, offLeadFrom(program), lastClosed(incidents)),
    block: (await openBlock(client, horse.id)) ?? null,
    known: await knownOf(client, horse.id),
    answers: answers.map(({ at, ...answer }) => ({ ...answer, at: at.toISOString() })),
    voided: voided.map(({ answerId }) => answerId),
    cursor: {
      answers: answers.at(-1)?.seq ?? from.answers,
      voidings: voided.at(-1)?.seq ?? from.voidings,
    },
    more: answers.length === PAGE,
  }
}
