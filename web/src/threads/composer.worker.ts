import type { Line } from '@still-pine/contract'
import { planSession, todayFrom, type PlanRequest, type Given, type SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { expose } from 'comlink'
import { viewsIn } from '../shared/views-in'

/** What of a Line a plan is made from. */
export type Planned = Pick<Line, 'tracks' | 'facts' | 'day'>

/** The session so far. */
export interface SoFar {
  readonly answers: readonly Given[]
  readonly minutes: number
}

/** Plans away from the page, so that no press waits for it. */
const composing = {
  compose: (
    program: Program,
    line: Planned,
    { asked, soFar }: { asked: Omit<PlanRequest, 'today'>; soFar?: SoFar },
  ): SessionPlan =>
    planSession(program, viewsIn(line), {
      facts: line.facts,
      on: line.day,
      asked: {
        ...asked,
        ...(soFar ? { today: todayFrom(program, soFar.answers, soFar.minutes) } : {}),
      },
    }),
}

export type Composing = typeof composing

expose(composing)
