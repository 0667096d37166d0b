import { z } from 'zod'
import {
  Batch,
  BatchReply,
  Confirmation,
  EvidenceAnswer,
  EvidenceSession,
  KeptAnswer,
  Session,
} from './answers'
import { Arrival, Block, HorseOwner, OwnersReport, PutArrival, PutBlock, PutOwner } from './blocks'
import { Carry, Cursor } from './carry'
import { Check, Incident, PutCheck, PutConfirmations, PutIncident, PutOverrule } from './care'
import { Device, PutCutOff } from './devices'
import { Horse, PutHandOver, PutHorse } from './horses'
import { Line, Overrule, SessionChanges, TodayRow, WeekRow } from './judgement'
import { About, FirstRun, ListedPerson, Me, PutPerson, Settings, SignIn, SignInDemo } from './people'
import { Place, PutPlace } from './places'
import { Day, Id, StepKey } from './primitives'
import { ProgramSchema } from './program'
import { Judging, YardReading } from './reading'
import type { Route } from './route'
import { MoveOver, PutHorseProgram, PutProgram, School } from './schools'
import { SpotsReply } from './spots'
import { WorkedReply } from './worked'

const none = z.object({})
const nothing = z.object({ ok: z.literal(true) })
const horse = z.object({ horseId: Id })

type Parts<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType> = Pick<
  Route<P, Q, B, R>,
  'method' | 'path' | 'summary' | 'needs' | 'reply'
> &
  Partial<Pick<Route<P, Q, B, R>, 'params' | 'query' | 'body'>>

const route = <
  R extends z.ZodType,
  P extends z.ZodType = typeof none,
  Q extends z.ZodType = typeof none,
  B extends z.ZodType = typeof none,
>(
  parts: Parts<P, Q, B, R>,
): Route<P, Q, B, R> => ({ params: none, query: none, body: none, ...parts }) as unknown as Route<P, Q, B, R>

/** A program as stored. */
export const ProgramDocument = z.object({ id: Id, program: ProgramSchema })

