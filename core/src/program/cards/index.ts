import { stepOf, type Program } from '../program'
import type { SchoolKey } from '../schools/school'
import { ASKS } from './asks'
import { BODY_AND_BIT_CARDS } from './body-and-bit'
import { CATALOGUE } from '../catalogue'
import { card, faultsIn, type CardText, type StepCard } from './card'
import { STAGE_CAUTIONS } from './cautions'
import { HALTER_CARDS } from './halter'
import { MEETING_CARDS } from './meeting'
import { MOVING_CARDS } from './moving'
import { RIDING_CARDS } from './riding'
import { SADDLING_CARDS } from './saddling'
import { THINGS_CARDS } from './things'
import { UNDER_SADDLE } from './under-saddle'

export type { Fault, StepCard } from './card'
export { GENERAL_CAUTIONS } from './cautions'

const CARDS: Readonly<Record<string, CardText>> = {
  ...MEETING_CARDS,
  ...HALTER_CARDS,
  ...THINGS_CARDS,
  ...MOVING_CARDS,
  ...BODY_AND_BIT_CARDS,
  ...SADDLING_CARDS,
  ...RIDING_CARDS,
}

const BLANK = card('', '', { faults: [], kit: [], cautions: [] })

/** A step's own cautions first, then those of its stage: none of them is dropped because a step has its own. */
const cautionsOf = (key: string): readonly string[] => {
  const own = CARDS[key]?.cautions ?? []
  const stage = CATALOGUE.find((step) => step.key === key)?.stage
  return [...new Set([...own, ...(stage === undefined ? [] : STAGE_CAUTIONS[stage - 1]!)])]
}

/** The card of a step, as a school reads it where one is named; a yard's own step has none until it is written. */
export const cardFor = (step: string, school?: string): StepCard => ({
  ...(CARDS[step] ?? BLANK),
  faults: faultsIn((CARDS[step] ?? BLANK).faults, school),
  cautions: cautionsOf(step),
  how: ASKS[step]?.how ?? '',
  inThisSchool: ASKS[step]?.bySchool[school as SchoolKey] ?? '',
  underSaddle: UNDER_SADDLE[step] ?? null,
})

/** The card of a step as a horse's program reads it: the yard's own words first. */
export const cardOf = (program: Program, step: string): StepCard => ({
  ...cardFor(step, program.copyOf ?? program.school),
  ...stepOf(program, step)?.card,
})
