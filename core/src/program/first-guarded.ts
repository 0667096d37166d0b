import { exposuresAt } from './exposure'
import type { Gate } from './gate'
import type { Program } from './program'

/** The first rung on the path that a gate guards for what it exposes to. */
export const firstGuarded = (program: Pick<Program, 'steps'>, { exposures = [] }: Gate) => {
  for (const step of program.steps) {
    const at = step.rungs.findIndex((_, i) =>
      exposures.some((all) => all.every((one) => exposuresAt(step, i + 1).includes(one))),
    )
    if (at !== -1) return { kind: 'step' as const, step: step.key, fromRung: at + 1 }
  }
  return null
}
