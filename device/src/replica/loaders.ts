import type { EvidenceSession, Line, Me, ReplyOf } from '@still-pine/contract'
import { modelFor } from '@still-pine/core/judgement'
import { withSafety, type Program } from '@still-pine/core/program'
import { viewsOf } from '@still-pine/core/readiness'
import {
  COMPOSED,
  judgeNow,
  lastClosed,
  notFound,
  weekBefore,
  type Asking,
  type DayCount,
  type Loaders,
  type PartName,
  type Read,
  type ToldToday,
  minutesArranged,
  weekOptionsOf,
} from '@still-pine/use-cases'
import { bodyOf } from '../known'
import { device } from '../store'
import { ridesHere, type HorseHere } from './horse-here'
import type { Replays } from './replays'
import { answersOfSessionHere, answersOfStepHere, sessionsHere } from './sessions'
import { spotsHere } from './spots'
import { stepHere, type StepHere } from './step-here'
import { workedHere } from './worked'

/** What one question is answered from. */
export interface Here {
  readonly me: Me
  readonly replays: Replays
  readonly horseOf: (horseId: string) => Promise<HorseHere | undefined>
  /** Today's Line of a horse, as it is kept for it. */
  readonly lineOf: (horseId: string) => Promise<Line | undefined>
}

const notKnownHere = (): never => {
  throw notFound('This')
}

/** What only the server knows. */
const UNKNOWN = async (): Promise<never> => notKnownHere()

const ONLY_THERE = {
  people: UNKNOWN,
  places: UNKNOWN,
  devices: UNKNOWN,
  programs: UNKNOWN,
  ownReports: UNKNOWN,
  countedTracks: UNKNOWN,
  tallied: UNKNOWN,
  lastHandled: UNKNOWN,
  talliedSchools: UNKNOWN,
  talliedCircumstances: UNKNOWN,
  fits: UNKNOWN,
  toRemake: UNKNOWN,
  arrivals: UNKNOWN,
  blocks: UNKNOWN,
  owner: UNKNOWN,
  carriedPage: UNKNOWN,
  knownProgram: UNKNOWN,
  asksAgainst: UNKNOWN,
  arrangedParts: UNKNOWN,
  plannedWeek: UNKNOWN,
  busyTimes: UNKNOWN,
  feeds: UNKNOWN,
  keptForecasts: UNKNOWN,
  visitsBetween: UNKNOWN,
  plannedWeeks: UNKNOWN,
  workedBetween: UNKNOWN,
} satisfies Partial<Record<PartName, unknown>>

/** The horse a session is of: of those carried, the one that answered in it. */
const horseOfSession = async ({ me, horseOf }: Here, sessionId: string): Promise<string> => {
  const all = await device.carried.where('personId').equals(me.person.id).toArray()
  for (const { horseId } of all) {
    const horse = await horseOf(horseId)
    if (horse?.history.some((answer) => answer.sessionId === sessionId)) return horseId
  }
  return notKnownHere()
}

