import type { BatchItem } from '@still-pine/contract'
import type { Calm, Grade } from '@still-pine/core/answer'
import { v7 as uuid } from 'uuid'
import { amendWaiting, device, keepWaiting, withdrawWaiting } from '../offline/outbox'
import type { AppThunk } from '../app/thunk'
import {
  answered,
  calmClosed,
  penOpened,
  replaced,
  sessionWasKept,
  STANDING_ANYWHERE,
  takenBack,
  type Aim,
  type PenAnswer,
  type PenState,
  type Run,
} from './pen-slice'

/** Milliseconds after an answer in which its calm is one press. */
export const CALM_WINDOW_MS = 3_000

const isoNow = (): string => new Date().toISOString()

const toItem = (pen: PenState, answer: PenAnswer, replaces: string | null): BatchItem => ({
  do: 'add',
  answer: {
    ...answer,
    horseId: pen.horseId,
    sessionId: pen.sessionId,
    uncued: false,
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

const idOf = (item: BatchItem): string => {
  if (item.do === 'void') return item.id
  return item.do === 'add' ? item.answer.id : item.session.id
}

/** Opens the pen of a horse: where it stood today on this device, or a new session; a gate's checks come first. */
export const openPen =
  (horseId: string, day: string, aim: Aim, run: Run): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const draft = await device.pens.get(horseId)
    const kept = draft?.state as PenState | undefined
    const fresh: PenState = {
      horseId,
      day,
      sessionId: uuid(),
      sessionKept: false,
      aim,
      ...run,
      stand: STANDING_ANYWHERE,
      burstStartedAt: Date.now(),
      running: null,
      answers: [],
      calmFor: null,
    }
    // An ask that ran when the page went is not an answer: it is simply asked again.
    // A gate's checks are what it wants now, and afterwards the day's plan is back.
    const isOther = run.gate !== null || run.gate !== kept?.gate
    const goingOn = kept?.day === day ? { ...kept, running: null, calmFor: null } : fresh
    dispatch(penOpened(isOther ? { ...goingOn, ...run, aim, burstStartedAt: Date.now() } : goingOn))
  }

/** Remembers where the pen stands on this device. */
export const rememberPen = (pen: PenState): Promise<unknown> =>
  device.pens.put({ horseId: pen.horseId, state: pen })

const keep = (personId: string, pen: PenState, item: BatchItem, readyAt = 0): Promise<void> =>
  keepWaiting({ id: idOf(item), personId, horseId: pen.horseId, item, readyAt })

let turns: Promise<unknown> = Promise.resolve()

/** One change at a time: a press that follows at once finds what the press before it left. */
const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
  const mine = turns.then(work, work)
  turns = mine
  return mine
}

/** Keeps one answer on this device at once, and sends it when its calm can no longer change. */
export const keepAnswer =
  (personId: string, answer: Omit<PenAnswer, 'id' | 'at'>, asksForCalm: boolean): AppThunk<Promise<void>> =>
  (dispatch, getState) => {
    const full: PenAnswer = { ...answer, id: uuid(), at: isoNow() }
    const readyAt = asksForCalm ? Date.now() + CALM_WINDOW_MS : 0
    dispatch(answered({ answer: full, calmUntil: asksForCalm ? readyAt : null }))
    return inTurn(async () => {
      const pen = getState().pen
      if (!pen) return
      if (!pen.sessionKept) {
        dispatch(sessionWasKept())
        await keep(personId, pen, {
          do: 'session',
          session: { id: pen.sessionId, horseId: pen.horseId, startedAt: full.at, place: null },
        })
      }
      await keep(personId, pen, toItem(pen, full, null), readyAt)
    })
  }

type Change = (last: PenAnswer) => Partial<Pick<PenAnswer, 'grade' | 'calm' | 'byChance' | 'fault' | 'sign'>>

/** Changes the last answer: in place while it waits here, and otherwise by taking it back and adding another. */
const mendLast =
  (personId: string, change: Change): AppThunk<Promise<void>> =>
  (dispatch, getState) =>
    inTurn(async () => {
      const pen = getState().pen
      const before = pen?.answers.at(-1)
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

export const setFault = (personId: string, fault: string): AppThunk<Promise<void>> =>
  mendLast(personId, () => ({ fault }))

export const setSign = (personId: string, sign: string): AppThunk<Promise<void>> =>
  mendLast(personId, () => ({ sign }))

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
