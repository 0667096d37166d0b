import { rungName, rungNeeded, stepsMeeting, type NeedRef, type Program, type Role } from '../program'

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  'stand-caught': 'one way to stand and be caught',
  'go-loose': 'one way to go, turn or come loose',
}

/** A need in words: the step or the role, and the rung it must be met at. */
export const needWords = (program: Program, need: NeedRef): string => {
  const [step] = stepsMeeting(program, need)
  if (!step) return need.role ?? need.step ?? ''
  const from = need.fromRung && need.fromRung > 1 ? ` (from rung ${need.fromRung} on)` : ''
  if (need.role) return `${ROLE_WORDS[need.role]}${from}`
  const rung = rungNeeded(need, step)
  return `${step.name} to “${rungName(step, rung)}”${from}`
}
