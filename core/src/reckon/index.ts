import { BadField, reckonBy } from './fields'
import { RULES } from './rules'

export { BadField } from './fields'
export { RULES } from './rules'

/** What a rule says of what it was given; or the first field that is wrong, and why. */
export type Reckoned =
  | { readonly ok: true; readonly reply: unknown }
  | { readonly ok: false; readonly error: { readonly field: string; readonly reason: string } }

/** Reckons by a rule's name. */
export const reckon = (name: string, given: unknown): Reckoned => {
  const rule = Object.hasOwn(RULES, name) ? RULES[name] : undefined
  if (!rule) return { ok: false, error: { field: 'rule', reason: `“${name}” is not known here.` } }
  try {
    return { ok: true, reply: reckonBy(rule, given) }
  } catch (error) {
    if (!(error instanceof BadField)) throw error
    return { ok: false, error: { field: error.field, reason: error.reason } }
  }
}
