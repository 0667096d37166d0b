import { DEFAULT_SETTINGS, routes, type Me, type SignInDemo } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import type { Request, Router } from 'express'
import { v7 as uuid } from 'uuid'
import type { z } from 'zod'
import { hashPassword, passwordFits } from '../auth/passwords'
import { linkToken, readLink } from '../auth/signed-links'
import { insertProgram } from '../data/programs'
import {
  anyYard,
  findPersonByEmail,
  firstStarter,
  insertPerson,
  insertYard,
  lockFirstRun,
  personById,
  updatePassword,
  yardNow,
} from '../data/people'
import { saveDevice } from '../data/devices'
import { findResetLink, insertResetLink, takeResetLink } from '../data/reset-links'
import { inYard } from '../data/pool'
import { readOf } from '../parts'
import type { Dependencies } from './dependencies'
import { fewTries } from './few-tries'
import { notFound, Refusal, refusedFor } from '@still-pine/use-cases'
import { askerOf, CUT_OFF, serve, serveOpen } from './serve'

const NOBODY = '00000000-0000-0000-0000-000000000000'

export const meOf = ({ pool, now, engine, threads }: Dependencies, who: SignedIn): Promise<Me> =>
  inYard(pool, who, {
    view: 'one moment',
    work: async (client) => {
      const { role } = (await personById(client, who.personId))!
      const { timeZone } = (await yardNow(client))!
      const asked = {
        client,
        ...who,
        deviceId: null,
        role,
        timeZone,
        now: now(),
        engine,
        threads,
        afterwards: () => undefined,
        wantDay: () => undefined,
      }
      return readOf(asked, {})('me')
    },
  })

export interface SignedIn {
  readonly yardId: string
  readonly personId: string
}

type DeviceTold = z.output<typeof SignInDemo>['device']

/** A new sign-in gets a new session id, so that one planted before is worth nothing. */
const newSession = (
  request: Request,
  signIn: { readonly personId: string; readonly epoch: number; readonly deviceId: string | undefined },
  now: Date,
): Promise<void> =>
  new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) return reject(error as Error)
      const { personId, epoch, deviceId } = signIn
      Object.assign(request.session, { personId, epoch, begunAt: now.getTime() })
      if (deviceId !== undefined) request.session.deviceId = deviceId
      request.session.save((failed: unknown) => (failed ? reject(failed as Error) : resolve()))
    })
  })

export const startSession = async (
  { pool, now }: Dependencies,
  request: Request,
  { who, device }: { who: { readonly yardId: string; readonly personId: string }; device: DeviceTold },
): Promise<void> => {
  const { cutOff, epoch } = await inYard(pool, who, {
    view: 'as it goes',
    work: async (client) => ({
      cutOff: device !== undefined && (await saveDevice(client, who, { device, at: now() })),
      epoch: (await personById(client, who.personId))!.epoch,
    }),
  })
  if (cutOff) throw new Refusal('cut-off', CUT_OFF)
  await newSession(request, { personId: who.personId, epoch, deviceId: device?.id }, now())
}

const endSession = (request: Request): Promise<void> =>
  new Promise((resolve, reject) => {
    request.session.destroy((error: unknown) => (error ? reject(error as Error) : resolve()))
  })

const signInRoutes = (router: Router, deps: Dependencies): void => {
  router.use(routes.signIn.path, fewTries(deps))

  serveOpen(router, deps, {
    route: routes.signIn,
    work: async ({ body }, request) => {
      const found = await findPersonByEmail(deps.pool, body.email)
      const yardId = found?.yardId ?? NOBODY
      const personId = found?.personId ?? NOBODY
      const person = await inYard(
        deps.pool,
        { yardId, personId },
        { view: 'as it goes', work: (client) => personById(client, personId) },
      )
      if (!(await passwordFits(person?.passwordHash ?? null, body.password)))
        throw new Refusal('wrong-sign-in', 'The e-mail address or the password is not right.')
      if (person?.standing === 'suspended')
        throw new Refusal('not-allowed', 'Your sign-in is suspended. Ask a starter of the yard.')
      await startSession(deps, request, { who: { yardId, personId }, device: body.device })
      return meOf(deps, { yardId, personId })
    },
  })

  serveOpen(router, deps, {
    route: routes.signInDemo,
    work: async ({ body }, request) => {
      const yardId = deps.demo ? await anyYard(deps.pool) : null
      if (yardId === null) throw new Refusal('not-found', 'This is not a demo server.')
      const starter = await inYard(
        deps.pool,
        { yardId, personId: NOBODY },
        { view: 'as it goes', work: firstStarter },
      )
      if (!starter) throw new Refusal('not-found', 'The demo yard has nobody in it yet.')
      await startSession(deps, request, { who: { yardId, personId: starter.id }, device: body.device })
      return meOf(deps, { yardId, personId: starter.id })
    },
  })

  serveOpen(router, deps, {
    route: routes.signOut,
    work: async (_input, request) => {
      await endSession(request)
      return { ok: true as const }
    },
  })
}

