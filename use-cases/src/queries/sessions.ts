import { trackKey } from '@still-pine/core/readiness'
import { changesOf } from '../changes'
import { query } from '../query'

export const sessions = query('sessions', ['sessions'], (parts) => ({ sessions: parts.sessions }))

export const session = query('session', ['session', 'sessionAnswers'], (parts) => ({
  session: parts.session,
  answers: parts.sessionAnswers,
}))

/** What a session's day changed, what it left out of its plan, and where to go on. */
export const sessionChanges = query(
  'sessionChanges',
  ['session', 'program', 'sessionAnswers', 'sessionDay'],
  ({ session: its, program, sessionAnswers, sessionDay }) => {
    const asked = new Map<string, number>()
    for (const { step, side, voided } of sessionAnswers) {
      const key = trackKey(step, side)
      if (!voided) asked.set(key, (asked.get(key) ?? 0) + 1)
    }
    return changesOf({ program, asked, session: its, ...sessionDay })
  },
)