/** How each part is made from what lies on this device, what waits here with it. */
export const loadersOf = (here: Here): Loaders => {
  const { me, replays } = here
  const horses = new Map<string, Promise<HorseHere | undefined>>()
  const horseHere = (horseId: string): Promise<HorseHere | undefined> => {
    const known = horses.get(horseId) ?? here.horseOf(horseId)
    horses.set(horseId, known)
    return known
  }
  const steps = new Map<string, StepHere>()

  const horseIdOf = async ({ named }: Asking): Promise<string> =>
    named.horseId ?? (named.sessionId === undefined ? notKnownHere() : horseOfSession(here, named.sessionId))

  const ofHorse =
    <T>(make: (horse: HorseHere, asking: Asking, read: Read) => T | Promise<T>) =>
    async (read: Read, asking: Asking): Promise<T> =>
      make((await horseHere(await horseIdOf(asking))) ?? notKnownHere(), asking, read)

  // Of sessions older than those this device was told, it knows no circumstances.
  const oldestFirst = (horse: HorseHere): readonly EvidenceSession[] => sessionsHere(horse).toReversed()

  const ofStep = <P extends keyof StepHere>(part: P) =>
    ofHorse((horse, { named, today }): StepHere[P] => {
      const step = named.step ?? notKnownHere()
      const key = `${horse.carried.horseId}/${step}`
      const made = steps.get(key) ?? stepHere(horse, { step, on: today, sessions: oldestFirst(horse) })
      steps.set(key, made)
      return made[part]
    })

  const toldBefore = async (): Promise<ReplyOf<'today'>> => (await bodyOf('today')) ?? notKnownHere()

  const countedPerDay = async (_read: Read, { today }: Asking): Promise<DayCount[]> => {
    const { rows, day } = await toldBefore()
    const counts: DayCount[] = []
    for (const { horse, answersToday } of rows) {
      const known = await horseHere(horse.id)
      const perDay = new Map<string, number>()
      for (const answer of known?.history ?? []) perDay.set(answer.day, (perDay.get(answer.day) ?? 0) + 1)
      if (!known && day === today) perDay.set(day, answersToday)
      for (const [on, answers] of perDay) counts.push({ horseId: horse.id, day: on, answers })
    }
    return counts
  }

  return {
    ...COMPOSED,
    ...ONLY_THERE,
    me: async () => me,

    horses: async () => {
      const { rows, gone = [] } = await toldBefore()
      const known = await Promise.all(rows.map(({ horse }) => horseHere(horse.id)))
      return [...rows.map(({ horse }, i) => known[i]?.carried.horse ?? horse), ...gone]
    },
    toldToday: async () => {
      const told = new Map<string, ToldToday>()
      for (const { horse, plan } of (await toldBefore()).rows) {
        const line = await here.lineOf(horse.id)
        told.set(
          horse.id,
          line
            ? { plan: line.plan, arrangedMinutes: minutesArranged(line.arranged, line.horse) }
            : { plan, arrangedMinutes: null },
        )
      }
      return told
    },
    answersToday: countedPerDay,
    answersPerDay: countedPerDay,

    horse: ofHorse(({ carried }) => carried.horse),
    knownHorse: ofHorse(({ carried }) => carried.horse),
    program: ofHorse(({ program }) => program),
    checks: ofHorse(({ carried }) => carried.checks),
    incidents: ofHorse(({ incidents }) => incidents),
    measurements: ofHorse(({ measurements }) => measurements),
    entries: ofHorse(({ entries }) => entries),
    attachments: ofHorse(({ attachments }) => attachments),
    confirmed: ofHorse(({ confirmed }, { on }) => confirmed.get(on) ?? []),
    overrules: ofHorse(({ carried }, { on }) => (carried.day === on ? carried.overrules : [])),
    arranged: ofHorse(({ arranged }, { on }) => arranged.get(on) ?? null),
    known: ofHorse(({ carried }) => carried.known ?? []),
    block: ofHorse(({ carried }) => carried.block ?? null),
    rides: ofHorse((horse) => ridesHere(horse, lastClosed(horse.incidents))),
    week: ofHorse(({ history }, { on }) =>
      workedHere(history.filter(({ day }) => day >= weekBefore(on) && day < on)),
    ),
    workDays: ofHorse(
      ({ history }, { on }) => new Set(history.map(({ day }) => day).filter((day) => day <= on)).size,
    ),
    views: ofHorse((horse, { on }) =>
      viewsOf(modelFor(horse.program), horse.program, { records: replays.of(horse, on), on }),
    ),
    judged: judgeNow,
    weekOptions: async (read, { on }) =>
      weekOptionsOf(await read('program'), { views: await read('views'), facts: await read('facts'), on }),
    spots: ofHorse(({ history }) => spotsHere(history)),
    worked: ofHorse(({ history, sessions }) => workedHere(history, sessions)),

    history: ofHorse(({ history }) => history),
    historySessions: ofHorse(oldestFirst),
    namedProgram: async (_read, { named }) => {
      const id = named.to ?? named.programId ?? notKnownHere()
      const known = (await bodyOf<{ program: Program }>(`programs/${id}`)) ?? notKnownHere()
      return { id, document: withSafety(known.program) }
    },
    answersOfDay: ofHorse(({ program, history }, { on }) =>
      history.filter(({ step, day }) => day === on && program.steps.some(({ key }) => key === step)),
    ),
    answersToNamed: ofHorse(async ({ history }, { today }, read) => {
      const { document } = await read('namedProgram')
      const keys = new Set(document.steps.map(({ key }) => key))
      return history.filter(({ step, day }) => keys.has(step) && day <= today)
    }),

    stepAnswers: ofHorse((horse, { named }) => answersOfStepHere(horse, named.step ?? notKnownHere())),
    stepDrawn: ofHorse(({ history }, { named }) =>
      history.filter(({ step, uncued }) => step === named.step && !uncued),
    ),
    stepSessions: ofHorse((horse, { named }) => {
      const asked = new Set(
        horse.history.filter(({ step }) => step === named.step).map(({ sessionId }) => sessionId),
      )
      return oldestFirst(horse).filter(({ id }) => asked.has(id))
    }),
    stepDays: ofStep('days'),
    stepBeliefs: ofStep('beliefs'),
    stepCircumstances: ofStep('circumstances'),

    sessions: async (read, asking) => {
      // The sessions of a day are those of many horses, of which not all need be carried.
      if (asking.named.horseId === undefined) return notKnownHere()
      return ofHorse(sessionsHere)(read, asking)
    },
    session: ofHorse(
      (horse, { named }) => sessionsHere(horse).find(({ id }) => id === named.sessionId) ?? notKnownHere(),
    ),
    sessionAnswers: ofHorse((horse, { named }) =>
      answersOfSessionHere(horse, named.sessionId ?? notKnownHere()),
    ),
  }
}
