import pLimit from 'p-limit'
import { DEFAULT_SETTINGS } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import { modelFor } from '@still-pine/core/judgement'
import { offLeadFrom } from '@still-pine/core/counters'
import type { Program } from '@still-pine/core/program'
import { replayHorse, trackKey, trackOf, viewsOf, type Records, type Views } from '@still-pine/core/readiness'
import {
  COMPOSED,
  judgeNow,
  lastClosed,
  notFound,
  readWith,
  weekBefore,
  type Asking,
  type Loaders,
  type Named,
  type Parts,
  type Read,
  minutesArranged,
} from '@still-pine/use-cases'
import {
  againstBetween,
  answersAfter,
  answersOfSession,
  answersOfStep,
  answersPerDay,
  countRides,
  countWorkDays,
  drawnOf,
  evidence,
  evidenceOf,
  lastSpots,
  voidedAfter,
  workedRows,
} from '../data/answers'
import { arrangedOn } from '../data/arrangements'
import { attachmentsOf } from '../data/attachments'
import { arrivalsOf, blocksOf, knownOf, openBlock } from '../data/blocks'
import { checksOf, confirmedOn, incidentsOf, overrulesOn } from '../data/care'
import { judgedDay, revisionOf, saveJudgedDay, toldToday, type JudgedDay } from '../data/days'
import { devicesOf } from '../data/devices'
import { fitInUse, fitsOf } from '../data/fits'
import { allHorses, horseById } from '../data/horses'
import { entriesOf, forecastsCame, keptForecasts } from '../data/entries'
import { measurementsOf } from '../data/measurements'
import { horsesOfOwner, ownerOf } from '../data/owners'
import { allPeople, personById, yardNow } from '../data/people'
import { allPlaces } from '../data/places'
import { daysTold, tallied, talliedByCircumstance } from '../data/predictions'
import { allPrograms, newestProgram, programById } from '../data/programs'
import { circumstancesOf, circumstancesOfStep, lastHandled, sessionById, sessionsBy } from '../data/sessions'
import { countedTracks, horsesToRemake, recordsOf, tracksOf } from '../data/tracks'
import { arrangedParts, busyTimes, feedsOf, plannedWeek, plannedWeeks, visitsBetween } from '../data/weeks'
import { todayIn, type Yard } from '../records/yard'
import { forThreads, programNamed, programOfHorse } from './programs'

/** How many answers a device is given at once. */
const CARRY_PAGE = 5_000
const OTHER_DAYS_OF_WEEK = 6

/** What a loader cannot do without; a question that does not name it has no business with it. */
const needed = (named: Named, what: 'sessionId' | 'step' | 'programId' | 'to'): string => {
  const id = named[what]
  if (id === undefined) throw new Error(`A question that names no ${what} asked for a part that needs it.`)
  return id
}

/** The horse that is asked of: the one named, or the one of the session that is named. */
const horseIdOf = async (read: Read, { named }: Asking): Promise<string> =>
  named.horseId ?? (await read('session')).horseId

const programKeys = ({ steps }: Program): readonly string[] => steps.map(({ key }) => key)

const isPastKnown = (records: Records, on: string): boolean =>
  [...records.tracks.values()].some(({ belief }) => belief.lastDay !== null && belief.lastDay > on)

const asViews = (tracks: Parts['judged']['tracks']): Views =>
  new Map(tracks.map(({ step, side, view }) => [trackKey(step, side), view]))

