import { routes, type Session } from '@still-pine/contract'
import { notFound, Refusal } from '@still-pine/use-cases'
import type { Router } from 'express'
import { confirmSession, sessionById } from '../data/sessions'
import { keepBatch } from '../records/keep-batch'
import type { Yard } from '../records/yard'
import type { Dependencies } from './dependencies'
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

  serve(router, deps, routes.confirmSession, async (yard, { params, body }) => {
    await sessionOrRefuse(yard, params.sessionId)
    await confirmSession(yard.client, params.sessionId, body.note, yard.now)
    return sessionOrRefuse(yard, params.sessionId)
  })
}
