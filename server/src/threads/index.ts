import { availableParallelism } from 'node:os'
import type { Judged } from '@still-pine/use-cases'
import { Piscina } from 'piscina'
import type { Fit } from '@still-pine/core/fit'
import type { Option } from '@still-pine/core/week'
import {
  fit,
  judge,
  replay,
  weekOptions,
  type History,
  type Replayed,
  type ToFit,
  type ToJudge,
} from './work'

export type { KnownProgram, Replayed } from './work'

/** Where what takes long is worked out; what goes in and comes out are plain values. */
export interface Threads {
  /** How many tasks at once are worth asking for. */
  readonly atOnce: number
  readonly replay: (history: History) => Promise<Replayed>
  readonly judge: (known: ToJudge) => Promise<Judged>
  readonly fit: (log: ToFit) => Promise<Fit | null>
  readonly weekOptions: (known: Parameters<typeof weekOptions>[0]) => Promise<readonly Option[]>
  readonly end: () => Promise<void>
}

/** In this thread: for tests, where there is no built file to start a thread from. */
export const workHere: Threads = {
  atOnce: 1,
  replay: async (history) => replay(history),
  judge: async (known) => judge(known),
  fit: async (log) => fit(log),
  weekOptions: async (known) => weekOptions(known),
  end: async () => undefined,
}

/** On threads, so that a long history holds nobody up; `file` is the built `work`. */
export const workOnThreads = (file: string, threads = Math.min(4, availableParallelism())): Threads => {
  const pool = new Piscina({ filename: file, minThreads: 0, maxThreads: threads, idleTimeout: 10_000 })
  // A thread that dies fails its task, which is told; its own event must not end the server.
  pool.on('error', () => undefined)
  return {
    atOnce: threads,
    replay: (history) => pool.run(history, { name: 'replay' }) as Promise<Replayed>,
    judge: (known) => pool.run(known, { name: 'judge' }) as Promise<Judged>,
    fit: (log) => pool.run(log, { name: 'fit' }) as Promise<Fit | null>,
    weekOptions: (known) => pool.run(known, { name: 'weekOptions' }) as Promise<readonly Option[]>,
    end: () => pool.destroy(),
  }
}
