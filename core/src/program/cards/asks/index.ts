import type { HowToAsk } from './ask'
import { BODY_AND_BIT_ASKS } from './body-and-bit'
import { HALTER_ASKS } from './halter'
import { MEETING_ASKS } from './meeting'
import { MOVING_ASKS } from './moving'
import { RIDING_ASKS } from './riding'
import { SADDLING_ASKS } from './saddling'
import { THINGS_ASKS } from './things'

export type { HowToAsk } from './ask'

/** How each step of the catalogue is asked in each school. */
export const ASKS: Readonly<Record<string, HowToAsk>> = {
  ...MEETING_ASKS,
  ...HALTER_ASKS,
  ...THINGS_ASKS,
  ...MOVING_ASKS,
  ...BODY_AND_BIT_ASKS,
  ...SADDLING_ASKS,
  ...RIDING_ASKS,
}
