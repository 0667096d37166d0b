import { addresses } from '../addresses'
import { Batch, BatchReply, SavedAnswer, Session } from '../answers'
import { SessionChanges } from '../judgement'
import { Day, Id } from '../primitives'
import { z } from 'zod'
import { route } from './making'

/** Sessions and answers. */
export const workRoutes = {
  batch: route({
    ...addresses.batch,
    summary: 'Keep sessions, answers and corrections, each at most once',
    needs: 'log-answers',
    body: Batch,
    reply: BatchReply,
  }),
  sessions: route({
    ...addresses.sessions,
    summary: 'The sessions of a day, or the newest of a horse',
    needs: 'read-yard',
    query: z.object({ on: Day.optional(), horseId: Id.optional() }),
    reply: z.object({ sessions: z.array(Session) }),
  }),
  session: route({
    ...addresses.session,
    summary: 'One session with its answers',
    needs: 'read-yard',
    params: z.object({ sessionId: Id }),
    reply: z.object({ session: Session, answers: z.array(SavedAnswer) }),
  }),
  sessionChanges: route({
    ...addresses.sessionChanges,
    summary: 'What a session’s day changed',
    needs: 'read-yard',
    params: z.object({ sessionId: Id }),
    reply: SessionChanges,
  }),
} as const
