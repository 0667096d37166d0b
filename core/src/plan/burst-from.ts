import type { Day } from '../answer'
import { cardOf, rungName, type Program, type Step } from '../program'
import { stepState, upperFirst } from '../readiness'
import type { Burst, Purpose } from './burst'
import type { OpenStep } from './open-steps'
import type { Part } from './parts'
import { minutesOf } from './ways'
import { ruleFor, rungReason, stateReason } from './why'

/** A Solid go or yield step to put in between, so that quiet does not become numb. */
export const lightAskFrom = (open: readonly OpenStep[]): Burst['lightAsk'] => {
  const isUseful = (step: Step): boolean =>
    step.kind === 'ask' && (step.roles.includes('go-loose') || step.serves?.includes('refreshes') === true)
  const solid = open.find(
    ({ step, tracks, permits }) =>
      isUseful(step) && stepState(tracks) === 'solid' && permits[step.requiredRung - 1]?.answer === 'yes',
  )
  if (!solid) return null
  const { step } = solid
  const rung = step.requiredRung
  return { step: step.key, name: step.name, rung, rungName: rungName(step, rung) }
}

const purposeOf = ({ role, candidate: { state, open } }: Part): Purpose => {
  if (role !== 'learn') return role
  if (state === 'slipped') return 'mend'
  return open.tracks.every(({ view }) => view.answers === 0) ? 'begin' : 'work'
}

/** What the plan counts on for this burst, in words: that somebody is there, that a helmet is on. */
const providedFor = ({ candidate: { open }, way, visit }: Part): readonly string[] => {
  const reasons = way.sides[visit]!.flatMap(({ rung }) => open.permits[rung - 1]?.because ?? [])
  return [...new Set(reasons.map(({ words }) => words))]
}

const COME_BACK = 'Back to it: short bursts with something else between teach more than one long one'

/** A part of the session as it is shown and run: with its reasons, its rule and what to carry out. */
export const burstFrom = (
  program: Program,
  part: Part,
  { isAgain, lightAsk, on }: { isAgain: boolean; lightAsk: Burst['lightAsk']; on: Day },
): Burst => {
  const { candidate, way, visit } = part
  const { step } = candidate.open
  const card = cardOf(program, step.key)
  const purpose = purposeOf(part)
  const reasons = [stateReason(candidate, purpose, on), rungReason(candidate), candidate.first.reason]
  return {
    step: step.key,
    name: step.name,
    purpose,
    sides: way.sides[visit]!,
    firstSide: candidate.first.side,
    minutes: minutesOf(step, way.sides[visit]!),
    again: isAgain,
    reasons: (isAgain ? [COME_BACK] : reasons).filter(Boolean).map(upperFirst),
    rule: ruleFor(candidate, way, isAgain ? 1 : 0),
    pinned: part.at !== null,
    kit: card.kit,
    cautions: card.cautions,
    provided: providedFor(part),
    lightAsk: step.kind === 'accept' && lightAsk?.step !== step.key ? lightAsk : null,
  }
}
