import { stepsMeeting, type Program } from './program'
import type { Step } from './step'

/** The steps so that each stands after all it needs at its first rung, and otherwise in the order of the path. */
export const inOrderOfNeeds = (program: Program): readonly Step[] => {
  const placed = new Set<string>()
  const order: Step[] = []
  const place = (step: Step, waiting: ReadonlySet<string>): void => {
    if (placed.has(step.key) || waiting.has(step.key)) return
    const under = new Set([...waiting, step.key])
    for (const need of step.needs.filter(({ fromRung }) => (fromRung ?? 1) === 1)) {
      const ways = stepsMeeting(program, need)
      // One way is enough: the first on the path.
      if (ways[0] && !ways.some(({ key }) => placed.has(key))) place(ways[0], under)
    }
    placed.add(step.key)
    order.push(step)
  }
  for (const step of program.steps) place(step, new Set())
  return order
}
