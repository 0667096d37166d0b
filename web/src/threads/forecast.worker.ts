import type { EvidenceAnswer } from '@still-pine/contract'
import {
  drawsOf,
  horseBelieved,
  setupOf,
  type DrawnFuture,
  type ForecastAsked,
  type HorseBelieved,
  type Setup,
  type WorkPlan,
} from '@still-pine/core/forecast'
import { modelFor } from '@still-pine/core/judgement'
import type { Program } from '@still-pine/core/program'
import { replayHorse } from '@still-pine/core/readiness'
import { expose } from 'comlink'

export type AskedOfHorse = Omit<ForecastAsked, keyof HorseBelieved | 'program'>

let setups = new Map<string, Setup | { readonly refused: string }>()
let asked: ForecastAsked | null = null

const forecasting = {
  /** What is believed of the horse, from its whole history. */
  believed: (program: Program, answers: readonly EvidenceAnswer[]): HorseBelieved => {
    const model = modelFor(program)
    return horseBelieved(model, program, replayHorse(model, program, answers))
  },
  /** Takes up what is asked; the draws of it, and of its what-ifs, follow. */
  ask: (program: Program, believed: HorseBelieved, of: AskedOfHorse): void => {
    setups = new Map()
    asked = { ...of, ...believed, program }
  },
  /** A slice of the draws under a plan that differs by this; or why there are none. */
  draws: (
    plan: Partial<WorkPlan>,
    slice: { readonly first: number; readonly count: number },
  ): readonly DrawnFuture[] | string => {
    if (!asked) throw new Error('Nothing was asked yet.')
    const key = JSON.stringify(plan)
    const setup = setups.get(key) ?? setupOf(asked, plan)
    setups.set(key, setup)
    return 'refused' in setup ? setup.refused : drawsOf(setup, slice)
  },
}

export type Forecasting = typeof forecasting

expose(forecasting)
