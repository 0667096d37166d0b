import type { AnswerDetails } from '@still-pine/contract'
import type { Calm, Grade, Place, Side, Worst } from '@still-pine/core/answer'
import type { Zone } from '@still-pine/core/coverage'
import type { Burst } from '@still-pine/core/plan'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

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
  readonly place: Place | null
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
  readonly place: Place | null
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
  readonly aids: number
}

/** What is run, one after the other: the day's plan, or the checks a gate wants. */
export interface Run {
  readonly bursts: readonly Burst[]
  readonly gate: string | null
}

export interface PenState extends Run {
  /** Who has the horse. */
  readonly personId: string
  readonly horseId: string
  /** The program it was opened with; a horse can be moved to another school meanwhile. */
  readonly programId: string
  readonly day: string
  readonly sessionId: string
  /** The session itself has gone to the outbox. */
  readonly sessionKept: boolean
  readonly aim: Aim
  readonly stand: Stand
  /** When this burst began, on the phone's clock. */
  readonly burstStartedAt: number
  readonly running: Running | null
  readonly answers: readonly PenAnswer[]
  /** A danger sign was recorded since this burst began. */
  readonly danger: boolean
  /** The answer whose calm can still be given with one press, and until when on the clock that cannot jump. */
  readonly calmFor: { readonly id: string; readonly until: number } | null
}

const WORSE: readonly Worst[] = ['nothing', 'tightened', 'moved', 'left']

const change = (state: PenState | null, patch: Partial<PenState>): PenState | null =>
  state === null ? null : { ...state, ...patch }

export const penSlice = createSlice({
  name: 'pen',
  initialState: null as PenState | null,
  reducers: {
    penOpened: (_state, { payload }: PayloadAction<PenState>) => payload as never,
    penLeft: () => null,
    aimed: (state, { payload }: PayloadAction<{ aim: Aim; now: number }>) => {
      const { aim, now } = payload
      const isSameBurst = state?.aim.step === aim.step && state.aim.burst === aim.burst
      return change(state, {
        aim,
        running: null,
        calmFor: null,
        ...(state?.aim.step === aim.step ? {} : { stand: STANDING_ANYWHERE }),
        ...(isSameBurst ? {} : { burstStartedAt: now, danger: false }),
      }) as never
    },
    /** The bursts after the present one, planned anew. */
    restPlanned: (state, { payload }: PayloadAction<readonly Burst[]>) => {
      const at = state?.aim.burst ?? null
      if (state === null || at === null || state.gate !== null) return state
      return change(state, { bursts: [...state.bursts.slice(0, at + 1), ...payload] }) as never
    },
    stoodAt: (state, { payload }: PayloadAction<Stand>) => change(state, { stand: payload }) as never,
    started: (state, { payload }: PayloadAction<number>) =>
      change(state, {
        running: { startedAt: payload, worst: 'nothing', corrections: 0, aids: 0 },
        calmFor: null,
      }) as never,
    worsened: (state, { payload }: PayloadAction<Worst>) => {
      const running = state?.running
      if (!running || WORSE.indexOf(payload) <= WORSE.indexOf(running.worst)) return state
      return change(state, { running: { ...running, worst: payload } }) as never
    },
    corrected: (state) =>
      (state?.running
        ? change(state, { running: { ...state.running, corrections: state.running.corrections + 1 } })
        : state) as never,
    aidGiven: (state) =>
      (state?.running
        ? change(state, { running: { ...state.running, aids: state.running.aids + 1 } })
        : state) as never,
    dangerSeen: (state) => change(state, { danger: true, running: null }) as never,
    dropped: (state) => change(state, { running: null }) as never,
    sessionWasKept: (state) => change(state, { sessionKept: true }) as never,
    answered: (state, { payload }: PayloadAction<{ answer: PenAnswer; calmUntil: number | null }>) =>
      change(state, {
        running: null,
        answers: [...(state?.answers ?? []), payload.answer],
        calmFor: payload.calmUntil === null ? null : { id: payload.answer.id, until: payload.calmUntil },
      }) as never,
    replaced: (state, { payload }: PayloadAction<{ id: string; answer: PenAnswer }>) =>
      change(state, {
        answers: (state?.answers ?? []).map((answer) => (answer.id === payload.id ? payload.answer : answer)),
      }) as never,
    takenBack: (state, { payload }: PayloadAction<string>) =>
      change(state, {
        answers: (state?.answers ?? []).filter(({ id }) => id !== payload),
        calmFor: null,
      }) as never,
    calmClosed: (state) => change(state, { calmFor: null }) as never,
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
  aidGiven,
  dangerSeen,
  dropped,
  sessionWasKept,
  answered,
  replaced,
  takenBack,
  calmClosed,
} = penSlice.actions
