import { PutEntry, PutIncident, type BatchItem, type PromisedAsk } from '@still-pine/contract'
import { idOfItem } from '@still-pine/contract/id-of-item'
import type { Calm, Grade } from '@still-pine/core/answer'
import { v7 as uuid } from 'uuid'
import { amendWaiting, device, saveWaiting, withdrawWaiting } from '@still-pine/device'
import { sayNotSaved, sayWhileSlow } from '../offline/save'
import type { AppThunk } from '../app/thunk'
import {
  answered,
  calmClosed,
  dangerTakenBack,
  marked,
  penOpened,
  replaced,
  sensed,
  sessionWasSaved,
  STANDING_ANYWHERE,
  takenBack,
  type Aim,
  type Marked,
  type PenAnswer,
  type PenState,
  type Run,
} from './pen-slice'
import type { Said } from './sensors/witness'
import { whereNow } from '../shared/where'

/** Milliseconds after an answer in which its calm is one press. */
export const CALM_WINDOW_MS = 3_000

const isoNow = (): string => new Date().toISOString()

const toItem = (pen: PenState, answer: PenAnswer, replaces: string | null): BatchItem => ({
  do: 'add',
  answer: {
    ...answer,
    horseId: pen.horseId,
    sessionId: pen.sessionId,
    replaces,
  },
})

const voidItem = (answerId: string, reason: string): BatchItem => ({
  do: 'void',
  id: uuid(),
  answerId,
  reason,
  at: isoNow(),
})

/** Where the pen of a horse stood; one that cannot be read is begun anew, its answers lie in the outbox. */
const draftOf = async (personId: string, horseId: string): Promise<PenState | undefined> => {
  try {
    const state = (await device.drafts.get([personId, horseId]))?.state as PenState | undefined
    return Array.isArray(state?.answers) && state.aim ? state : undefined
  } catch {
    return undefined
  }
}

type HorseInSchool = Pick<PenState, 'programId'> & { readonly id: string }

/** It is the pen of this horse in its present school, on this day, for this gate or for none. */
export const isPenOf = (
  pen: PenState,
  horse: HorseInSchool,
  { day, gate }: { day: string; gate: string | null },
): boolean =>
  pen.horseId === horse.id && pen.programId === horse.programId && pen.day === day && pen.gate === gate

/**
 * Opens the pen of a horse: where it stood today on this device, or a new session; a gate's checks come first. Says
 * whether it did.
 */
export const openPen =
  (
    personId: string,
    horse: HorseInSchool,
    { day, aim, run }: { day: string; aim: Aim; run: Run },
  ): AppThunk<Promise<boolean>> =>
  async (dispatch, getState) => {
    const before = getState().pen
    const kept = await draftOf(personId, horse.id)
    // Asked for twice, it is opened once: an ask may run in it already.
    const now = getState().pen
    if (now !== before && now !== null && isPenOf(now, horse, { day, gate: run.gate })) return false
    const fresh: PenState = {
      personId,
      horseId: horse.id,
      programId: horse.programId,
      day,
      sessionId: uuid(),
      sessionSaved: false,
      aim,
      ...run,
      stand: STANDING_ANYWHERE,
      burstStartedAt: Date.now(),
      running: null,
      unfinished: null,
      answers: [],
      danger: false,
      confirmed: [],
      allowed: null,
      incidents: [],
      calmFor: null,
      mark: null,
      kitSeen: false,
      sensed: null,
    }
    // An ask that ran when the page went is not an answer yet: its person says what became of it.
    // A gate's checks are what it wants now, and afterwards the day's plan is back.
    // A school that was changed since has other steps: what was answered stays, the plan is the new one.
    const isOther = run.gate !== null || run.gate !== kept?.gate || horse.programId !== kept?.programId
    const goingOn =
      kept?.day === day
        ? {
            ...fresh,
            ...kept,
            said: run.said,
            personId,
            running: null,
            unfinished: kept.running ? kept.aim : (kept.unfinished ?? null),
            calmFor: null,
            mark: null,
            sensed: null,
          }
        : fresh
    dispatch(
      penOpened(
        isOther
          ? { ...goingOn, ...run, programId: horse.programId, aim, burstStartedAt: Date.now() }
          : goingOn,
      ),
    )
    return true
  }

/** Remembers where the pen stands on this device. */
export const rememberPen = (pen: PenState): Promise<unknown> =>
  device.drafts.put({ personId: pen.personId, horseId: pen.horseId, state: pen }).catch(() => undefined)

