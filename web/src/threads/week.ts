import type { WeekAsked } from '@still-pine/core/week'
import { releaseProxy, wrap, type Remote } from 'comlink'
import type { SolvedWeek, Solving } from './week.worker'

interface Warm {
  readonly worker: Worker
  readonly remote: Remote<Solving>
}

let warm: Warm | undefined

const started = (): Warm => {
  const worker = new Worker(new URL('./week.worker.ts', import.meta.url), { type: 'module' })
  return { worker, remote: wrap<Solving>(worker) }
}

const end = ({ worker, remote }: Warm): void => {
  remote[releaseProxy]()
  worker.terminate()
}

export interface Solve {
  readonly done: Promise<SolvedWeek>
  /** Ends it in the middle: the plan before stays. */
  readonly stop: () => void
}

/** Solves a week on a worker that is kept warm; a call of the solver blocks, so stopping it ends its worker. */
export const solveWeek = (asked: WeekAsked): Solve => {
  const mine = warm ?? started()
  warm = mine
  let stopped: (reason: Error) => void = () => undefined
  const untilStopped = new Promise<never>((_, reject) => (stopped = reject))
  const failed = new Promise<never>((_, reject) => {
    mine.worker.onerror = ({ message }) => {
      if (warm === mine) warm = undefined
      end(mine)
      reject(new Error(message || 'The solver could not be started.'))
    }
  })
  const stop = (): void => {
    if (warm === mine) warm = undefined
    end(mine)
    stopped(new Error('Stopped.'))
  }
  const solved = mine.remote.solve(asked)
  const done = Promise.race([solved, untilStopped, failed])
  // Only the one who waits hears of it.
  for (const one of [solved, untilStopped, failed]) one.catch(() => undefined)
  return { done, stop }
}

export type { SolvedWeek }
