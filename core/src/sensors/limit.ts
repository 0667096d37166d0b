import type { Program } from '../program'

/**
 * The most pull on the rope, newtons, that a school asks with. Our judgement, no source; ounces are no measure of it: a
 * hanging rope weighs 2 N by itself.
 */
const LIMIT_N: Readonly<Record<string, number>> = {
  'feet-first': 50,
  'stand-first': 20,
  'light-aids': 20,
  'mark-and-reward': 3,
}

/** A rein that is ridden on contact carries half of what a rope may. */
const CONTACT_N: Readonly<Record<string, number>> = { 'light-aids': 10 }
const CONTACT_STEPS: ReadonlySet<string> = new Set(['ride-contact', 'give-to-bit'])

/** A school that a yard wrote for itself, from none of ours. */
const CAUTIOUS_N = 20

/** The pull, newtons, above which a step is asked harder than its school asks. */
export const pullLimit = ({ school, copyOf }: Pick<Program, 'school' | 'copyOf'>, step: string): number => {
  const key = copyOf ?? school
  return (CONTACT_STEPS.has(step) ? CONTACT_N[key] : undefined) ?? LIMIT_N[key] ?? CAUTIOUS_N
}
