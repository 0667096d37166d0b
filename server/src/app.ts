import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express, type RequestHandler } from 'express'
import helmet from 'helmet'
import { sameOrigin } from './auth/origin'
import { signInSessions } from './auth/session'
import type { Dependencies } from './http/dependencies'
import { attachmentRoutes } from './http/attachments'
import { batchRoute } from './http/batch'
import { changesRoute } from './http/changes'
import { commandRoutes } from './http/commands'
import { feedRoutes, serveFeeds } from './http/feeds'
import { fileRoutes } from './http/files'
import { health } from './http/health'
import { openApi } from './http/openapi'
import { madeUpYardRoutes } from './http/made-up-yard'
import { peopleRoutes } from './http/people'
import { problems } from './http/problems'
import { queryRoutes } from './http/queries'
import { reportLinkRoutes } from './http/report-links'
import { Refusal } from '@still-pine/use-cases'

const BODY_LIMIT = '1mb'

/** A Line is a tenth as large packed, on the first level already; signal at a pen is thin. */
const QUICK = { level: 1 }

const named: RequestHandler = (_request, reply, next) => {
  reply.locals.requestId = randomUUID()
  reply.setHeader('X-Request-Id', reply.locals.requestId as string)
  next()
}

/** One line a request, without addresses, names or bodies. */
const logged =
  ({ logger }: Dependencies): RequestHandler =>
  (request, reply, next) => {
    const started = performance.now()
    reply.on('finish', () =>
      logger.info({
        requestId: reply.locals.requestId as string,
        method: request.method,
        route: (request.route as { path?: string } | undefined)?.path ?? request.path.split('/')[1],
        status: reply.statusCode,
        ms: Math.round(performance.now() - started),
      }),
    )
    next()
  }

const security = ({ secure }: Dependencies): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        // A week is solved by WebAssembly.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        // Radix positions its layers with inline styles.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        mediaSrc: ["'self'", 'blob:'],
        connectSrc: ["'self'"],
        upgradeInsecureRequests: secure ? [] : null,
      },
    },
    strictTransportSecurity: secure,
  })

const api = (deps: Dependencies): express.Router => {
  const router = express.Router()
  const description = openApi(deps.version)
  router.get('/openapi.json', (_request, reply) => void reply.json(description))
  router.use(sameOrigin, express.json({ limit: BODY_LIMIT }))
  router.use(...signInSessions(deps.pool, deps.cookieSecret, deps.secure))
  router.use((_request, reply, next) => {
    reply.setHeader('Cache-Control', 'no-store')
    next()
  })
  peopleRoutes(router, deps)
  madeUpYardRoutes(router, deps)
  queryRoutes(router, deps)
  commandRoutes(router, deps)
  batchRoute(router, deps)
  changesRoute(router, deps)
  feedRoutes(router, deps)
  fileRoutes(router, deps)
  attachmentRoutes(router, deps)
  reportLinkRoutes(router, deps)
  router.use((_request, _reply, next) => next(new Refusal('not-found', 'There is nothing at this address.')))
  return router
}

const serveInterface = (app: Express, folder: string): void => {
  app.use(
    express.static(folder, {
      index: false,
      setHeaders: (reply, path) =>
        reply.setHeader(
          'Cache-Control',
          path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache',
        ),
    }),
  )
  app.get('/{*splat}', (_request, reply) => reply.sendFile(join(folder, 'index.html')))
}

/** The application as a value: everything it needs comes in, nothing is started. */
export const makeApp = (deps: Dependencies): Express => {
  const app = express()
  app.disable('x-powered-by')
  // Nothing of the API is kept by a browser, so a hash of every reply would be for nobody.
  app.disable('etag')
  app.use(named, logged(deps), security(deps), compression(QUICK))
  health(app, deps)
  app.use('/api/v1', api(deps))
  serveFeeds(app, deps)
  if (deps.webFolder !== null) serveInterface(app, deps.webFolder)
  app.use(problems(deps.logger))
  return app
}
