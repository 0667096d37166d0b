import type { AnswerDetails } from '@still-pine/contract'
import type { PlaceByHorse } from '@still-pine/core/answer'
import { handOn, thingsOf, ZONE_KEYS, type Zone } from '@still-pine/core/coverage'
import type { LoggedAnswer } from '@still-pine/core/herd'
import { stepOf, type Program } from '@still-pine/core/program'

/** What lies within reach from each place. */
const WITHIN_REACH: Readonly<Record<PlaceByHorse, readonly Zone[]>> = {
  1: ['forehead', 'muzzle', 'poll'],
  2: ['cheek', 'ear', 'neck'],
  3: ['neck', 'shoulder', 'wither', 'front-leg'],
  4: ['back', 'girth', 'belly', 'flank'],
  5: ['hip', 'tail', 'hind-leg'],
}

const handZones = (program: Program, step: string, rung: number): readonly Zone[] =>
  ZONE_KEYS.filter((zone) => {
    const hand = handOn(program, zone)
    return hand?.step === step && hand.rung === rung
  })

const zonesFor = ({ step, rung, place }: LoggedAnswer, program: Program): readonly Zone[] => {
  const [hand, ...things] = thingsOf(program)
  if (hand!.steps.includes(step)) return handZones(program, step, rung)
  const isThing = things.some(({ steps }) => steps.includes(step))
  return isThing && place !== null ? WITHIN_REACH[place] : []
}

/** A made-up handler takes the thing away too late once in so many accepts that moved the feet. */
const TOO_LATE_ONE_IN = 4

/** What the made-up handler told of an answer besides: where on the horse, and how an accept ended. */
export const detailsFor = (
  answer: LoggedAnswer,
  nth: number,
  program: Program,
): Partial<Pick<AnswerDetails, 'zone' | 'ending'>> => {
  const zones = zonesFor(answer, program)
  const isAccept = stepOf(program, answer.step)?.kind === 'accept'
  const tooLate = answer.grade >= 3 && nth % TOO_LATE_ONE_IN === 0
  return {
    zone: zones[nth % Math.max(1, zones.length)] ?? null,
    ...(isAccept ? { ending: tooLate ? ('left-moving' as const) : ('held' as const) } : {}),
  }
}
