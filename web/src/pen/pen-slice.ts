import type { AnswerDetails, IncidentTold } from '@still-pine/contract'
import type { Calm, Grade, PlaceByHorse, Side, Worst } from '@still-pine/core/answer'
import type { Zone } from '@still-pine/core/coverage'
import type { Confirmation } from '@still-pine/core/facts'
import type { Circumstances } from '@still-pine/core/circumstances'
import type { Burst } from '@still-pine/core/plan'
import type { Said } from './sensors/witness'
import { createSlice, original, type Draft, type PayloadAction } from '@reduxjs/toolkit'

/** One answer of this session, as the rail shows it. */
export interface PenAnswer extends AnswerDetails {
  readonly id: string
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm | null
  readonly byChance: boolean
  readonly recalled: boolean
  readonly uncued: boolean
  readonly seconds: number | null
  readonly fault: string | null
  readonly sign: string | null
  readonly place: PlaceByHorse | null
  readonly moving: boolean
  /** The phone's clock, ISO 8601. */
  readonly at: string
}

/** What is being asked: a step, a side and a rung, since when. */
export interface Aim {
  readonly burst: number | null
  readonly step: string
  readonly side: Side
  readonly rung: number
}

/** Where the person stands, where on the animal, and whether the horse moves; it holds until it is changed. */
export interface Stand {
  readonly place: PlaceByHorse | null
  readonly zone: Zone | null
  readonly moving: boolean
}

export const STANDING_ANYWHERE: Stand = { place: null, zone: null, moving: false }

/** An ask, accept or hold that runs. */
export interface Running {
  /** On a clock that cannot jump, milliseconds. */
  readonly startedAt: number
  readonly worst: Worst
  readonly corrections: number
  /** Of a hold: how often it was put back after it had stepped out. */
  readonly firm: number
  /** It has stepped out of the hold since then, and the clock stands; nothing while it holds. */
  readonly outSince: number | null
  readonly aids: number
}

/** What is run, one after the other: the day's plan, or the checks a gate wants. */
export interface Run {
  readonly bursts: readonly Burst[]
  readonly gate: string | null
  /** How the day is, as far as it was said before. */
  readonly said: Circumstances
}

/** What a person marks at an answer once it is given. */
export type Marked = Partial<
  Pick<PenAnswer, 'grade' | 'calm' | 'byChance' | 'uncued' | 'fault' | 'sign' | 'slip'>
>

export interface PenState extends Run {
  /** Who has the horse. */
  readonly personId: string
  readonly horseId: string
  /** The program it was opened with; a horse can be moved to another school meanwhile. */
  readonly programId: string
  readonly day: string
  readonly sessionId: string
  /** The session itself has gone to the outbox. */
  readonly sessionSaved: boolean
  readonly aim: Aim
  readonly stand: Stand
  /** When this burst began, on the phone's clock. */
  readonly burstStartedAt: number
  readonly running: Running | null
  /** The ask that ran when its person left; what became of it is still to be told. */
  readonly unfinished: Aim | null
  readonly answers: readonly PenAnswer[]
  /** A danger sign was recorded since this burst began. */
  readonly danger: boolean
  /** What was confirmed in this pen today, until the Line has heard of it. */
  readonly confirmed: readonly Confirmation[]
  /** The person goes on with a step up to this rung, having seen what is said to it; `why` where it is against the permit. */
  readonly allowed: { readonly step: string; readonly rung: number; readonly why: string | null } | null
  /** Incidents recorded in this pen, the newest last: Undo takes them back too. */
  readonly incidents: readonly {
    readonly id: string
    readonly at: string
    readonly incident: IncidentTold
  }[]
  /** What was marked last at the last answer, and how that stood before: Undo takes a mark back before the answer. */
  readonly mark: { readonly at: string; readonly was: Marked } | null
  /** Somebody said that it wears what its tack book has. */
  readonly kitSeen: boolean
  /** What a strap and a gauge said of the last ask they were on. */
  readonly sensed: Said | null
  /** The answer whose calm can still be given with one press, and until when on the clock that cannot jump. */
  readonly calmFor: { readonly id: string; readonly until: number } | null
}

const WORSE: readonly Worst[] = ['nothing', 'tightened', 'moved', 'left']

/**
 * A change of the open pen, told as what becomes different; `null` where nothing does. It is made from the state itself
 * and not from a draft of it: a draft of a long session costs a slow phone a good part of a press.
 */
const of =
  <Payload>(change: (pen: PenState, payload: Payload) => Partial<PenState> | null) =>
  (state: Draft<PenState> | null, { payload }: PayloadAction<Payload>): Draft<PenState> | null => {
    const pen = state === null ? undefined : (original(state) as PenState)
    const patch = pen ? change(pen, payload) : null
    return pen && patch ? ({ ...pen, ...patch } as Draft<PenState>) : state
  }

