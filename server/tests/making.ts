import { v7 as uuid } from 'uuid'
import type { BatchReply } from '@still-pine/contract'
import type { Reply, Visitor } from './running'

export const horseForm = (change: Record<string, unknown> = {}) => ({
  name: 'Curlew',
  born: '2023-05-01',
  sex: 'mare',
  kind: 'horse',
  marks: 'bay',
  origin: 'the lake reserve',
  handled: false,
  arrived: '2026-04-01',
  version: 0,
  ...change,
})

export const addHorse = async (visitor: Visitor, change: Record<string, unknown> = {}): Promise<string> => {
  const id = uuid()
  const made = await visitor.put(`/horses/${id}`, horseForm(change))
  if (made.status !== 200) throw new Error(JSON.stringify(made.body))
  return id
}

export const sessionItem = (horseId: string, startedAt: string, id = uuid()) => ({
  do: 'session' as const,
  session: { id, horseId, startedAt, place: null },
})

export const answerItem = (
  horseId: string,
  sessionId: string,
  { at, change = {} }: { at: string; change?: Record<string, unknown> },
) => ({
  do: 'add' as const,
  answer: {
    id: uuid(),
    horseId,
    sessionId,
    step: 'settle-in-pen',
    side: 'none',
    rung: 4,
    grade: 1,
    calm: 0,
    at,
    ...change,
  },
})

export const voidItem = (answerId: string, at: string, id = uuid()) => ({
  do: 'void' as const,
  id,
  answerId,
  reason: 'a mistake',
  at,
})

export const incidentItem = (horseId: string, incident: object, id = uuid()) => ({
  do: 'incident' as const,
  id,
  horseId,
  incident,
})

export const confirmItem = (horseId: string, day: string, confirmed: readonly string[]) => ({
  do: 'confirm' as const,
  id: uuid(),
  horseId,
  day,
  confirmed,
})

export const sendBatch = (
  visitor: Visitor,
  items: readonly unknown[],
  sentAt: string,
): Promise<Reply<BatchReply>> => visitor.post<BatchReply>('/answers/batch', { sentAt, items })

/** A clock that tests can set. */
export class TestClock {
  constructor(private at: string) {}
  now = (): Date => new Date(this.at)
  set(at: string): void {
    this.at = at
  }
  get iso(): string {
    return this.now().toISOString()
  }
}
