import type {
  About,
  Arrival,
  Block,
  BodyOf,
  Carry,
  Check,
  Horse,
  Incident,
  KeptAnswer,
  ListedPerson,
  Line,
  Me,
  MoveOver,
  Overrule,
  Place,
  Problem,
  ReplyOf,
  Session,
  SessionChanges,
  Settings,
} from '@still-pine/contract'
import { withSafety, type Program } from '@still-pine/core/program'
import { onDeviceToo } from '../offline/base-query'
import { heard, notHeard } from '../offline/sync-slice'
import { forgetCopies, personHere } from '@still-pine/device'
import { readHere } from '../threads/reader'
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'

/** What the server says when it cannot do what was asked. */
export const problemOf = (error: unknown): Problem | null => {
  const data = (error as FetchBaseQueryError | undefined)?.data
  return data !== null && typeof data === 'object' && 'title' in data ? (data as Problem) : null
}

/** A sentence for any failed request. */
export const wordsFor = (error: unknown): string =>
  problemOf(error)?.title ?? 'No answer from the server. Check the signal and try again.'

/** The store freezes all it holds, object by object, unless it is frozen already: thousands of answers are left as they are. */
const frozen = <T extends object>(history: T): T => Object.freeze(history)

const horsePath = (horseId: string): string => `/horses/${horseId}`

