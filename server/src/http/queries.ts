import { routes, type Route } from '@still-pine/contract'
import { answer, queries, type Asked, type QueryName } from '@still-pine/use-cases'
import type { Router } from 'express'
import { askingOf, loadersOf } from '../parts'
import type { Dependencies } from './dependencies'
import { serve } from './serve'

/** Serves everything that can be asked of a yard. */
export const queryRoutes = (router: Router, deps: Dependencies): void => {
  for (const name of Object.keys(queries) as QueryName[])
    serve(router, deps, {
      route: routes[name] as Route,
      work: (yard, { params, query }) => {
        const asking = askingOf(yard, Object.assign({}, params, query))
        // The named things were read by the route's own schemas.
        return answer(name, loadersOf(yard), asking as Asked<QueryName>)
      },
    })
}
