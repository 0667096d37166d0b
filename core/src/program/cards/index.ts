import { BODY_AND_BIT_CARDS } from './body-and-bit'
import { card, type StepCard } from './card'
import { HALTER_CARDS } from './halter'
import { MEETING_CARDS } from './meeting'
import { MOVING_CARDS } from './moving'
import { RIDING_CARDS } from './riding'
import { SADDLING_CARDS } from './saddling'
import { THINGS_CARDS } from './things'

export type { Fault, StepCard } from './card'

const CARDS: Readonly<Record<string, StepCard>> = {
  ...MEETING_CARDS,
  ...HALTER_CARDS,
  ...THINGS_CARDS,
  ...MOVING_CARDS,
  ...BODY_AND_BIT_CARDS,
  ...SADDLING_CARDS,
  ...RIDING_CARDS,
}

const BLANK = card('', '', [], [], [])

/** The card of a step of the catalogue; a yard's own step has none until it is written. */
export const cardFor = (key: string): StepCard => CARDS[key] ?? BLANK
