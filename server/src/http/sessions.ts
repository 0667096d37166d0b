import { routes, type Session } from '@still-pine/contract'
import { changesOf } from '@still-pine/contract/changes'
import { addDays } from '@still-pine/core/answer'
import { trackKey } from '@still-pine/core/readiness'
import type { Router } from 'express'
import { answersOfSession } from '../data/answers'
import { confirmSession, sessionById, sessionsBy } from '../data/sessions'
import { factsOf, judgedTracks, programOf } from '../records/judged'
import { loadDaysBefore } from '../records/line'
import { keepBatch } from '../records/keep-batch'
import { todayIn, type Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { notFound, Refusal } from './refusal'
import { serve } from './serve'

const sessionOrRefuse = async ({ client }: Yard, id: string): Promise<Session> => {
  const session = await sessionById(client, id)
  if (!session) throw notFound('This session')
  return session
}

const OTHER_PERSON =
  'Somebody else is signed in on this device now. These answers wait for the person who gave them.'

export const sessionRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.batch, async (yard, { body }) => {
    if (body.personId !== undefined && body.personId !== yard.personId)
      throw new Refusal('other-person', OTHER_PERSON)
    return keepBatch(yard, body.sentAt, body.items)
  })

  serve(router, deps, routes.sessions, async (yard, { query }) => ({
    sessions: await sessionsBy(yard.client, query),
  }))

  serve(router, deps, routes.session, async (yard, { params }) => ({
    session: await sessionOrRefuse(yard, params.sessionId),
    answers: await answersOfSession(yard.client, params.sessionId),
  }))

  serve(router, deps, routes.sessionChanges, async (yard, { params }) => {
    const session = await sessionOrRefuse(yard, params.sessionId)
    const horse = await horseOrRefuse(yard, session.horseId)
    const program = await programOf(yard, horse)
    const evening = session.day > todayIn(yard) ? todayIn(yard) : session.day
    const before = await judgedTracks(yard, horse.id, program, addDays(evening, -1))
    const after = await judgedTracks(yard, horse.id, program, evening)
    const asked = new Map<string, number>()
    for (const { step, side, voided } of await answersOfSession(yard.client, session.id)) {
      const key = trackKey(step, side)
      if (!voided) asked.set(key, (asked.get(key) ?? 0) + 1)
    }
    const facts = await factsOf(yard, horse, program, session.day)
    return changesOf(
      program,
      before,
      after,
      asked,
      facts,
      await loadDaysBefore(yard, horse, program, addDays(session.day, 1)),
      session,
    )
  })

  serve(router, deps, routes.confirmSession, async (yard, { params, body }) => {
    await sessionOrRefuse(yard, params.sessionId)
    await confirmSession(yard.client, params.sessionId, body.note, yard.now)
    return sessionOrRefuse(yard, params.sessionId)
  })
}
