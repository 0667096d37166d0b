import type { QueryOf, RouteName, Routes } from '@still-pine/contract'
import type { z } from 'zod'
import type { PartName, Parts } from './parts'
import type { Asking, Named } from './reading'

/** Routes that are read, by somebody signed in. */
export type QueryName = {
  readonly [N in RouteName]: Routes[N]['method'] extends 'get' ? N : never
}[Exclude<RouteName, 'about' | 'reportLinks'>]

type Told<T> = T extends (infer Item)[]
  ? readonly Told<Item>[]
  : T extends object
    ? { readonly [K in keyof T]: Told<T[K]> }
    : T

/** What a route replies, as it is given before it is written down. */
export type Reply<N extends RouteName> = Told<z.input<Routes[N]['reply']>>

export interface Asked<N extends RouteName> extends Asking {
  readonly named: Named & z.infer<Routes[N]['params']> & QueryOf<N>
}

/** One thing that can be asked of a yard: which parts it needs, and the answer they make. */
export interface Query<N extends QueryName, P extends PartName> {
  readonly parts: readonly P[]
  readonly answer: (parts: Pick<Parts, P>, asked: Asked<N>) => Reply<N>
}

/** A query of the route it is named for. */
export const query = <N extends QueryName, P extends PartName>(
  _route: N,
  parts: readonly P[],
  answer: Query<N, P>['answer'],
): Query<N, P> => ({ parts, answer })
