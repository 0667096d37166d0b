import { addresses, addressOf, pathTo } from '@still-pine/contract/addresses'
import type {
  BodyOf,
  CommandName,
  NamedOf,
  ParamsOf,
  Problem,
  ReadName,
  ReplyOf,
  RouteName,
} from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import { forgetCopies, personHere } from '@still-pine/device'
import {
  createApi,
  fetchBaseQuery,
  type FetchBaseQueryError,
  type MutationDefinition,
  type QueryDefinition,
  type TypedMutationTrigger,
  type TypedUseMutationResult,
  type TypedUseQueryHookResult,
} from '@reduxjs/toolkit/query/react'
import { onDeviceToo, type Ask } from '../offline/base-query'
import { heard, notHeard } from '../offline/sync-slice'
import { useShown, wasTold } from './shown'
import { readHere } from '../threads/reader'

/** What the server says when it cannot do what was asked. */
export const problemOf = (error: unknown): Problem | null => {
  const data = (error as FetchBaseQueryError | undefined)?.data
  return data !== null && typeof data === 'object' && 'title' in data ? (data as Problem) : null
}

/** A sentence for any failed request. */
export const wordsFor = (error: unknown): string =>
  problemOf(error)?.title ?? 'No answer from the server. Check the signal and try again.'

type Tag = 'Me' | 'Horse' | 'Yard'

/** What a screen reads is the reply of its route; a program is told as core types it. */
type Read<N extends ReadName> = N extends 'program' ? { id: string; program: Program } : ReplyOf<N>
type Query<N extends ReadName> = keyof NamedOf<N> extends never ? void : NamedOf<N>
type Command<N extends CommandName> = (string extends keyof ParamsOf<N> ? unknown : ParamsOf<N>) & {
  readonly body: BodyOf<N>
}

type Endpoints = {
  [N in ReadName]: QueryDefinition<Query<N>, Ask, Tag, Read<N>, 'api'>
} & {
  [N in CommandName]: MutationDefinition<Command<N>, Ask, Tag, ReplyOf<N>, 'api'>
}

/** The store freezes all it holds, object by object, unless it is frozen already: thousands of answers are left as they are. */
const frozen = (reply: unknown): unknown => Object.freeze(reply)

interface Handling {
  readonly transformResponse?: (reply: unknown) => unknown
  readonly keepUnusedDataFor?: number
}

/** A whole history is heavy: it is let go once its page is left. */
const HEAVY: Handling = { transformResponse: frozen, keepUnusedDataFor: 0 }

const HANDLING: Partial<Record<RouteName, Handling>> = {
  program: { keepUnusedDataFor: 3600 },
  carry: { keepUnusedDataFor: 0 },
  stepEvidence: HEAVY,
  evidence: HEAVY,
}

/** A reading tells of the horse it names, or else of the yard; a command makes anew what tells of the same. */
const horseTag = (named: unknown): { type: 'Horse'; id: string }[] => {
  const { horseId } = (named ?? {}) as { horseId?: string }
  return horseId === undefined ? [] : [{ type: 'Horse', id: horseId }]
}

export const api = createApi({
  reducerPath: 'api',
  baseQuery: onDeviceToo(fetchBaseQuery({ baseUrl: '/api/v1' }), {
    readHere,
    onTold: wasTold,
    onHeard: ({ dispatch }, wasHeard) => void dispatch(wasHeard ? heard() : notHeard()),
    onCutOff: () => void personHere().then((id) => (id === null ? undefined : forgetCopies(id))),
  }),
  tagTypes: ['Me', 'Horse', 'Yard'],
  refetchOnReconnect: true,
  endpoints: (build) => {
    const read = (name: ReadName) =>
      build.query<unknown, object | undefined>({
        query: (named = {}) => ({ reads: { name, named }, url: `/${addressOf(name, named)}` }),
        providesTags: (_reply, _error, named) => {
          // Who is signed in is not asked for in passing: the pen stays open over a sign-in that ended.
          if (name === 'me' || name === 'about') return ['Me']
          const horse = horseTag(named)
          return name === 'program' || horse.length > 0 ? horse : ['Yard']
        },
        ...HANDLING[name],
      })
    const command = (name: CommandName) =>
      build.mutation<unknown, { readonly body: unknown }>({
        query: ({ body, ...params }) => ({
          url: pathTo(addresses[name].path, params),
          method: addresses[name].method.toUpperCase(),
          body,
        }),
        invalidatesTags: (_reply, _error, named) => ['Me', 'Yard', ...horseTag(named)],
      })
    const endpoints = Object.entries(addresses).map(([name, { method }]) => [
      name,
      method === 'get' ? read(name as ReadName) : command(name as CommandName),
    ])
    // The cast: that each route's own types come back out of the table is more than the compiler follows.
    return Object.fromEntries(endpoints) as Endpoints
  },
})

/** What stays as it is, or is of no horse. */
const AGELESS: ReadonlySet<ReadName> = new Set(['about', 'me', 'program', 'schools', 'people', 'places'])

interface QueryOptions {
  readonly skip?: boolean
  readonly refetchOnMountOrArgChange?: boolean
}

type QueryArguments<N extends ReadName> = keyof NamedOf<N> extends never
  ? [named?: undefined, options?: QueryOptions]
  : [named: NamedOf<N>, options?: QueryOptions]

/** What a route tells, `useQuery('line', { horseId })`; a screen does not know whether the server answered or this device. */
export const useQuery = <N extends ReadName>(name: N, ...[named, options]: QueryArguments<N>) => {
  useShown(AGELESS.has(name) || options?.skip ? null : addressOf(name, named as object | undefined))
  return (api.endpoints[name].useQuery as unknown as UseQuery)(named, options) as TypedUseQueryHookResult<
    Read<N>,
    Query<N>,
    Ask
  >
}

type UseQuery = (named: unknown, options: QueryOptions | undefined) => unknown

/** Does what a route does: `const [putHorse, { isLoading }] = useCommand('putHorse')`. */
export const useCommand = <N extends CommandName>(name: N) =>
  (api.endpoints[name].useMutation as unknown as () => unknown)() as readonly [
    TypedMutationTrigger<ReplyOf<N>, Command<N>, Ask>,
    TypedUseMutationResult<ReplyOf<N>, Command<N>, Ask>,
  ]
