import type { Step } from '../step'
import { BODY_AND_BIT } from './body-and-bit'
import { HALTER } from './halter'
import { MEETING } from './meeting'
import { MOVING } from './moving'
import { EARLY_RIDES, FIRST_RIDES, FIRST_TIME_UP } from './riding'
import { SADDLING } from './saddling'
import { THINGS } from './things'

export { needsFrom } from './entry'

/** Every step there is, in the order of the nine stages. */
export const CATALOGUE: readonly Step[] = [
  ...MEETING,
  ...HALTER,
  ...THINGS,
  ...MOVING,
  ...BODY_AND_BIT,
  ...SADDLING,
  ...FIRST_TIME_UP,
  ...FIRST_RIDES,
  ...EARLY_RIDES,
]
