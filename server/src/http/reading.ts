import { routes } from '@still-pine/contract'
import type { Router } from 'express'
import { judgingOf, readYard } from '../records/reading'
import type { Dependencies } from './dependencies'
import { horseOrRefuse } from './horses'
import { serve } from './serve'

export const readingRoutes = (router: Router, deps: Dependencies): void => {
  serve(router, deps, routes.reading, readYard)

  serve(router, deps, routes.judging, async (yard, { query }) =>
    judgingOf(yard, query.horseId === undefined ? null : (await horseOrRefuse(yard, query.horseId)).id),
  )
}