export const api = createApi({
  reducerPath: 'api',
  baseQuery: onDeviceToo(fetchBaseQuery({ baseUrl: '/api/v1' }), {
    readHere,
    onHeard: ({ dispatch }, wasHeard) => void dispatch(wasHeard ? heard(Date.now()) : notHeard()),
    onCutOff: () => void personHere().then((id) => (id === null ? undefined : forgetCopies(id))),
  }),
  tagTypes: ['Me', 'Today', 'Line', 'Sessions', 'Care', 'Devices', 'Schools', 'People', 'Places', 'Life'],
  refetchOnReconnect: true,
  endpoints: (build) => ({
    about: build.query<About, void>({ query: () => '/about', providesTags: ['Me'] }),
    me: build.query<Me, void>({ query: () => '/me', providesTags: ['Me'] }),
    signIn: build.mutation<Me, BodyOf<'signIn'>>({
      query: (body) => ({ url: '/sign-in', method: 'POST', body }),
      invalidatesTags: ['Me'],
    }),
    signInDemo: build.mutation<Me, BodyOf<'signInDemo'>>({
      query: (body) => ({ url: '/sign-in/demo', method: 'POST', body }),
      invalidatesTags: ['Me'],
    }),
    firstRun: build.mutation<Me, BodyOf<'firstRun'>>({
      query: (body) => ({ url: '/first-run', method: 'POST', body }),
      invalidatesTags: ['Me'],
    }),
    saveSettings: build.mutation<Settings, Settings>({
      query: (body) => ({ url: '/me/settings', method: 'PUT', body }),
      invalidatesTags: ['Me'],
    }),
    devices: build.query<ReplyOf<'devices'>, void>({ query: () => '/devices', providesTags: ['Devices'] }),
    putCutOff: build.mutation<unknown, { personId: string; deviceId: string; cutOff: boolean }>({
      query: ({ personId, deviceId, cutOff }) => ({
        url: `/people/${personId}/devices/${deviceId}/cut-off`,
        method: 'PUT',
        body: { cutOff },
      }),
      invalidatesTags: ['Devices'],
    }),
    carry: build.query<Carry, { horseId: string; answers: number; voidings: number }>({
      query: ({ horseId, ...params }) => ({ url: `${horsePath(horseId)}/carry`, params }),
      keepUnusedDataFor: 0,
    }),
    people: build.query<ReplyOf<'people'>, void>({ query: () => '/people', providesTags: ['People'] }),
    putPerson: build.mutation<ListedPerson, { id: string; body: BodyOf<'putPerson'> }>({
      query: ({ id, body }) => ({ url: `/people/${id}`, method: 'PUT', body }),
      invalidatesTags: ['People', 'Me'],
    }),
    places: build.query<ReplyOf<'places'>, void>({ query: () => '/places', providesTags: ['Places'] }),
    putPlace: build.mutation<Place, { id: string; body: BodyOf<'putPlace'> }>({
      query: ({ id, body }) => ({ url: `/places/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Places'],
    }),
    owner: build.query<ReplyOf<'owner'>, string>({
      query: (id) => `${horsePath(id)}/owner`,
      providesTags: (_owner, _error, id) => [{ type: 'Life', id }],
    }),
    putOwner: build.mutation<ReplyOf<'owner'>, { horseId: string; personId: string | null }>({
      query: ({ horseId, personId }) => ({
        url: `${horsePath(horseId)}/owner`,
        method: 'PUT',
        body: { personId },
      }),
      invalidatesTags: (_owner, _error, { horseId }) => [{ type: 'Life', id: horseId }],
    }),
    reports: build.query<ReplyOf<'reports'>, void>({ query: () => '/reports' }),
    arrivals: build.query<ReplyOf<'arrivals'>, string>({
      query: (id) => `${horsePath(id)}/arrivals`,
      providesTags: (_arrivals, _error, id) => [{ type: 'Life', id }],
    }),
    putArrival: build.mutation<Arrival, { horseId: string; id: string; on: string }>({
      query: ({ horseId, id, on }) => ({
        url: `${horsePath(horseId)}/arrivals/${id}`,
        method: 'PUT',
        body: { on },
      }),
      invalidatesTags: (_arrival, _error, { horseId }) => [
        'Today',
        { type: 'Life', id: horseId },
        { type: 'Line', id: horseId },
      ],
    }),
    blocks: build.query<ReplyOf<'blocks'>, string>({
      query: (id) => `${horsePath(id)}/blocks`,
      providesTags: (_blocks, _error, id) => [{ type: 'Life', id }],
    }),
    putBlock: build.mutation<Block, { horseId: string; id: string; body: BodyOf<'putBlock'> }>({
      query: ({ horseId, id, body }) => ({ url: `${horsePath(horseId)}/blocks/${id}`, method: 'PUT', body }),
      invalidatesTags: (_block, _error, { horseId }) => [
        'Today',
        { type: 'Life', id: horseId },
        { type: 'Line', id: horseId },
      ],
    }),
    program: build.query<{ id: string; program: Program }, string>({
      query: (id) => `/programs/${id}`,
      transformResponse: (reply: { id: string; program: Program }) => ({
        ...reply,
        program: withSafety(reply.program),
      }),
      keepUnusedDataFor: 3600,
    }),
    schools: build.query<ReplyOf<'schools'>, void>({ query: () => '/schools', providesTags: ['Schools'] }),
    putProgram: build.mutation<{ id: string; program: Program }, { id: string; body: BodyOf<'putProgram'> }>({
      query: ({ id, body }) => ({ url: `/programs/${id}`, method: 'PUT', body }),
      // A version that was refused as stale has a newer one behind it.
      invalidatesTags: ['Schools'],
    }),
    moveOver: build.query<MoveOver, { horseId: string; to: string }>({
      query: ({ horseId, to }) => ({ url: `${horsePath(horseId)}/move-over`, params: { to } }),
      providesTags: (_steps, _error, { horseId }) => [{ type: 'Line', id: horseId }],
    }),
    putHorseProgram: build.mutation<Horse, { horseId: string; body: BodyOf<'putHorseProgram'> }>({
      query: ({ horseId, body }) => ({ url: `${horsePath(horseId)}/program`, method: 'PUT', body }),
      invalidatesTags: (_horse, _error, { horseId }) => ['Today', 'Schools', { type: 'Line', id: horseId }],
    }),
    today: build.query<ReplyOf<'today'>, void>({ query: () => '/today', providesTags: ['Today'] }),
    week: build.query<ReplyOf<'week'>, void>({ query: () => '/week', providesTags: ['Today'] }),
    line: build.query<Line, string>({
      query: (id) => `${horsePath(id)}/line`,
      providesTags: (_line, _error, id) => [{ type: 'Line', id }],
    }),
    lineOn: build.query<Line, { horseId: string; on: string }>({
      query: ({ horseId, on }) => ({ url: `${horsePath(horseId)}/line`, params: { on } }),
      providesTags: (_line, _error, { horseId }) => [{ type: 'Line', id: horseId }],
    }),
    worked: build.query<ReplyOf<'worked'>, string>({
      query: (id) => `${horsePath(id)}/worked`,
      providesTags: (_worked, _error, id) => [{ type: 'Line', id }],
    }),
    spots: build.query<ReplyOf<'spots'>, string>({
      query: (id) => `${horsePath(id)}/spots`,
      providesTags: (_spots, _error, id) => [{ type: 'Line', id }],
    }),
    putHorse: build.mutation<Horse, { id: string; body: BodyOf<'putHorse'> }>({
      query: ({ id, body }) => ({ url: horsePath(id), method: 'PUT', body }),
      invalidatesTags: (_horse, _error, { id }) => ['Today', 'Schools', { type: 'Line', id }],
    }),
    putArchived: build.mutation<Horse, { horseId: string; body: BodyOf<'putArchived'> }>({
      query: ({ horseId, body }) => ({ url: `${horsePath(horseId)}/archived`, method: 'PUT', body }),
      invalidatesTags: (_horse, _error, { horseId }) => ['Today', 'Schools', { type: 'Line', id: horseId }],
    }),
    putHandOver: build.mutation<Horse, { horseId: string; body: BodyOf<'putHandOver'> }>({
      query: ({ horseId, body }) => ({ url: `${horsePath(horseId)}/hand-over`, method: 'PUT', body }),
      invalidatesTags: (_horse, _error, { horseId }) => [{ type: 'Line', id: horseId }],
    }),
    stepAnswers: build.query<{ answers: KeptAnswer[] }, { horseId: string; step: string }>({
      query: ({ horseId, step }) => `${horsePath(horseId)}/steps/${step}/answers`,
      providesTags: (_answers, _error, { horseId }) => [{ type: 'Line', id: horseId }],
    }),
    // A whole history is heavy: it is let go once its page is left.
    stepEvidence: build.query<ReplyOf<'stepEvidence'>, { horseId: string; step: string }>({
      query: ({ horseId, step }) => `${horsePath(horseId)}/steps/${step}/evidence`,
      transformResponse: frozen<ReplyOf<'stepEvidence'>>,
      providesTags: (_answers, _error, { horseId }) => [{ type: 'Line', id: horseId }],
      keepUnusedDataFor: 0,
    }),
    evidence: build.query<ReplyOf<'evidence'>, { horseId: string }>({
      query: ({ horseId }) => `${horsePath(horseId)}/evidence`,
      transformResponse: frozen<ReplyOf<'evidence'>>,
      providesTags: (_answers, _error, { horseId }) => [{ type: 'Line', id: horseId }],
      keepUnusedDataFor: 0,
    }),
    reading: build.query<ReplyOf<'reading'>, void>({ query: () => '/reading', providesTags: ['Today'] }),
    judging: build.query<ReplyOf<'judging'>, void>({ query: () => '/judging', providesTags: ['Today'] }),
    sessions: build.query<{ sessions: Session[] }, { on?: string; horseId?: string }>({
      query: (params) => ({ url: '/sessions', params }),
      providesTags: ['Sessions'],
    }),
    session: build.query<{ session: Session; answers: KeptAnswer[] }, string>({
      query: (id) => `/sessions/${id}`,
      providesTags: ['Sessions'],
    }),
    sessionChanges: build.query<SessionChanges, string>({
      query: (id) => `/sessions/${id}/changes`,
      providesTags: ['Sessions'],
    }),
    care: build.query<{ checks: Check[]; incidents: Incident[] }, string>({
      queryFn: async (id, _api, _extra, ask) => {
        const checks = await ask(`${horsePath(id)}/checks`)
        if (checks.error) return { error: checks.error }
        const incidents = await ask(`${horsePath(id)}/incidents`)
        if (incidents.error) return { error: incidents.error }
        return {
          data: { ...(checks.data as { checks: Check[] }), ...(incidents.data as { incidents: Incident[] }) },
        }
      },
      providesTags: ['Care'],
    }),
    putCheck: build.mutation<Check, { horseId: string; id: string; body: BodyOf<'putCheck'> }>({
      query: ({ horseId, id, body }) => ({ url: `${horsePath(horseId)}/checks/${id}`, method: 'PUT', body }),
      invalidatesTags: (_check, _error, { horseId }) => ['Care', 'Today', { type: 'Line', id: horseId }],
    }),
    putOverrule: build.mutation<Overrule, { horseId: string; id: string; body: BodyOf<'putOverrule'> }>({
      query: ({ horseId, id, body }) => ({
        url: `${horsePath(horseId)}/overrules/${id}`,
        method: 'PUT',
        body,
      }),
      invalidatesTags: (_kept, _error, { horseId }) => [{ type: 'Line', id: horseId }],
    }),
  }),
})

export const {
  useAboutQuery,
  useCareQuery,
  useDevicesQuery,
  useFirstRunMutation,
  useLineOnQuery,
  useLineQuery,
  useMeQuery,
  usePeopleQuery,
  useProgramQuery,
  usePutArchivedMutation,
  usePutCheckMutation,
  usePutCutOffMutation,
  usePutHandOverMutation,
  usePutHorseMutation,
  usePutOverruleMutation,
  useSaveSettingsMutation,
  useSessionChangesQuery,
  useSessionQuery,
  useSessionsQuery,
  useSignInDemoMutation,
  useSignInMutation,
  useMoveOverQuery,
  usePutHorseProgramMutation,
  usePutProgramMutation,
  useArrivalsQuery,
  useOwnerQuery,
  usePutOwnerMutation,
  useReportsQuery,
  useBlocksQuery,
  usePlacesQuery,
  usePutArrivalMutation,
  usePutBlockMutation,
  usePutPersonMutation,
  usePutPlaceMutation,
  useSchoolsQuery,
  useSpotsQuery,
  useEvidenceQuery,
  useStepEvidenceQuery,
  useJudgingQuery,
  useReadingQuery,
  useStepAnswersQuery,
  useTodayQuery,
  useWeekQuery,
  useWorkedQuery,
} = api