export const penSlice = createSlice({
  name: 'pen',
  initialState: null as PenState | null,
  reducers: {
    penOpened: (_state, { payload }: PayloadAction<PenState>) => payload as Draft<PenState>,
    penLeft: () => null,
    aimed: of((pen, { aim, now }: { aim: Aim; now: number }) => {
      const isSameStep = pen.aim.step === aim.step
      const isSameBurst = isSameStep && pen.aim.burst === aim.burst
      return {
        aim,
        running: null,
        calmFor: null,
        ...(isSameStep ? {} : { stand: STANDING_ANYWHERE }),
        ...(isSameBurst ? {} : { burstStartedAt: now, danger: false }),
      }
    }),
    /** The bursts after the present one, planned anew. */
    restPlanned: of(({ aim, bursts, gate }, rest: readonly Burst[]) =>
      aim.burst === null || gate !== null ? null : { bursts: [...bursts.slice(0, aim.burst + 1), ...rest] },
    ),
    stoodAt: of((_pen, stand: Stand) => ({ stand })),
    started: of((_pen, startedAt: number) => ({
      running: { startedAt, worst: 'nothing', corrections: 0, firm: 0, outSince: null, aids: 0 },
      calmFor: null,
      sensed: null,
    })),
    worsened: of(({ running }, worst: Worst) =>
      running && WORSE.indexOf(worst) > WORSE.indexOf(running.worst)
        ? { running: { ...running, worst } }
        : null,
    ),
    corrected: of<void>(
      ({ running }) => running && { running: { ...running, corrections: running.corrections + 1 } },
    ),
    steppedOut: of(({ running }, now: number) =>
      running && running.outSince === null
        ? { running: { ...running, firm: running.firm + 1, outSince: now } }
        : null,
    ),
    /** It goes on where it stopped. */
    putBack: of(({ running }, now: number) =>
      running && running.outSince !== null
        ? {
            running: { ...running, startedAt: running.startedAt + now - running.outSince, outSince: null },
          }
        : null,
    ),
    aidGiven: of<void>(({ running }) => running && { running: { ...running, aids: running.aids + 1 } }),
    dangerSeen: of((pen, seen: PenState['incidents'][number]) => ({
      danger: true,
      running: null,
      incidents: [...pen.incidents, seen],
    })),
    dangerTakenBack: of((pen, id: string) => {
      const incidents = pen.incidents.filter((one) => one.id !== id)
      return { incidents, danger: incidents.length > 0 && pen.danger }
    }),
    confirmedNow: of((pen, one: Confirmation) => ({ confirmed: [...pen.confirmed, one] })),
    allowed: of((pen, why: string | null) => ({ allowed: { step: pen.aim.step, rung: pen.aim.rung, why } })),
    dropped: of<void>(() => ({ running: null })),
    leftInIt: of<void>(({ running, aim }) => running && { running: null, unfinished: aim }),
    unfinishedTold: of<void>(() => ({ unfinished: null })),
    sessionWasSaved: of<void>(() => ({ sessionSaved: true })),
    answered: of(({ answers }, { answer, calmUntil }: { answer: PenAnswer; calmUntil: number | null }) => ({
      running: null,
      mark: null,
      answers: [...answers, answer],
      calmFor: calmUntil === null ? null : { id: answer.id, until: calmUntil },
    })),
    replaced: of(({ answers }, { id, answer }: { id: string; answer: PenAnswer }) => ({
      answers: answers.map((before) => (before.id === id ? answer : before)),
    })),
    takenBack: of(({ answers }, id: string) => ({
      answers: answers.filter((answer) => answer.id !== id),
      mark: null,
      calmFor: null,
    })),
    kitSeen: of<void>(() => ({ kitSeen: true })),
    sensed: of((_pen, sensed: Said) => ({ sensed })),
    calmClosed: of<void>(() => ({ calmFor: null })),
    marked: of((_pen, mark: PenState['mark']) => ({ mark })),
  },
})

export const {
  penOpened,
  penLeft,
  aimed,
  restPlanned,
  stoodAt,
  started,
  worsened,
  corrected,
  steppedOut,
  putBack,
  aidGiven,
  dangerSeen,
  dangerTakenBack,
  confirmedNow,
  allowed,
  dropped,
  leftInIt,
  unfinishedTold,
  sessionWasSaved,
  answered,
  replaced,
  takenBack,
  calmClosed,
  marked,
  kitSeen,
  sensed,
} = penSlice.actions
