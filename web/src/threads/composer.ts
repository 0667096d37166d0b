import { wrap, type Remote } from 'comlink'
import { NO_WISHES, ORDINARY, type PlanRequest, type SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import type { Composing, Planned, SoFar } from './composer.worker'

let started: Remote<Composing> | undefined

/** Makes a plan on a worker, which is started when the first one is wanted. */
export const compose = (
  program: Program,
  { tracks, facts, day }: Planned,
  asked: { readonly asked: Omit<PlanRequest, 'today'>; readonly soFar?: SoFar },
): Promise<SessionPlan> => {
  started ??= wrap<Composing>(
    new Worker(new URL('./composer.worker.ts', import.meta.url), { type: 'module' }),
  )
  return started.compose(program, { tracks, facts, day }, asked)
}

const WARM_UPS = 3
let isWarm = false

/** The first plans of a worker take several times as long as the rest: these are made for nothing, one by one. */
export const warmUp = async (program: Program, line: Planned): Promise<void> => {
  if (isWarm) return
  isWarm = true
  for (let i = 0; i < WARM_UPS; i++)
    await compose(program, line, { asked: { outlook: ORDINARY, wishes: NO_WISHES } })
}

export type { Planned, SoFar }
