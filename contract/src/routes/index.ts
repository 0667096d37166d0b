import type { z } from 'zod'
import { yardRoutes } from './yard'
import { schoolsRoutes } from './schools'
import { horsesRoutes } from './horses'
import { judgementRoutes } from './judgement'
import { workRoutes } from './work'
import { careRoutes } from './care'

export { ProgramDocument } from './schools'

export const routes = {
  ...yardRoutes,
  ...schoolsRoutes,
  ...horsesRoutes,
  ...judgementRoutes,
  ...workRoutes,
  ...careRoutes,
} as const

export type Routes = typeof routes
export type RouteName = keyof Routes
export type ReplyOf<N extends RouteName> = z.infer<Routes[N]['reply']>
export type BodyOf<N extends RouteName> = z.input<Routes[N]['body']>
export type ParamsOf<N extends RouteName> = z.infer<Routes[N]['params']>
export type QueryOf<N extends RouteName> = z.infer<Routes[N]['query']>

/** The path of a route with its parameters filled in. */
export const pathTo = (path: string, params: Readonly<Record<string, string>>): string =>
  path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(params[name] ?? ''))