export const routes = {
  about: route({ method: 'get', path: '/about', summary: 'What runs here', needs: 'open', reply: About }),
  firstRun: route({
    method: 'post',
    path: '/first-run',
    summary: 'Make the yard and its first person',
    needs: 'open',
    body: FirstRun,
    reply: Me,
  }),
  signIn: route({
    method: 'post',
    path: '/sign-in',
    summary: 'Sign in',
    needs: 'open',
    body: SignIn,
    reply: Me,
  }),
  signInDemo: route({
    method: 'post',
    path: '/sign-in/demo',
    summary: 'Sign in as the demo starter, on a demo server only',
    needs: 'open',
    body: SignInDemo,
    reply: Me,
  }),
  signOut: route({ method: 'post', path: '/sign-out', summary: 'Sign out', needs: 'open', reply: nothing }),
  me: route({ method: 'get', path: '/me', summary: 'Who is signed in', needs: 'signed-in', reply: Me }),
  settings: route({
    method: 'put',
    path: '/me/settings',
    summary: 'Keep one’s own settings',
    needs: 'own-settings',
    body: Settings,
    reply: Settings,
  }),
  devices: route({
    method: 'get',
    path: '/devices',
    summary: 'The browsers people signed in on: a starter sees all, others their own',
    needs: 'own-settings',
    reply: z.object({ devices: z.array(Device) }),
  }),
  putCutOff: route({
    method: 'put',
    path: '/people/{personId}/devices/{deviceId}/cut-off',
    summary: 'Cut a device off from the yard, or let it back',
    needs: 'own-settings',
    params: z.object({ personId: Id, deviceId: Id }),
    body: PutCutOff,
    reply: nothing,
  }),
  people: route({
    method: 'get',
    path: '/people',
    summary: 'The people of the yard',
    needs: 'read-yard',
    reply: z.object({ people: z.array(ListedPerson) }),
  }),
  putPerson: route({
    method: 'put',
    path: '/people/{personId}',
    summary: 'Add a person to the yard, or change their name, part, address or password',
    needs: 'edit-people',
    params: z.object({ personId: Id }),
    body: PutPerson,
    reply: ListedPerson,
  }),
  places: route({
    method: 'get',
    path: '/places',
    summary: 'The pens and tracks of the yard, with what each suits',
    needs: 'read-yard',
    reply: z.object({ places: z.array(Place) }),
  }),
  putPlace: route({
    method: 'put',
    path: '/places/{placeId}',
    summary: 'Add a pen or a track, or change it',
    needs: 'edit-places',
    params: z.object({ placeId: Id }),
    body: PutPlace,
    reply: Place,
  }),
  program: route({
    method: 'get',
    path: '/programs/{programId}',
    summary: 'One version of a program',
    needs: 'read-yard',
    params: z.object({ programId: Id }),
    reply: ProgramDocument,
  }),
  schools: route({
    method: 'get',
    path: '/schools',
    summary: 'The schools that ship and the yard’s own, with their versions',
    needs: 'read-yard',
    reply: z.object({ schools: z.array(School) }),
  }),
  putProgram: route({
    method: 'put',
    path: '/programs/{programId}',
    summary: 'Keep a new version of one of the yard’s own schools',
    needs: 'edit-school',
    params: z.object({ programId: Id }),
    body: PutProgram,
    reply: ProgramDocument,
  }),
  moveOver: route({
    method: 'get',
    path: '/horses/{horseId}/move-over',
    summary: 'What would become of each track if a horse moved to another program',
    needs: 'read-yard',
    params: horse,
    query: z.object({ to: Id }),
    reply: MoveOver,
  }),
  putHorseProgram: route({
    method: 'put',
    path: '/horses/{horseId}/program',
    summary: 'Move a horse to another version of a school, or to another school',
    needs: 'edit-horse',
    params: horse,
    body: PutHorseProgram,
    reply: Horse,
  }),
  today: route({
    method: 'get',
    path: '/today',
    summary: 'Today’s running order with each horse’s plan',
    needs: 'read-yard',
    reply: z.object({ day: Day, rows: z.array(TodayRow) }),
  }),
  week: route({
    method: 'get',
    path: '/week',
    summary: 'Who worked in the last seven days, and what goes stale',
    needs: 'read-yard',
    reply: z.object({ days: z.array(Day), rows: z.array(WeekRow) }),
  }),
  reading: route({
    method: 'get',
    path: '/reading',
    summary: 'Every horse’s nearest gate with what holds it, and what several horses are weak on',
    needs: 'read-yard',
    reply: YardReading,
  }),
  judging: route({
    method: 'get',
    path: '/judging',
    summary: 'What was predicted before first asks against what came, over the yard or one horse',
    needs: 'read-yard',
    query: z.object({ horseId: Id.optional() }),
    reply: Judging,
  }),
  horse: route({
    method: 'get',
    path: '/horses/{horseId}',
    summary: 'One horse',
    needs: 'read-yard',
    params: horse,
    reply: Horse,
  }),
  putHorse: route({
    method: 'put',
    path: '/horses/{horseId}',
    summary: 'Add a horse or change it',
    needs: 'edit-horse',
    params: horse,
    body: PutHorse,
    reply: Horse,
  }),
  putHandOver: route({
    method: 'put',
    path: '/horses/{horseId}/hand-over',
    summary: 'Tick the steps a horse is to leave with',
    needs: 'edit-horse',
    params: horse,
    body: PutHandOver,
    reply: Horse,
  }),
  arrivals: route({
    method: 'get',
    path: '/horses/{horseId}/arrivals',
    summary: 'The arrival checks of a horse, newest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ arrivals: z.array(Arrival) }),
  }),
  putArrival: route({
    method: 'put',
    path: '/horses/{horseId}/arrivals/{arrivalId}',
    summary: 'Keep what the answers of a day show as an arrival check: what it shows opens the next steps',
    needs: 'edit-horse',
    params: horse.extend({ arrivalId: Id }),
    body: PutArrival,
    reply: Arrival,
  }),
  blocks: route({
    method: 'get',
    path: '/horses/{horseId}/blocks',
    summary: 'The blocks of a horse’s life, oldest first',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ blocks: z.array(Block) }),
  }),
  putBlock: route({
    method: 'put',
    path: '/horses/{horseId}/blocks/{blockId}',
    summary: 'Open a block, close it (which freezes how the horse stands), or open it again',
    needs: 'edit-horse',
    params: horse.extend({ blockId: Id }),
    body: PutBlock,
    reply: Block,
  }),
  owner: route({
    method: 'get',
    path: '/horses/{horseId}/owner',
    summary: 'Whose horse it is',
    needs: 'read-yard',
    params: horse,
    reply: HorseOwner,
  }),
  putOwner: route({
    method: 'put',
    path: '/horses/{horseId}/owner',
    summary: 'Say whose horse it is, or that it is nobody’s here',
    needs: 'edit-horse',
    params: horse,
    body: PutOwner,
    reply: HorseOwner,
  }),
  reports: route({
    method: 'get',
    path: '/reports',
    summary: 'What an owner is told of their own horses',
    needs: 'read-own-reports',
    reply: z.object({ horses: z.array(OwnersReport) }),
  }),
  carry: route({
    method: 'get',
    path: '/horses/{horseId}/carry',
    summary: 'What a device takes along to judge a horse without signal, from where it left off',
    needs: 'read-yard',
    params: horse,
    query: Cursor,
    reply: Carry,
  }),
  spots: route({
    method: 'get',
    path: '/horses/{horseId}/spots',
    summary: 'Answers that tell where on the horse, or from where, oldest first',
    needs: 'read-yard',
    params: horse,
    reply: SpotsReply,
  }),
  worked: route({
    method: 'get',
    path: '/horses/{horseId}/worked',
    summary: 'A horse’s answers counted by track and session: what its counters and places are made from',
    needs: 'read-yard',
    params: horse,
    reply: WorkedReply,
  }),
  line: route({
    method: 'get',
    path: '/horses/{horseId}/line',
    summary: 'A horse’s tracks, gates and plan on a day',
    needs: 'read-yard',
    params: horse,
    query: z.object({ on: Day.optional() }),
    reply: Line,
  }),
  stepAnswers: route({
    method: 'get',
    path: '/horses/{horseId}/steps/{step}/answers',
    summary: 'The newest answers of one step, voided ones too',
    needs: 'read-yard',
    params: z.object({ horseId: Id, step: StepKey }),
    query: z.object({ before: Id.optional() }),
    reply: z.object({ answers: z.array(KeptAnswer) }),
  }),
  evidence: route({
    method: 'get',
    path: '/horses/{horseId}/evidence',
    summary: 'Every answer of some steps, or of all, that stands, and how each session was, oldest first',
    needs: 'read-yard',
    params: horse,
    query: z.object({
      steps: z
        .string()
        .transform((keys) => keys.split(','))
        .pipe(z.array(StepKey).min(1).max(20))
        .optional(),
    }),
    reply: z.object({ day: Day, answers: z.array(EvidenceAnswer), sessions: z.array(EvidenceSession) }),
  }),
  batch: route({
    method: 'post',
    path: '/answers/batch',
    summary: 'Keep sessions, answers and corrections, each at most once',
    needs: 'log-answers',
    body: Batch,
    reply: BatchReply,
  }),
  sessions: route({
    method: 'get',
    path: '/sessions',
    summary: 'The sessions of a day, or the newest of a horse',
    needs: 'read-yard',
    query: z.object({ on: Day.optional(), horseId: Id.optional() }),
    reply: z.object({ sessions: z.array(Session) }),
  }),
  session: route({
    method: 'get',
    path: '/sessions/{sessionId}',
    summary: 'One session with its answers',
    needs: 'read-yard',
    params: z.object({ sessionId: Id }),
    reply: z.object({ session: Session, answers: z.array(KeptAnswer) }),
  }),
  sessionChanges: route({
    method: 'get',
    path: '/sessions/{sessionId}/changes',
    summary: 'What a session’s day changed',
    needs: 'read-yard',
    params: z.object({ sessionId: Id }),
    reply: SessionChanges,
  }),
  confirmSession: route({
    method: 'put',
    path: '/sessions/{sessionId}/confirmation',
    summary: 'Confirm a session after mending it',
    needs: 'confirm-session',
    params: z.object({ sessionId: Id }),
    body: Confirmation,
    reply: Session,
  }),
  checks: route({
    method: 'get',
    path: '/horses/{horseId}/checks',
    summary: 'Checks of a horse',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ checks: z.array(Check) }),
  }),
  putCheck: route({
    method: 'put',
    path: '/horses/{horseId}/checks/{checkId}',
    summary: 'Record a check or a veterinary hold',
    needs: 'record-check',
    params: horse.extend({ checkId: Id }),
    body: PutCheck,
    reply: Check,
  }),
  incidents: route({
    method: 'get',
    path: '/horses/{horseId}/incidents',
    summary: 'Incidents of a horse',
    needs: 'read-yard',
    params: horse,
    reply: z.object({ incidents: z.array(Incident) }),
  }),
  putIncident: route({
    method: 'put',
    path: '/horses/{horseId}/incidents/{incidentId}',
    summary: 'Record an incident',
    needs: 'record-incident',
    params: horse.extend({ incidentId: Id }),
    body: PutIncident,
    reply: Incident,
  }),
  putConfirmations: route({
    method: 'put',
    path: '/horses/{horseId}/confirmations/{day}',
    summary: 'Confirm helper, helmet, rail or company for a day',
    needs: 'confirm-on-the-day',
    params: horse.extend({ day: Day }),
    body: PutConfirmations,
    reply: PutConfirmations,
  }),
  putOverrule: route({
    method: 'put',
    path: '/horses/{horseId}/overrules/{overruleId}',
    summary: 'Overrule Not yet or Check first with a reason; never a Stop',
    needs: 'overrule-gate',
    params: horse.extend({ overruleId: Id }),
    body: PutOverrule,
    reply: Overrule,
  }),
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
