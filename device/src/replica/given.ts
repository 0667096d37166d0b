import { PLAIN_ANSWER } from '../plain-answer'
import type { AnswerHere } from './horse-here'

/** An answer of a minute, for tests: what is not said of it is plain. */
export const given = (minute: number, change: Partial<AnswerHere> = {}): AnswerHere => ({
  ...PLAIN_ANSWER,
  id: `a${minute}`,
  seq: minute,
  sessionId: 's',
  step: 'bend',
  side: 'left',
  rung: 2,
  grade: 1,
  calm: 0,
  at: `2026-05-12T07:${String(minute).padStart(2, '0')}:00Z`,
  day: '2026-05-12',
  replaces: null,
  personName: 'Runa Vik',
  ahead: false,
  ...change,
})
