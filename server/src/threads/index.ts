import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import replay, { type History, type Replayed } from './replay'

export type { Replayed } from './replay'

/** Works tracks out from histories; what it takes and gives are plain values. */
export interface Replays {
  /** How many at once are worth asking for. */
  readonly atOnce: number
  readonly replay: (history: History) => Promise<Replayed>
  readonly end: () => Promise<void>
}

/** In this thread: for tests, where there is no built file to start a thread from. */
export const replaysHere: Replays = {
  atOnce: 1,
  replay: async (history) => replay(history),
  end: async () => undefined,
}

/** On threads, so that a long history holds nobody up; `file` is the built `replay`. */
export const replaysOnThreads = (file: string, threads = Math.min(4, availableParallelism())): Replays => {
  const pool = new Piscina({ filename: file, minThreads: 0, maxThreads: threads, idleTimeout: 10_000 })
  return {
    atOnce: threads,
    replay: (history) => pool.run(history) as Promise<Replayed>,
    end: () => pool.destroy(),
  }
}