/** After the next paint: the answers themselves are kept at once, and this must not hold them up. */
const REMEMBER_AFTER_MS = 60

let toRemember: PenState | null = null

/** Remembers the newest of several changes in a row. */
export const rememberPenSoon = (pen: PenState): void => {
  if (toRemember !== null && toRemember.horseId !== pen.horseId) void rememberPen(toRemember)
  if (toRemember === null)
    setTimeout(() => {
      const newest = toRemember
      toRemember = null
      if (newest) void rememberPen(newest)
    }, REMEMBER_AFTER_MS)
  toRemember = pen
}

const toEntry = (
  personId: string,
  pen: PenState,
  { item, readyAt = 0 }: { item: BatchItem; readyAt?: number },
) => ({
  id: idOfItem(item),
  personId,
  horseId: pen.horseId,
  item,
  readyAt,
})

const keep = (personId: string, pen: PenState, item: BatchItem): Promise<void> =>
  saveWaiting(toEntry(personId, pen, { item }))

/** What the plan sets out to do, side by side; checks of a gate and the asks of a sheet are no plan. */
const promisedBy = ({ gate, bursts }: PenState): PromisedAsk[] | null =>
  gate !== null
    ? null
    : bursts
        .filter(({ again }) => !again)
        .flatMap(({ step, sides }) => sides.map(({ side, asks }) => ({ step, side, asks })))
        .filter(({ asks }) => asks > 0)

const sessionItem = (pen: PenState, startedAt: string): BatchItem => ({
  do: 'session',
  session: {
    id: pen.sessionId,
    horseId: pen.horseId,
    startedAt,
    place: whereNow(),
    circumstances: pen.said,
    promised: promisedBy(pen),
  },
})

let turns: Promise<unknown> = Promise.resolve()

/** One change at a time: a press that follows at once finds what the press before it left. */
const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
  const mine = turns.then(work, work)
  turns = mine
  return mine
}

/** When all that was pressed so far lies on the device, or could not be kept. */
export const whenSaved = (): Promise<unknown> => turns.catch(() => undefined)

/** Keeps one answer on this device at once, and sends it when its calm can no longer change. */
export const saveAnswer =
  (personId: string, answer: Omit<PenAnswer, 'id' | 'at'>, asksForCalm: boolean): AppThunk<Promise<string>> =>
  (dispatch, getState) => {
    const full: PenAnswer = { ...answer, id: uuid(), at: isoNow() }
    const readyAt = asksForCalm ? Date.now() + CALM_WINDOW_MS : 0
    const calmUntil = asksForCalm ? performance.now() + CALM_WINDOW_MS : null
    const pen = getState().pen
    // On its way to the device before it is drawn: the drawing would only hold it up.
    const kept = inTurn(async () => {
      if (!pen) return full.id
      const isFirst = !(getState().pen ?? pen).sessionSaved
      const opening = isFirst ? [toEntry(personId, pen, { item: sessionItem(pen, full.at) })] : []
      await saveWaiting(...opening, toEntry(personId, pen, { item: toItem(pen, full, null), readyAt }))
      if (isFirst) dispatch(sessionWasSaved())
      return full.id
    })
    dispatch(answered({ answer: full, calmUntil }))
    return sayWhileSlow(kept).catch((error: unknown) => {
      // What this device could not keep does not stay on the screen as if it had.
      dispatch(takenBack(full.id))
      sayNotSaved()
      throw error
    })
  }

type Change = (last: PenAnswer) => Marked & Partial<Pick<PenAnswer, 'peakNewtons' | 'releaseSeconds'>>

/** Changes an answer: in place while it waits here, and otherwise by taking it back and adding another. */
const mend =
  (
    personId: string,
    find: (answers: readonly PenAnswer[]) => PenAnswer | undefined,
    change: Change,
  ): AppThunk<Promise<void>> =>
  (dispatch, getState) =>
    inTurn(async () => {
      const pen = getState().pen
      const before = pen && find(pen.answers)
      if (!pen || !before) return
      const patch = change(before)
      if (await amendWaiting(before.id, patch)) {
        dispatch(replaced({ id: before.id, answer: { ...before, ...patch } }))
        return
      }
      const after: PenAnswer = { ...before, ...patch, id: uuid() }
      dispatch(replaced({ id: before.id, answer: after }))
      await keep(personId, pen, voidItem(before.id, 'corrected in the pen'))
      await keep(personId, pen, toItem(pen, after, before.id))
    })

