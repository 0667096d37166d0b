import type { EvidenceAnswer } from '@still-pine/contract'
import type { DrawnFuture, HorseBelieved, WorkPlan } from '@still-pine/core/forecast'
import type { Program } from '@still-pine/core/program'
import { wrap, type Remote } from 'comlink'
import type { AskedOfHorse, Forecasting } from './forecast.worker'

const WORKERS = 2
const SLICE = 25

let warm: readonly Remote<Forecasting>[] | undefined

const workers = (): readonly Remote<Forecasting>[] => {
  warm ??= Array.from({ length: WORKERS }, () =>
    wrap<Forecasting>(new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' })),
  )
  return warm
}

export interface Drawing {
  /** Ends it: what is drawn so far stays. */
  readonly stop: () => void
  readonly done: Promise<void>
}

interface Wanted {
  readonly plan: Partial<WorkPlan>
  readonly draws: number
  /** Told after each slice of all draws so far in their order; or why there are none. */
  readonly heard: (draws: readonly DrawnFuture[] | string) => void
}

/** Draws futures in slices on two workers: the same draws whoever makes which. */
export const drawFutures = ({ plan, draws, heard }: Wanted): Drawing => {
  let isWanted = true
  let next = 0
  const slices = new Map<number, readonly DrawnFuture[]>()
  const work = async (worker: Remote<Forecasting>): Promise<void> => {
    while (isWanted && next < draws) {
      const first = next
      next += SLICE
      const made = await worker.draws(plan, { first, count: Math.min(SLICE, draws - first) })
      if (!isWanted) return
      if (typeof made === 'string') {
        isWanted = false
        return heard(made)
      }
      slices.set(first, made)
      heard([...slices].toSorted(([a], [b]) => a - b).flatMap(([, slice]) => slice))
    }
  }
  return { stop: () => void (isWanted = false), done: Promise.all(workers().map(work)).then(() => undefined) }
}

/** Tells the workers of a horse: what is believed of it is worked out once. */
export const askOfHorse = async (
  program: Program,
  answers: readonly EvidenceAnswer[],
  asked: AskedOfHorse,
): Promise<HorseBelieved> => {
  const [one, ...others] = workers()
  const believed = await one!.believed(program, answers)
  await Promise.all([one!, ...others].map((worker) => worker.ask(program, believed, asked)))
  return believed
}

export type { AskedOfHorse }
