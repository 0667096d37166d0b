import { wrap, type Remote } from 'comlink'
import type { Asked, SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import type { Composing, Planned, SoFar } from './composer.worker'

let started: Remote<Composing> | undefined

/** Makes a plan on a worker, which is started when the first one is wanted. */
export const compose = (
  program: Program,
  { tracks, facts, day }: Planned,
  asked: Omit<Asked, 'today'>,
  soFar?: SoFar,
): Promise<SessionPlan> => {
  started ??= wrap<Composing>(
    new Worker(new URL('./composer.worker.ts', import.meta.url), { type: 'module' }),
  )
  return started.compose(program, { tracks, facts, day }, asked, soFar)
}

export type { Planned, SoFar }
