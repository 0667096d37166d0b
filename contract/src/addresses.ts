/** Where a page hears of changes as they are saved (see `streams`). */
export const CHANGES_PATH = '/changes'

type Method = 'get' | 'put' | 'post'

/** Where a route is asked: under `/api/v1`, parameters as `{name}`. */
export interface Address {
  readonly method: Method
  readonly path: string
}

const at =
  <M extends Method>(method: M) =>
  (path: string) =>
    ({ method, path }) as const
const get = at('get')
const put = at('put')
const post = at('post')

/** Every route's address. It stands apart from the schemas, so that a page can ask without loading them. */
export const addresses = {
  // The yard, who is in it, and signing in.
  about: get('/about'),
  firstRun: post('/first-run'),
  signIn: post('/sign-in'),
  signInDemo: post('/sign-in/demo'),
  signOut: post('/sign-out'),
  toMadeUpYard: post('/made-up-yard'),
  toOwnYard: post('/own-yard'),
  me: get('/me'),
  settings: put('/me/settings'),
  ownPassword: put('/me/password'),
  devices: get('/devices'),
  putCutOff: put('/people/{personId}/devices/{deviceId}/cut-off'),
  people: get('/people'),
  putPerson: put('/people/{personId}'),
  putStanding: put('/people/{personId}/standing'),
  resetLink: post('/people/{personId}/reset-link'),
  resetPassword: post('/reset-password'),
  places: get('/places'),
  putPlace: put('/places/{placeId}'),

  // Schools and what a horse is worked by.
  program: get('/programs/{programId}'),
  schools: get('/schools'),
  putProgram: put('/programs/{programId}'),
  putOffered: put('/schools/{school}/offered'),
  moveOver: get('/horses/{horseId}/move-over'),
  putHorseProgram: put('/horses/{horseId}/program'),

  // Horses and their lives.
  horse: get('/horses/{horseId}'),
  putHorse: put('/horses/{horseId}'),
  putArchived: put('/horses/{horseId}/archived'),
  putHandOver: put('/horses/{horseId}/hand-over'),
  arrivals: get('/horses/{horseId}/arrivals'),
  putArrival: put('/horses/{horseId}/arrivals/{arrivalId}'),
  blocks: get('/horses/{horseId}/blocks'),
  putBlock: put('/horses/{horseId}/blocks/{blockId}'),
  owner: get('/horses/{horseId}/owner'),
  putOwner: put('/horses/{horseId}/owner'),
  reports: get('/reports'),
  report: get('/horses/{horseId}/report'),
  passport: get('/horses/{horseId}/passport'),
  reportLinks: get('/horses/{horseId}/report-links'),
  putReportLink: put('/horses/{horseId}/report-links/{linkId}'),
  readReport: post('/shared-report'),

  // What is judged of horses, and what it is judged from.
  today: get('/today'),
  week: get('/week'),
  due: get('/due'),
  line: get('/horses/{horseId}/line'),
  carry: get('/horses/{horseId}/carry'),
  spots: get('/horses/{horseId}/spots'),
  worked: get('/horses/{horseId}/worked'),
  stepAnswers: get('/horses/{horseId}/steps/{step}/answers'),
  stepEvidence: get('/horses/{horseId}/steps/{step}/evidence'),
  evidence: get('/horses/{horseId}/evidence'),
  reading: get('/reading'),
  judging: get('/judging'),
  putFit: put('/judging/fit'),

  // Weeks that are planned, and the calendars they are told by.
  plannedWeek: get('/weeks/{firstDay}'),
  putPlannedWeek: put('/weeks/{firstDay}'),
  horseInWeek: get('/horses/{horseId}/weeks/{on}'),
  visits: get('/visits'),
  putArranged: put('/arranged/{partId}'),
  putBusy: put('/people/{personId}/busy'),
  makeFeed: post('/people/{personId}/feed'),
  endFeed: post('/people/{personId}/feed/end'),

  // Sessions and answers.
  batch: post('/answers/batch'),
  sessions: get('/sessions'),
  session: get('/sessions/{sessionId}'),
  sessionChanges: get('/sessions/{sessionId}/changes'),

  // Checks, incidents and what is confirmed.
  checks: get('/horses/{horseId}/checks'),
  putCheck: put('/horses/{horseId}/checks/{checkId}'),
  incidents: get('/horses/{horseId}/incidents'),
  attachments: get('/horses/{horseId}/attachments'),
  measurements: get('/horses/{horseId}/measurements'),
  entries: get('/horses/{horseId}/entries'),
  putOverrule: put('/horses/{horseId}/overrules/{overruleId}'),
} as const

/** The path of a route with its parameters filled in. */
export const pathTo = (path: string, params: Readonly<Record<string, unknown>>): string =>
  path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(params[name] ?? '')))

const PARAMETERS = /\{(\w+)\}/g

/** The path and query of a question, without the slash it begins with: what a copy of its answer is kept under. */
export const addressOf = (name: keyof typeof addresses, named: object = {}): string => {
  const { path } = addresses[name]
  const inPath = new Set([...path.matchAll(PARAMETERS)].map(([, parameter]) => parameter))
  const query = Object.entries(named).flatMap(([key, value]) =>
    inPath.has(key) || value === undefined ? [] : [`${key}=${encodeURIComponent(String(value))}`],
  )
  const asked = pathTo(path, { ...named }).slice(1)
  return query.length === 0 ? asked : `${asked}?${query.join('&')}`
}
