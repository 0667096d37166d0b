import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { describe, expect, it } from 'vitest'
import { PLAIN_ANSWER } from '@still-pine/device'
import {
  aimed,
  answered,
  corrected,
  dropped,
  penOpened,
  penSlice,
  STANDING_ANYWHERE,
  started,
  takenBack,
  worsened,
  type PenAnswer,
  type PenState,
} from './pen-slice'

const { reducer } = penSlice

const PEN: PenState = {
  personId: 'me',
  horseId: 'h',
  programId: 'p',
  day: '2026-05-14',
  confirmed: [],
  allowed: null,
  incidents: [],
  sessionId: 's',
  sessionSaved: false,
  aim: { burst: 0, step: 'first-touch', side: 'right', rung: 2 },
  stand: STANDING_ANYWHERE,
  bursts: [],
  gate: null,
  said: NOTHING_NOTED,
  burstStartedAt: 100,
  running: null,
  unfinished: null,
  answers: [],
  danger: false,
  calmFor: null,
  mark: null,
  sensed: null,
  kitSeen: false,
}

const ANSWER: PenAnswer = {
  id: 'a',
  step: 'first-touch',
  side: 'right',
  rung: 2,
  grade: 1,
  calm: null,
  ...PLAIN_ANSWER,
  seconds: 2,
  at: '2026-05-14T09:00:00Z',
}

const after = (...actions: Parameters<typeof reducer>[1][]): PenState =>
  actions.reduce(
    (state, action) => reducer(state, action) as never,
    reducer(null as never, penOpened(PEN)),
  )! as never

describe('the pen', () => {
  it('runs one ask at a time and ends it with an answer that waits for its calm', () => {
    const pen = after(started(10), answered({ answer: ANSWER, calmUntil: 3000 }))
    expect(pen.running).toBeNull()
    expect(pen.answers).toEqual([ANSWER])
    expect(pen.calmFor).toEqual({ id: 'a', until: 3000 })
  })

  it('only gets worse while an accept runs', () => {
    const pen = after(started(10), worsened('moved'), worsened('tightened'))
    expect(pen.running?.worst).toBe('moved')
  })

  it('counts corrections of a hold', () => {
    expect(after(started(10), corrected(), corrected()).running?.corrections).toBe(2)
  })

  it('starts the two minutes anew with another burst, not with another side', () => {
    expect(after(aimed({ aim: { ...PEN.aim, side: 'left' }, now: 900 })).burstStartedAt).toBe(100)
    expect(after(aimed({ aim: { ...PEN.aim, burst: 1 }, now: 900 })).burstStartedAt).toBe(900)
  })

  it('drops a running ask without an answer', () => {
    expect(after(started(10), dropped())).toMatchObject({ running: null, answers: [] })
  })

  it('takes an answer back', () => {
    expect(after(answered({ answer: ANSWER, calmUntil: null }), takenBack('a')).answers).toEqual([])
  })
})
