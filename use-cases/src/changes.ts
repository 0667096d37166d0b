import { addDays, type Side } from '@still-pine/core/answer'
import { ORDINARY, planSession, type SessionPlan } from '@still-pine/core/plan'
import { sidesOf, stepOf, type Program } from '@still-pine/core/program'
import { trackKey, type Facts, type Views } from '@still-pine/core/readiness'
import type { Change, Session, SessionChanges } from '@still-pine/contract'
import type { SessionDay } from './parts'

/** What was answered in a session, per step and side. */
export type AnswersByTrack = ReadonlyMap<string, number>

/** A change of chance this small is not worth a line. */
const NOTICEABLE = 0.03

const changesBetween = (
  program: Program,
  before: Views,
  { after, asked }: { after: Views; asked: AnswersByTrack },
): Change[] =>
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
              timeAlone: was.lastDay === is.lastDay,
            },
          ]
        : []
    }),
  )

const sideWords = (side: string): string => (side === 'none' ? '' : `, ${side}`)

const tracksOf = (plan: SessionPlan): readonly { step: string; side: Side }[] =>
  plan.bursts
    .filter(({ again }) => !again)
    .flatMap(({ step, sides }) => sides.map(({ side }) => ({ step, side })))

/** What was set out to do and not asked. */
const leftOut = (
  program: Program,
  promised: readonly { readonly step: string; readonly side: Side }[],
  asked: AnswersByTrack,
): string[] =>
  promised
    .filter(({ step, side }) => !asked.has(trackKey(step, side)))
    .map(({ step, side }) => `${stepOf(program, step)?.name ?? step}${sideWords(side)}: not asked`)

const nextTime = (
  program: Program,
  after: Views,
  { facts, loadDays, session }: { facts: Facts; loadDays: number; session: Session },
): string => {
  const plan = planSession(program, after, {
    facts,
    on: addDays(session.day, 1),
    asked: {
      outlook: { ...ORDINARY, loadDays },
    },
  })
  const [first, second] = plan.bursts
  if (!first) return plan.reason
  const names = [first, second].filter((burst) => burst !== undefined).map(({ name }) => name.toLowerCase())
  return `Next time begin with ${names.join(', then ')}.`
}

interface Told extends SessionDay {
  readonly program: Program
  readonly asked: AnswersByTrack
  readonly session: Session
}

/** What a session's day changed, what it left out of its plan, and where to go on. */
export const changesOf = ({
  program,
  before,
  after,
  asked,
  facts,
  loadDays,
  session,
}: Told): SessionChanges => ({
  changes: changesBetween(program, before, { after, asked }),
  leftOut: leftOut(
    program,
    // A session of before plans were kept, or from elsewhere, is held against the plan of its morning.
    session.promised ?? tracksOf(planSession(program, before, { facts, on: session.day })),
    asked,
  ),
  next: nextTime(program, after, { facts, loadDays, session }),
})
