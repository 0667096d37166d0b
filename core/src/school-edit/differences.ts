import {
  CARD_PARTS,
  markOf,
  rungNeeded,
  stepOf,
  type CardPart,
  type Gate,
  type NeedRef,
  type Program,
  type Step,
} from '../program'
import { needWords } from './need-words'
import { stepChanges } from './moving-over'

/** What is different about one part of a school. */
export interface Difference {
  /** The step or gate it is about; the school itself where it is neither. */
  readonly part: string
  readonly name: string
  readonly words: readonly string[]
}

/** A need by what it asks for: the mark of its rung, which stays where rungs come in below it. */
const keyOfNeed = (program: Program, need: NeedRef): string => {
  const step = need.step === undefined ? undefined : stepOf(program, need.step)
  const mark = step ? markOf(step, rungNeeded(need, step)) : need.rung
  return [need.step, need.role, mark, need.fromRung].join('/')
}

/** Needs that only one of two lists has. */
export const needsApart = (
  from: Program,
  to: Program,
  { before, after }: { before: readonly NeedRef[]; after: readonly NeedRef[] },
): { readonly gone: readonly NeedRef[]; readonly come: readonly NeedRef[] } => {
  const old = new Set(before.map((need) => keyOfNeed(from, need)))
  const now = new Set(after.map((need) => keyOfNeed(to, need)))
  return {
    gone: before.filter((need) => !now.has(keyOfNeed(from, need))),
    come: after.filter((need) => !old.has(keyOfNeed(to, need))),
  }
}

const needLines = (
  from: Program,
  to: Program,
  {
    before,
    after,
    what,
  }: { before: readonly NeedRef[]; after: readonly NeedRef[]; what: 'needs' | 'asks for' },
): string[] => {
  const { gone, come } = needsApart(from, to, { before, after })
  return [
    ...come.map((need) => `${what} ${needWords(to, need)} now`),
    ...gone.map((need) => `no longer ${what} ${needWords(from, need)}`),
  ]
}

const CARD_KEYS = Object.keys(CARD_PARTS) as CardPart[]

const stepLines = (
  from: Program,
  to: Program,
  { before, after }: { before: Step; after: Step },
): readonly string[] => {
  const rewritten = CARD_KEYS.filter((part) => before.card?.[part] !== after.card?.[part])
  const reworded = after.rungs.filter((words, i) => {
    const old = before.rungs[i]
    return before.rungs.length === after.rungs.length && old !== words && !before.rungs.includes(words)
  })
  return [
    ...(before.name === after.name ? [] : [`is called ${after.name} now`]),
    ...stepChanges(before, after),
    ...(reworded.length > 0
      ? [`rungs in new words: ${reworded.map((words) => `“${words}”`).join(', ')}`]
      : []),
    ...needLines(from, to, { before: before.needs, after: after.needs, what: 'needs' }),
    ...(JSON.stringify(before.need) === JSON.stringify(after.need) ? [] : ['asks another chance of itself']),
    ...(rewritten.length > 0 ? ['its card is in other words'] : []),
  ]
}

const gateLines = (
  from: Program,
  to: Program,
  { before, after }: { before: Gate; after: Gate },
): readonly string[] => {
  const stops = (gate: Gate): string => [...gate.stops].sort().join(', ')
  return [
    ...needLines(from, to, { before: before.solid, after: after.solid, what: 'asks for' }),
    ...needLines(from, to, { before: before.met, after: after.met, what: 'asks for' }),
    ...(stops(before) === stops(after) ? [] : [`stops: ${stops(after) || 'none'}`]),
    ...(before.leastMonths === after.leastMonths ? [] : [`not before ${after.leastMonths} months`]),
    ...(before.freshDays === after.freshDays ? [] : [`asked again after ${after.freshDays} calendar days`]),
  ]
}

const wholeLines = (from: Program, to: Program): readonly string[] => {
  const order = (program: Program, other: Program): string =>
    program.steps
      .filter(({ key }) => stepOf(other, key))
      .map(({ key }) => key)
      .join()
  return [
    ...(from.name === to.name ? [] : [`is called ${to.name} now`]),
    ...(from.pace.limits.join() === to.pace.limits.join()
      ? []
      : [`pace: ${to.pace.limits.map((limit, i) => `${to.pace.phases[i]} to ${limit} s`).join(', ')}`]),
    ...(order(from, to) === order(to, from) ? [] : ['its steps stand in another order']),
  ]
}

/** Everything that is different between two versions of a school, in words; in the order of the path. */
export const differencesOf = (from: Program, to: Program): readonly Difference[] => {
  const all: Difference[] = [
    { part: '', name: to.name, words: wholeLines(from, to) },
    ...to.steps.map((step): Difference => {
      const before = stepOf(from, step.key)
      return {
        part: step.key,
        name: step.name,
        words: before ? stepLines(from, to, { before, after: step }) : ['comes on to the path'],
      }
    }),
    ...from.steps
      .filter(({ key }) => stepOf(to, key) === undefined)
      .map(({ key, name }) => ({ part: key, name, words: ['goes off the path'] })),
    ...to.gates.map((gate): Difference => {
      const before = from.gates.find(({ key }) => key === gate.key)
      return {
        part: gate.key,
        name: `${gate.name} gate`,
        words: before ? gateLines(from, to, { before, after: gate }) : ['is a new gate'],
      }
    }),
    ...from.gates
      .filter(({ key }) => !to.gates.some((gate) => gate.key === key))
      .map(({ key, name }) => ({ part: key, name: `${name} gate`, words: ['is taken out'] })),
  ]
  return all.filter(({ words }) => words.length > 0)
}
