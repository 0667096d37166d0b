import { expose } from 'comlink'
import { Reader } from '@still-pine/device/replica'

/** Reads what lies on this device away from the page: a long history takes a second to judge on a slow phone. */
const reader = new Reader()

/** The page says what time it is. */
const reading = { read: (key: string, now: number): Promise<unknown> => reader.read(key, now) }

export type Reading = typeof reading

expose(reading)
