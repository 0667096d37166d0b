import { addDays } from '@still-pine/core/answer'
import { planSession, type SessionPlan } from '@still-pine/core/plan'
import { sidesOf, type Program } from '@still-pine/core/program'
import { trackKey, type Facts, type Views } from '@still-pine/core/readiness'
import type { Session } from './answers'
import type { Change, SessionChanges } from './judgement'
/** What was answered in a session, per step and side. */
export type Asked = ReadonlyMap<string, number>

/** A change of chance this small is not worth a line. */
const NOTICEABLE = 0.03

const changesBetween = (program: Program, before: Views, after: Views, asked: Asked): Change[] =>
  program.steps.flatMap((step) =>
    sidesOf(step).flatMap((side): Change[] => {
      const key = trackKey(step.key, side)
      const was = before.get(key)!
      const is = after.get(key)!
      const answers = asked.get(key) ?? 0
      const moved = was.state !== is.state || (answers > 0 && Math.abs(is.chance - was.chance) >= NOTICEABLE)
      return moved
        ? [
            {
              step: step.key,
              side,
              from: was.state,
              to: is.state,
              chanceBefore: was.chance,
              chanceAfter: is.chance,
              answers,
            },
          ]
        : []
    }),
  )

const sideWords = (side: string): string => (side === 'none' ? '' : `, ${side}`)

const leftOut = (plan: SessionPlan, asked: Asked): string[] => {
  const promised = plan.bursts
    .filter(({ again }) => !again)
    .flatMap(({ step, name, sides }) => sides.map(({ side }) => ({ name, side, key: trackKey(step, side) })))
  return promised
    .filter(({ key }) => !asked.has(key))
    .map(({ name, side }) => `${name}${sideWords(side)}: not asked`)
}

const nextTime = (program: Program, after: Views, facts: Facts, session: Session): string => {
  const plan = planSession(program, after, facts, addDays(session.day, 1))
  const [first, second] = plan.bursts
  if (!first) return plan.reason
  const names = [first, second].filter((burst) => burst !== undefined).map(({ name }) => name.toLowerCase())
  return `Next time begin with ${names.join(', then ')}.`
}

/** What a session's day changed, what it left out of its plan, and where to go on. */
export const changesOf = (
  program: Program,
  before: Views,
  after: Views,
  asked: Asked,
  facts: Facts,
  session: Session,
): SessionChanges => ({
  changes: changesBetween(program, before, after, asked),
  leftOut: leftOut(planSession(program, before, facts, session.day), asked),
  next: nextTime(program, after, facts, session),
})
