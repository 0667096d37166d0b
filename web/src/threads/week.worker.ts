import { loadSolver } from '@still-pine/core/solver'
import {
  clashWords,
  gapWords,
  lackingIn,
  lackingWords,
  planWeek,
  reasonsOf,
  type Visit,
  type WeekAsked,
} from '@still-pine/core/week'
import { expose } from 'comlink'
import runtime from 'highs/runtime?url'

/** A week as the solver leaves it, with its words. */
export interface SolvedWeek {
  readonly visits: readonly (Visit & { readonly reasons: readonly string[] })[]
  readonly objective: number
  readonly bound: number
  readonly status: 'proved' | 'within the gap' | 'stopped'
  readonly words: string
  readonly lacking: readonly string[]
  readonly clashes: readonly { readonly must: string; readonly words: string }[]
}

const solving = {
  solve: async (asked: WeekAsked): Promise<SolvedWeek> => {
    const plan = planWeek(asked, await loadSolver(runtime))
    return {
      visits: plan.visits.map((visit) => ({ ...visit, reasons: reasonsOf(asked, visit, plan.visits) })),
      objective: plan.objective,
      bound: plan.bound,
      status: plan.status,
      words: gapWords(plan),
      lacking: lackingIn(asked, plan.visits).map((one) => lackingWords(asked, one)),
      clashes: plan.clashes.map((clash) => ({
        must: 'pin' in clash.must ? clash.must.pin.id : clash.must.wish.id,
        words: clashWords(asked, clash),
      })),
    }
  },
}

export type Solving = typeof solving

expose(solving)
