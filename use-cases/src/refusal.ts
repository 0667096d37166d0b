import type { FieldProblem, ProblemType } from '@still-pine/contract'

interface Extras {
  readonly fields?: readonly FieldProblem[]
  readonly currentVersion?: number
  /** A status of its own, where HTTP has one that says more. */
  readonly status?: number
}

/** Something that cannot be done, with a sentence a starter can act on. */
export class Refusal extends Error {
  constructor(
    readonly type: ProblemType,
    readonly title: string,
    readonly extras: Extras = {},
  ) {
    super(title)
  }
}

export const notFound = (what: string): Refusal => new Refusal('not-found', `${what} is not in your yard.`)

/** Refused for one field of what was sent, or for a whole part of it. */
export const refusedFor = (path: string, ...messages: readonly string[]): Refusal =>
  new Refusal('bad-input', messages.join(' '), { fields: messages.map((message) => ({ path, message })) })