/** The parts of a horse. */
const horseParts = (yard: Yard) => {
  const { client, yardId, engine } = yard
  const seen = new Map<string, Promise<JudgedDay | undefined>>()
  /** What is judged of a horse for today, where it is; looked up once. */
  const today = (horseId: string, { on }: Asking): Promise<JudgedDay | undefined> => {
    if (on !== todayIn(yard)) return Promise.resolve(undefined)
    const found = seen.get(horseId) ?? judgedDay(client, { horseId, day: on, engine })
    seen.set(horseId, found)
    return found
  }
  const ofHorse =
    <T>(load: (horseId: string, asking: Asking, read: Read) => Promise<T>) =>
    async (read: Read, asking: Asking): Promise<T> =>
      load(await horseIdOf(read, asking), asking, read)

  return {
    horse: ofHorse(async (id) => {
      const horse = await horseById(client, id)
      if (!horse) throw notFound('This horse')
      return horse
    }),
    knownHorse: ofHorse(async (id) => (await horseById(client, id)) ?? null),
    program: async (read: Read) => programOfHorse(client, yardId, await read('horse')),
    checks: ofHorse((id) => checksOf(client, id)),
    incidents: ofHorse((id) => incidentsOf(client, id)),
    measurements: ofHorse((id) => measurementsOf(client, id)),
    entries: ofHorse((id) => entriesOf(client, id)),
    attachments: ofHorse((id) => attachmentsOf(client, id)),
    confirmed: ofHorse((id, { on }) => confirmedOn(client, id, on)),
    overrules: ofHorse((id, { on }) => overrulesOn(client, id, on)),
    arranged: ofHorse((id, { on }) => arrangedOn(client, id, on)),
    known: ofHorse((id) => knownOf(client, id)),
    block: ofHorse(async (id) => (await openBlock(client, id)) ?? null),
    rides: ofHorse(async (id, _asking, read) =>
      countRides(client, id, {
        asked: offLeadFrom(await read('program')),
        after: lastClosed(await read('incidents')),
      }),
    ),
    week: ofHorse((id, { on }) => workedRows(client, id, { from: weekBefore(on), before: on })),
    workDays: ofHorse(
      async (id, asking) => (await today(id, asking))?.workDays ?? countWorkDays(client, id, asking.on),
    ),
    arrivals: ofHorse((id) => arrivalsOf(client, id)),
    blocks: ofHorse((id) => blocksOf(client, id)),
    owner: ofHorse(async (id) => (await ownerOf(client, id)) ?? null),
    spots: ofHorse((id) => lastSpots(client, id)),
    worked: ofHorse((id) => workedRows(client, id)),
    history: ofHorse((id) => evidenceOf(client, id)),
    historySessions: ofHorse((id) => circumstancesOf(client, id)),
    answersOfDay: ofHorse(async (id, { on }, read) =>
      (await evidence(client, id, { steps: programKeys(await read('program')), upTo: on })).filter(
        ({ day }) => day === on,
      ),
    ),
    asksAgainst: ofHorse((id, { named: { from, until } }) =>
      againstBetween(client, id, { from: from ?? '0001-01-01', until: until ?? '9999-12-31' }),
    ),
    answersToNamed: ofHorse(async (id, { today }, read) =>
      evidence(client, id, { steps: programKeys((await read('namedProgram')).document), upTo: today }),
    ),
    stepAnswers: ofHorse((id, { named }) =>
      answersOfStep(client, id, { step: needed(named, 'step'), before: named.before }),
    ),
    stepDrawn: ofHorse((id, { named }) => drawnOf(client, id, needed(named, 'step'))),
    stepSessions: ofHorse((id, { named }) => circumstancesOfStep(client, id, needed(named, 'step'))),
    stepDays: ofHorse((id, { named }) => daysTold(client, id, needed(named, 'step'))),
    stepBeliefs: ofHorse(async (id, { named }) => {
      const records = await tracksOf(client, id, needed(named, 'step'))
      return new Map([...records].map(([key, { belief }]) => [trackOf(key).side, belief]))
    }),
    stepCircumstances: ofHorse((id, { named }) => talliedByCircumstance(client, id, needed(named, 'step'))),

    carriedPage: ofHorse(async (id, { named }) => {
      const voided = await voidedAfter(client, id, named.voidings ?? 0)
      const answers = await answersAfter(client, id, { seq: named.answers ?? 0, most: CARRY_PAGE })
      return {
        answers: answers.map(({ at, ...answer }) => ({ ...answer, at: at.toISOString() })),
        more: answers.length === CARRY_PAGE,
        voided,
      }
    }),

    /** Read where the day is judged already, and else worked out. */
    views: ofHorse(async (id, asking, read): Promise<Views> => {
      const { on } = asking
      const known = await today(id, asking)
      if (known) return asViews(known.judged.tracks)
      const program = await read('program')
      const model = modelFor(program)
      const records = await recordsOf(client, id, model)
      if (!isPastKnown(records, on)) return viewsOf(model, program, { records, on })
      // A day gone by: every track from scratch, leaving out the answers after it.
      const answers = await evidence(client, id, { steps: programKeys(program), upTo: on })
      return viewsOf(model, program, { records: replayHorse(model, program, answers), on })
    }),

    weekOptions: ofHorse(async (_id, { on }, read) =>
      yard.threads.weekOptions({
        program: forThreads(await read('program')),
        views: await read('views'),
        facts: await read('facts'),
        on,
      }),
    ),

    /** Today's is judged once and then read, until anything that is known of the horse changes. */
    judged: ofHorse(async (horseId, asking, read): Promise<Parts['judged']> => {
      const known = await today(horseId, asking)
      if (known) return known.judged
      if (asking.on !== todayIn(yard)) return judgeNow(read, asking)
      const document = await read('program')
      const program = forThreads(document)
      const told = { facts: await read('facts'), loadDays: await read('loadDays'), on: asking.on }
      const records = await recordsOf(client, horseId, modelFor(document))
      const judged = isPastKnown(records, asking.on)
        ? await judgeNow(read, asking)
        : await yard.threads.judge({ program, records, ...told })
      // Questions are read at one moment: this is the revision of what was just judged.
      const revision = await revisionOf(client, horseId)
      const workDays = await read('workDays')
      const made = { horseId, day: asking.on, engine, revision, workDays, judged }
      const before = judged.gates
        .filter(({ verdict }) => verdict === 'go' || verdict === 'check-first')
        .map(({ gate }) => gate)
      yard.afterwards(async (later) => {
        await saveJudgedDay(later, yardId, made)
        if (before.length > 0) await forecastsCame(later, horseId, { gates: before, day: asking.on })
      })
      return judged
    }),
  }
}

