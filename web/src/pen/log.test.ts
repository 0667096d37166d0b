import 'fake-indexeddb/auto'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { configureStore } from '@reduxjs/toolkit'
import type { NewAnswer } from '@still-pine/contract'
import { beforeEach, describe, expect, it } from 'vitest'
import { device, PLAIN_ANSWER, takeReady } from '@still-pine/device'
import {
  correctGrade,
  saveAnswer,
  noteCalm,
  openPen,
  rememberPen,
  setFault,
  toggleByChance,
  undoLast,
  undoMark,
} from './log'
import { penSlice, started, type Aim, type PenAnswer, type Run } from './pen-slice'

const ME = 'me'
const RUN: Run = { bursts: [], gate: null, said: NOTHING_NOTED }
const AIM: Aim = { burst: 0, step: 'face-up', side: 'none', rung: 2 }
const FIRM: Omit<PenAnswer, 'id' | 'at'> = {
  step: 'face-up',
  side: 'none',
  rung: 2,
  grade: 2,
  calm: null,
  ...PLAIN_ANSWER,
  seconds: 5,
}

const makeStore = () => configureStore({ reducer: { pen: penSlice.reducer } })
type Store = ReturnType<typeof makeStore>
let store: Store

beforeEach(async () => {
  await device.waiting.clear()
  await device.drafts.clear()
  store = makeStore()
  await store.dispatch(
    openPen('me', { id: 'horse', programId: 'p' }, { day: '2026-05-14', aim: AIM, run: RUN }),
  )
})

const items = async () => (await device.waiting.toArray()).map(({ item }) => item)
const answers = async (): Promise<NewAnswer[]> =>
  (await items()).flatMap((item) => (item.do === 'add' ? [item.answer] : []))
const sendAll = async (): Promise<void> => {
  const taken = await takeReady(ME, Date.now() + 10_000)
  for (const { order } of taken) await device.waiting.delete(order)
}

describe('logging in the pen', () => {
  it('opens the session with its first answer, once', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await store.dispatch(saveAnswer(ME, FIRM, true))
    expect((await items()).map((item) => item.do)).toEqual(['session', 'add', 'add'])
  })

  it('is on the device when it is on the screen, and waits three seconds for its calm', async () => {
    const before = Date.now()
    await store.dispatch(saveAnswer(ME, FIRM, true))
    const entry = (await device.waiting.toArray()).at(-1)!
    expect(entry.readyAt).toBeGreaterThanOrEqual(before + 3000)
    expect(store.getState().pen!.answers).toHaveLength(1)
  })

  it('loses none of three changes pressed at once', async () => {
    void store.dispatch(saveAnswer(ME, FIRM, true))
    void store.dispatch(correctGrade(ME, 1))
    void store.dispatch(toggleByChance(ME))
    void store.dispatch(setFault(ME, 'Turns its rump'))
    await store.dispatch(noteCalm(ME, 0))
    const [kept] = await answers()
    expect(kept).toMatchObject({ grade: 1, byChance: true, calm: 0, fault: 'Turns its rump' })
    expect(store.getState().pen!.answers[0]).toMatchObject({ grade: 1, byChance: true, calm: 0 })
    expect(await answers()).toHaveLength(1)
  })

  it('undoes the last mark and keeps its answer, once; then there is no mark to undo', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await store.dispatch(noteCalm(ME, 0))
    await store.dispatch(setFault(ME, 'Turns its rump'))
    const { mark } = store.getState().pen!
    expect(mark?.was).toEqual({ fault: null })
    await store.dispatch(undoMark(ME, mark!.was))
    expect(store.getState().pen!.mark).toBeNull()
    expect(await answers()).toMatchObject([{ fault: null, calm: 0 }])
  })

  it('takes what was marked already as no mark, and a new answer as the last thing done', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await store.dispatch(correctGrade(ME, FIRM.grade))
    expect(store.getState().pen!.mark).toBeNull()
    await store.dispatch(noteCalm(ME, 1))
    expect(store.getState().pen!.mark).not.toBeNull()
    await store.dispatch(saveAnswer(ME, FIRM, true))
    expect(store.getState().pen!.mark).toBeNull()
  })

  it('takes a sent answer back and adds another when it is corrected late', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    const first = store.getState().pen!.answers[0]!
    await sendAll()
    await store.dispatch(correctGrade(ME, 0))
    const left = await items()
    expect(left.map((item) => item.do)).toEqual(['void', 'add'])
    expect(left[0]).toMatchObject({ answerId: first.id })
    expect(left[1]).toMatchObject({ answer: { grade: 0, replaces: first.id, at: first.at } })
    expect(store.getState().pen!.answers[0]!.id).not.toBe(first.id)
  })

  it('undoes an answer that was not sent without a trace, and a sent one by taking it back', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await store.dispatch(undoLast(ME))
    expect(await answers()).toEqual([])
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await sendAll()
    await store.dispatch(undoLast(ME))
    expect((await items()).map((item) => item.do)).toEqual(['void'])
    expect(store.getState().pen!.answers).toEqual([])
  })

  it('has nothing to undo or change in an empty pen', async () => {
    await store.dispatch(undoLast(ME))
    await store.dispatch(noteCalm(ME, 1))
    expect(await items()).toEqual([])
  })
})

describe('coming back to the pen', () => {
  it('finds the answers and the aim of today, and no ask still running', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await rememberPen({
      ...store.getState().pen!,
      running: { startedAt: 1, worst: 'moved', corrections: 0, firm: 0, outSince: null, aids: 0 },
    })
    const again = makeStore()
    await again.dispatch(
      openPen(
        'me',
        { id: 'horse', programId: 'p' },
        { day: '2026-05-14', aim: { ...AIM, step: 'draw' }, run: RUN },
      ),
    )
    expect(again.getState().pen).toMatchObject({ aim: AIM, running: null, sessionSaved: true })
    expect(again.getState().pen!.answers).toHaveLength(1)
  })

  it('is opened once by two that ask for it at the same time, and keeps the ask that runs', async () => {
    const fresh = makeStore()
    const open = (): Promise<boolean> =>
      fresh.dispatch(
        openPen('me', { id: 'horse', programId: 'p' }, { day: '2026-05-14', aim: AIM, run: RUN }),
      )
    const first = open()
    const second = open()
    expect(await first).toBe(true)
    const { sessionId } = fresh.getState().pen!
    fresh.dispatch(started(1_000))
    expect(await second).toBe(false)
    expect(fresh.getState().pen).toMatchObject({ sessionId, running: { startedAt: 1_000 } })
  })

  it('begins a new session on a new day', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await rememberPen(store.getState().pen!)
    const tomorrow = makeStore()
    await tomorrow.dispatch(
      openPen('me', { id: 'horse', programId: 'p' }, { day: '2026-05-15', aim: AIM, run: RUN }),
    )
    expect(tomorrow.getState().pen).toMatchObject({ answers: [], sessionSaved: false })
    expect(tomorrow.getState().pen!.sessionId).not.toBe(store.getState().pen!.sessionId)
  })

  it('keeps each horse’s pen apart', async () => {
    await store.dispatch(saveAnswer(ME, FIRM, true))
    await rememberPen(store.getState().pen!)
    const other = makeStore()
    await other.dispatch(
      openPen('me', { id: 'another horse', programId: 'p' }, { day: '2026-05-14', aim: AIM, run: RUN }),
    )
    expect(other.getState().pen!.answers).toEqual([])
  })
})