/** Marks something at the last answer, and remembers how it stood before. */
const mendLast =
  (personId: string, change: (last: PenAnswer) => Marked): AppThunk<Promise<void>> =>
  (dispatch) =>
    dispatch(
      mend(
        personId,
        (answers) => answers.at(-1),
        (last) => {
          const patch = change(last)
          const keys = Object.keys(patch) as (keyof Marked)[]
          if (keys.some((key) => patch[key] !== last[key])) {
            const was = Object.fromEntries(keys.map((key) => [key, last[key]])) as Marked
            dispatch(marked({ at: isoNow(), was }))
          }
          return patch
        },
      ),
    )

/** Takes the last mark back; its answer stays. */
export const undoMark =
  (personId: string, was: Marked): AppThunk<Promise<void>> =>
  (dispatch) => {
    dispatch(marked(null))
    return dispatch(
      mend(
        personId,
        (answers) => answers.at(-1),
        () => was,
      ),
    )
  }

/** What a rope gauge said of an answer; known a moment after it. */
export const notePull = (
  personId: string,
  answerId: string,
  pull: Pick<PenAnswer, 'peakNewtons' | 'releaseSeconds'>,
): AppThunk<Promise<void>> =>
  mend(
    personId,
    (answers) => answers.find(({ id }) => id === answerId),
    () => pull,
  )

/** Keeps what a strap and a gauge said of an answer; an answer taken back meanwhile is nobody's. */
export const noteSensed =
  (personId: string, at: string, said: Said): AppThunk<Promise<void>> =>
  (dispatch, getState) =>
    inTurn(async () => {
      const pen = getState().pen
      const answer = pen?.answers.find((one) => one.at === at)
      if (!pen || !answer) return
      dispatch(sensed(said))
      const { day: on, sessionId } = pen
      const entry = PutEntry.parse({ kind: 'sensed', on, step: answer.step, sessionId, at, ...said })
      await keep(personId, pen, { do: 'enter', id: uuid(), horseId: pen.horseId, entry })
    })

export const noteCalm =
  (personId: string, calm: Calm): AppThunk<Promise<void>> =>
  (dispatch) => {
    dispatch(calmClosed())
    return dispatch(mendLast(personId, () => ({ calm })))
  }

export const correctGrade = (personId: string, grade: Grade): AppThunk<Promise<void>> =>
  mendLast(personId, () => ({ grade }))

export const toggleByChance = (personId: string): AppThunk<Promise<void>> =>
  mendLast(personId, ({ byChance }) => ({ byChance: !byChance }))

export const toggleUncued = (personId: string): AppThunk<Promise<void>> =>
  mendLast(personId, ({ uncued }) => ({ uncued: !uncued }))

export const setSlip = (personId: string, slip: string): AppThunk<Promise<void>> =>
  mendLast(personId, () => ({ slip }))

export const setFault = (personId: string, fault: string): AppThunk<Promise<void>> =>
  mendLast(personId, () => ({ fault }))

export const setSign = (personId: string, sign: string): AppThunk<Promise<void>> =>
  mendLast(personId, () => ({ sign }))

const WRONGLY_PRESSED = 'pressed by mistake'

/** Takes an incident of this pen back; once sent it stays on record as taken back. */
export const undoDanger =
  (personId: string, id: string): AppThunk<Promise<void>> =>
  (dispatch, getState) =>
    inTurn(async () => {
      const pen = getState().pen
      const seen = pen?.incidents.find((one) => one.id === id)
      if (!pen || !seen) return
      dispatch(dangerTakenBack(id))
      if (await withdrawWaiting(id)) return
      const incident = PutIncident.parse({ ...seen.incident, withdrawn: WRONGLY_PRESSED })
      await keep(personId, pen, { do: 'incident', id, horseId: pen.horseId, incident })
    })

/** Takes the last answer back; once sent it stays in the history as taken back. */
export const undoLast =
  (personId: string): AppThunk<Promise<void>> =>
  (dispatch, getState) =>
    inTurn(async () => {
      const pen = getState().pen
      const last = pen?.answers.at(-1)
      if (!pen || !last) return
      dispatch(takenBack(last.id))
      if (!(await withdrawWaiting(last.id)))
        await keep(personId, pen, voidItem(last.id, 'taken back in the pen'))
    })
