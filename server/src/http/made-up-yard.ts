import { DEFAULT_SETTINGS, routes } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import { Refusal } from '@still-pine/use-cases'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { findSignIn } from '../data/devices'
import { insertPerson, insertYard, lockFirstRun, madeUpYardOf } from '../data/people'
import { inYard } from '../data/pool'
import { insertProgram } from '../data/programs'
import type { Asker } from '../records/in-yard'
import type { Dependencies } from './dependencies'
import { meOf, startSession, type SignedIn } from './people'
import { askerOf, serveOpen } from './serve'

/** The made-up yard beside somebody's own, empty where it is new; who opens it fills it through the API. */
const openedFor = (deps: Dependencies, { yardId: own, timeZone }: Asker): Promise<SignedIn> => {
  const made = { yardId: uuid(), personId: uuid() }
  return inYard(deps.pool, made, {
    view: 'as it goes',
    work: async (client) => {
      await lockFirstRun(client)
      const found = await madeUpYardOf(client, own)
      if (found) return found
      const { yardId, personId: id } = made
      const at = deps.now()
      const yard = { id: yardId, name: 'Still Pine', timeZone, demo: true }
      await insertYard(client, { ...yard, madeUpFor: own }, at)
      const person = {
        id,
        name: 'Ylva Tarn',
        email: null,
        role: 'starter' as const,
        settings: DEFAULT_SETTINGS,
        passwordHash: null,
      }
      await insertPerson(client, yardId, { person, at })
      await insertProgram(client, yardId, { id: uuid(), document: FEET_FIRST })
      return made
    },
  })
}

/** To a made-up yard and back, in one sign-in; what is done there is nowhere in one's own. */
export const madeUpYardRoutes = (router: Router, deps: Dependencies): void => {
  serveOpen(router, deps, {
    route: { ...routes.toMadeUpYard, needs: 'open' },
    work: async (_input, request) => {
      const asker = await askerOf(deps, request, routes.toMadeUpYard.needs)
      const { personId, epoch = 0, own } = request.session
      // Already there: it has none beside itself.
      if (own) return meOf(deps, asker)
      const who = await openedFor(deps, asker)
      await startSession(deps, request, { who, device: undefined })
      Object.assign(request.session, { own: { personId, epoch, deviceId: asker.deviceId } })
      return meOf(deps, who)
    },
  })

  serveOpen(router, deps, {
    route: { ...routes.toOwnYard, needs: 'open' },
    work: async (_input, request) => {
      await askerOf(deps, request, routes.toOwnYard.needs)
      const { own } = request.session
      const found = own && (await findSignIn(deps.pool, own.personId, own.deviceId))
      if (!own || !found || found.cutOff || found.epoch !== own.epoch)
        throw new Refusal('signed-out', 'Your sign-in there has ended. Sign out here, and sign in again.')
      const who = { yardId: found.yardId, personId: own.personId }
      await startSession(deps, request, { who, device: undefined })
      if (own.deviceId !== null) request.session.deviceId = own.deviceId
      return meOf(deps, who)
    },
  })
}