/** A day that is no week's first. */
const NEVER = '0001-01-01'

/** The days a question is about: those it names, or those of the week it names. */
const betweenIn = ({ from, until, firstDay }: Named): readonly [string, string] =>
  firstDay === undefined ? [from ?? NEVER, until ?? NEVER] : [firstDay, addDays(firstDay, 6)]

/** So long a question waits for a day that is not judged yet; the rest is worked out after it. */
const PATIENCE_MS = 1_200

/** The parts of the yard as a whole. */
const yardParts = ({ client, yardId, engine, personId, role, now, threads, wantDay }: Yard) => ({
  me: async (_read: Read, { today }: Asking): Promise<Parts['me']> => {
    const { id, name, role: part, settings } = (await personById(client, personId))!
    return {
      person: { id, name, role: part, settings: { ...DEFAULT_SETTINGS, ...settings } },
      yard: (await yardNow(client))!,
      today,
      now: now.toISOString(),
    }
  },
  people: () => allPeople(client),
  places: () => allPlaces(client),
  toRemake: async () => (await horsesToRemake(client)).length,
  fits: async () => {
    const inUse = await fitInUse(client)
    const found = await fitsOf(client)
    return found.map(({ madeAt, ...fit }) => ({
      ...fit,
      madeAt: madeAt.toISOString(),
      isInUse: fit.version === inUse?.version,
    }))
  },
  devices: async () =>
    (await devicesOf(client, role === 'starter' ? null : personId)).map(
      ({ seenAt, cutOffAt, ...device }) => ({
        ...device,
        seenAt: seenAt.toISOString(),
        cutOffAt: cutOffAt?.toISOString() ?? null,
      }),
    ),
  programs: async () =>
    (await allPrograms(client)).map(({ madeAt, ...one }) => ({
      ...one,
      madeAt: madeAt?.toISOString() ?? null,
    })),
  namedProgram: async (_read: Read, { named }: Asking) => {
    const id = named.to ?? needed(named, 'programId')
    return { id, document: await programNamed(client, yardId, id) }
  },
  knownProgram: async (_read: Read, { named }: Asking) =>
    (await programById(client, needed(named, 'programId')))?.document ?? null,
  ownReports: async (read: Read) => {
    const reports = []
    for (const { id, name } of await horsesOfOwner(client, personId)) {
      const [arrival] = await arrivalsOf(client, id)
      const now = await read.at({ horseId: id })('report')
      reports.push({ id, name, arrival: arrival ?? null, blocks: await blocksOf(client, id), now })
    }
    return reports
  },
  horses: () => allHorses(client),
  toldToday: async (read: Read, { today }: Asking) => {
    const told = new Map(await toldToday(client, { day: today, engine }))
    const missing = (await read('horses')).filter(({ id, archived }) => archived === null && !told.has(id))
    const until = performance.now() + PATIENCE_MS
    const judge = async (id: string): Promise<void> => {
      if (performance.now() > until) return wantDay()
      const of = read.at({ horseId: id, on: today })
      const { plan } = await of('judged')
      told.set(id, { plan, arrangedMinutes: minutesArranged(await of('arranged'), await of('horse')) })
    }
    const atOnce = pLimit(threads.atOnce)
    await Promise.all(missing.map(({ id }) => atOnce(() => judge(id))))
    return told
  },
  answersToday: (_read: Read, { today }: Asking) => answersPerDay(client, today, today),
  answersPerDay: (_read: Read, { today }: Asking) =>
    answersPerDay(client, addDays(today, -OTHER_DAYS_OF_WEEK), today),
  arrangedParts: () => arrangedParts(client),
  plannedWeek: (_read: Read, { named: { firstDay } }: Asking) => plannedWeek(client, firstDay ?? NEVER),
  busyTimes: () => busyTimes(client),
  feeds: () => feedsOf(client),
  keptForecasts: (_read: Read, { named }: Asking) => keptForecasts(client, named.horseId ?? null),
  visitsBetween: (_read: Read, { named }: Asking) => visitsBetween(client, ...betweenIn(named)),
  plannedWeeks: (_read: Read, { named }: Asking) => plannedWeeks(client, ...betweenIn(named)),
  workedBetween: async (_read: Read, { named }: Asking) =>
    (await answersPerDay(client, ...betweenIn(named))).map(({ horseId, day }) => ({ horseId, day })),
  lastHandled: () => lastHandled(client),
  countedTracks: () => countedTracks(client),
  tallied: (_read: Read, { named }: Asking) => tallied(client, named.horseId ?? null),
  talliedSchools: async (read: Read) => {
    const schools = new Map<string, Program>()
    for (const { school } of await read('tallied'))
      if (!schools.has(school)) schools.set(school, (await newestProgram(client, school))!.document)
    return schools
  },
  talliedCircumstances: (_read: Read, { named }: Asking) =>
    talliedByCircumstance(client, named.horseId ?? null),
  sessions: (_read: Read, { named: { on, horseId } }: Asking) => sessionsBy(client, { on, horseId }),
  session: async (_read: Read, { named }: Asking) => {
    const session = await sessionById(client, needed(named, 'sessionId'))
    if (!session) throw notFound('This session')
    return session
  },
  sessionAnswers: (_read: Read, { named }: Asking) => answersOfSession(client, needed(named, 'sessionId')),
})

/** How each part is read from the database, in the transaction of one yard. */
export const loadersOf = (yard: Yard): Loaders => ({ ...COMPOSED, ...yardParts(yard), ...horseParts(yard) })

/** What somebody asks of their yard, today. */
export const askingOf = (yard: Yard, named: Named): Asking => {
  const { yardId, personId, role, deviceId, now } = yard
  const today = todayIn(yard)
  return { who: { yardId, personId, role, deviceId }, now, today, on: named.on ?? today, named }
}

/** Reads parts of a horse for work that goes on to write. */
export const readOf = (yard: Yard, named: Named): Read => readWith(loadersOf(yard), askingOf(yard, named))
