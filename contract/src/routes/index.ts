import type { z } from 'zod'
import { yardRoutes } from './yard'
import { schoolsRoutes } from './schools'
import { horsesRoutes } from './horses'
import { judgementRoutes } from './judgement'
import { workRoutes } from './work'
import { careRoutes } from './care'
import { weekRoutes } from './weeks'

export { ProgramDocument } from './schools'

export const routes = {
  ...yardRoutes,
  ...schoolsRoutes,
  ...horsesRoutes,
  ...judgementRoutes,
  ...workRoutes,
  ...careRoutes,
  ...weekRoutes,
} as const

export type Routes = typeof routes
export type RouteName = keyof Routes
/** What is only read. */
export type ReadName = { [N in RouteName]: Routes[N]['method'] extends 'get' ? N : never }[RouteName]
/** What changes something. */
export type CommandName = Exclude<RouteName, ReadName>
export type ReplyOf<N extends RouteName> = z.infer<Routes[N]['reply']>
export type BodyOf<N extends RouteName> = z.input<Routes[N]['body']>
export type ParamsOf<N extends RouteName> = z.infer<Routes[N]['params']>
export type QueryOf<N extends RouteName> = z.infer<Routes[N]['query']>
type Named<T> = string extends keyof T ? unknown : T
/** All that a route's address names, in its path and after it. */
export type NamedOf<N extends RouteName> = Named<ParamsOf<N>> & Named<QueryOf<N>>

export { addresses, addressOf, pathTo } from '../addresses'
