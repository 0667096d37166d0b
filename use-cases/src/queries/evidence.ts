import { modelFor } from '@still-pine/core/judgement'
import { timelineOf } from '@still-pine/core/evidence'
import { sidesOf, stepOf } from '@still-pine/core/program'
import { query } from '../query'

export const stepAnswers = query('stepAnswers', ['horse', 'stepAnswers'], (parts) => ({
  answers: parts.stepAnswers,
}))

/** One step of a horse over its whole history; its chances are those its days were told by. */
export const stepEvidence = query(
  'stepEvidence',
  ['program', 'stepDrawn', 'stepSessions', 'stepDays', 'stepBeliefs', 'stepCircumstances'],
  (parts, { today, named }) => {
    const step = stepOf(parts.program, named.step)
    return {
      day: today,
      answers: parts.stepDrawn,
      sessions: parts.stepSessions,
      sides: (step ? sidesOf(step) : []).map((side) => {
        const belief = parts.stepBeliefs.get(side)
        const days = parts.stepDays.filter((day) => day.side === side)
        return {
          side,
          moments:
            step && belief ? timelineOf(modelFor(parts.program), step, { days, now: belief, on: today }) : [],
        }
      }),
      circumstances: parts.stepCircumstances,
    }
  },
)

/** Every answer that stands, and how each session was. */
export const evidence = query('evidence', ['horse', 'history', 'historySessions'], (parts, { today }) => ({
  day: today,
  answers: parts.history,
  sessions: parts.historySessions,
}))