const DAY_MS = 24 * 3_600_000

/** A password is changed by who knows the old one, or by a link that a starter makes, once and within a day. */
const passwordRoutes = (router: Router, deps: Dependencies): void => {
  const limit = fewTries(deps)
  router.use(routes.ownPassword.path, limit)
  router.use(routes.resetPassword.path, limit)

  serveOpen(router, deps, {
    route: { ...routes.ownPassword, needs: 'open' },
    work: async ({ body }, request) => {
      const asker = await askerOf(deps, request, routes.ownPassword.needs)
      const view = 'as it goes'
      const person = await inYard(deps.pool, asker, {
        view,
        work: (client) => personById(client, asker.personId),
      })
      if (!(await passwordFits(person?.passwordHash ?? null, body.old)))
        throw refusedFor('old', 'This is not the password you have now.')
      const passwordHash = await hashPassword(body.password)
      const epoch = await inYard(deps.pool, asker, {
        view,
        work: (client) => updatePassword(client, asker.personId, passwordHash),
      })
      // The one who changes it stays signed in, and nobody else.
      await newSession(
        request,
        { personId: asker.personId, epoch, deviceId: asker.deviceId ?? undefined },
        deps.now(),
      )
      return { ok: true as const }
    },
  })

  serve(router, deps, {
    route: routes.resetLink,
    work: async ({ client, yardId, now }, { params: { personId } }) => {
      const person = await personById(client, personId)
      if (!person || person.standing !== 'here') throw notFound('This person')
      const id = uuid()
      const until = new Date(now.getTime() + DAY_MS)
      await insertResetLink(client, yardId, { id, personId, at: now, until })
      return { token: linkToken(deps.cookieSecret, 'reset', id), until: until.toISOString() }
    },
  })

  serveOpen(router, deps, {
    route: routes.resetPassword,
    work: async ({ body }) => {
      const spent = new Refusal('not-found', 'This link is used, too old or not ours. Ask for another.')
      const id = readLink(deps.cookieSecret, 'reset', body.token)
      const found = id === null ? null : await findResetLink(deps.pool, id)
      if (id === null || !found) throw spent
      const passwordHash = await hashPassword(body.password)
      await inYard(deps.pool, found, {
        view: 'as it goes',
        work: async (client) => {
          if (!(await takeResetLink(client, id, deps.now()))) throw spent
          await updatePassword(client, found.personId, passwordHash)
        },
      })
      return { ok: true as const }
    },
  })
}

const firstRunRoute = (router: Router, deps: Dependencies): void => {
  serveOpen(router, deps, {
    route: routes.firstRun,
    work: async ({ body }, request) => {
      const madeAlready = new Refusal('already-there', 'This yard has been made already. Sign in instead.')
      // A hash is hard work, and is not done for anybody who asks.
      if ((await anyYard(deps.pool)) !== null) throw madeAlready
      const yardId = uuid()
      const personId = uuid()
      const passwordHash = await hashPassword(body.password)
      await inYard(
        deps.pool,
        { yardId, personId },
        {
          view: 'as it goes',
          work: async (client) => {
            await lockFirstRun(client)
            if ((await anyYard(client)) !== null) throw madeAlready
            const at = deps.now()
            await insertYard(
              client,
              { id: yardId, name: body.yardName, timeZone: body.timeZone, demo: deps.demo },
              at,
            )
            const person = {
              id: personId,
              name: body.personName,
              email: body.email,
              role: 'starter' as const,
              settings: DEFAULT_SETTINGS,
              passwordHash,
            }
            await insertPerson(client, yardId, { person, at })
            await insertProgram(client, yardId, { id: uuid(), document: FEET_FIRST })
          },
        },
      )
      await startSession(deps, request, { who: { yardId, personId }, device: body.device })
      return meOf(deps, { yardId, personId })
    },
  })
}

export const peopleRoutes = (router: Router, deps: Dependencies): void => {
  serveOpen(router, deps, {
    route: routes.about,
    work: async () => ({
      version: deps.version,
      demo: deps.demo,
      needsFirstRun: (await anyYard(deps.pool)) === null,
    }),
  })
  firstRunRoute(router, deps)
  signInRoutes(router, deps)
  passwordRoutes(router, deps)
}
