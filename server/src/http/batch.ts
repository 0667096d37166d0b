import { routes } from '@still-pine/contract'
import { Refusal } from '@still-pine/use-cases'
import type { Router } from 'express'
import { saveBatch } from '../records/save-batch'
import type { Dependencies } from './dependencies'
import { serve } from './serve'

const OTHER_PERSON =
  'Somebody else is signed in on this device now. These answers wait for the person who gave them.'

export const batchRoute = (router: Router, deps: Dependencies): void => {
  serve(router, deps, {
    route: routes.batch,
    work: async (yard, { body }) => {
      if (body.personId !== undefined && body.personId !== yard.personId)
        throw new Refusal('other-person', OTHER_PERSON)
      return saveBatch(yard, body.sentAt, body.items)
    },
  })
}
