import { MOST_LEARNING, stepsIn } from './chosen'
import type { SessionPlan } from './burst'
import type { Field } from './field'
import type { ClosedStep } from './open-steps'
import type { Part } from './parts'
import { leftOutWords } from './why'

/** What is left out is told for so many steps. */
const MOST_LEFT = 6

export const closedList = (closed: readonly ClosedStep[]): SessionPlan['closed'] =>
  closed.map(({ step, words }) => ({ step: step.key, name: step.name, words }))

/** What is open and not in the plan: kept out by today, or left for more useful things. */
export const leftList = (
  { candidates, barred }: Field,
  parts: readonly Part[],
  without: readonly string[],
): SessionPlan['left'] => {
  const has = new Set([...parts.map(({ step }) => step), ...without])
  const learning = stepsIn(parts, 'learn')
  const open = candidates
    .filter(({ open, goal }) => !has.has(open.step.key) && goal.gate !== null && goal.days > 0)
    .map((candidate) => ({ candidate, worth: Math.max(...candidate.ways.map(({ worth }) => worth)) }))
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_LEFT)
    .map(({ candidate }) => ({
      step: candidate.open.step.key,
      name: candidate.open.step.name,
      words: leftOutWords(candidate, learning, MOST_LEARNING),
      mayBeIn: true,
    }))
  const closed = closedList(barred)
    .filter(({ step }) => !has.has(step))
    .map((one) => ({ ...one, mayBeIn: false }))
  return [...closed, ...open]
}
