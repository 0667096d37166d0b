import type { Solver } from '../solver'
import type { WeekAsked } from './asked'
import { everyColumn, weekOf, type Week } from './columns'
import { mustsModel, type Must } from './model'
import { rulesOf, type RuleId } from './rules'

/** A must that cannot be had, with what it clashes with: rules, then musts that are kept. */
export interface Clash {
  readonly must: Must
  readonly with: readonly (RuleId | Must)[]
}

const LIMITS = { relativeGap: 0, nodes: 2_000, seconds: 10 } as const

/** Musts in the order in which they are kept: pins, then wishes, each as listed. */
export const mustsOf = ({ pins, wishes }: Pick<WeekAsked, 'pins' | 'wishes'>): readonly Must[] => [
  ...pins.map((pin) => ({ id: pin.id, pin })),
  ...wishes.filter(({ weight }) => weight === 'must').map((wish) => ({ id: wish.id, wish })),
]

/** Says whether musts can be had together while some rules are left off. */
class Possible {
  private readonly weeks = new Map<string, { week: Week; columns: ReturnType<typeof everyColumn> }>()

  constructor(
    private readonly asked: WeekAsked,
    private readonly solve: Solver,
  ) {}

  has(musts: readonly Must[], off: readonly RuleId[] = []): boolean {
    const { week, columns } = this.without(off)
    const { model } = mustsModel(week, columns, musts)
    return this.solve(model, LIMITS).status !== 'infeasible'
  }

  private without(off: readonly RuleId[]) {
    const key = off.join(' ')
    const known = this.weeks.get(key)
    if (known) return known
    const week = weekOf(this.asked, new Set(off))
    const made = { week, columns: everyColumn(week) }
    this.weeks.set(key, made)
    return made
  }
}

/**
 * What a must clashes with, made as small as it can be: rule by rule and kept must by kept must, each is left off
 * without which it still cannot be had (a deletion filter: Chinneck and Dravnieks 1991).
 */
const clashOf = (
  asked: WeekAsked,
  possible: Possible,
  { must, kept }: { must: Must; kept: readonly Must[] },
): Clash => {
  const rules = rulesOf(asked)
  let off: readonly RuleId[] = []
  for (const rule of rules) {
    const without = [...off, rule]
    if (!possible.has([...kept, must], without)) off = without
  }
  let beside = kept
  for (const one of kept.toReversed()) {
    const without = beside.filter((other) => other !== one)
    if (!possible.has([...without, must], off)) beside = without
  }
  return { must, with: [...rules.filter((rule) => !off.includes(rule)), ...beside] }
}

/** The musts that are kept, and of every other one what it clashes with. */
export const keptMusts = (
  asked: WeekAsked,
  solve: Solver,
): { readonly kept: readonly Must[]; readonly clashes: readonly Clash[] } => {
  const musts = mustsOf(asked)
  const possible = new Possible(asked, solve)
  if (musts.length === 0 || possible.has(musts)) return { kept: musts, clashes: [] }
  const kept: Must[] = []
  const clashes: Clash[] = []
  for (const must of musts)
    if (possible.has([...kept, must])) kept.push(must)
    else clashes.push(clashOf(asked, possible, { must, kept: [...kept] }))
  return { kept, clashes }
}
