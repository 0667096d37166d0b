import type { Question } from '@still-pine/device'
import { expose } from 'comlink'
import { Reader } from '@still-pine/device/replica'

/** Reads what lies on this device away from the page: a long history takes a second to judge on a slow phone. */
const reader = new Reader()

/** The page says what time it is. */
const reading = { read: (question: Question, now: number): Promise<unknown> => reader.read(question, now) }

export type Reading = typeof reading

expose(reading)
