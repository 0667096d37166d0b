import type { Progress } from '@still-pine/contract'
import type { Yard } from './yard'

/** Why nothing was brought in. */
export class NotImported extends Error {
  constructor(
    readonly title: string,
    readonly reasons: readonly string[] = [],
  ) {
    super(title)
  }
}

export type Tell = (progress: Progress) => void

/** Brings a file, by its path, into a yard: all of it, or an error that says why not. */
export type Bring = (yard: Yard, path: string, tell: Tell) => Promise<void>

/** Records written in one statement, and reasons told at most. */
export const AT_ONCE = 1_000
export const MOST_REASONS = 50

const RULES: Readonly<Record<string, string>> = {
  '23505': 'is kept here already, in this yard or another',
  '23503': 'names something that does not stand before it',
  '23502': 'lacks something it must have',
  '23514': 'is outside what is allowed',
  '42501': 'belongs to another yard',
}

/** Class 22: a value no column can hold. */
const HOLDS_NOT = 'says something the records cannot hold'

/** What the database says against a record, for a person to read. */
const databaseReason = (error: unknown): string | null => {
  const { code, detail } = error as { code?: string; detail?: string }
  const rule =
    code === undefined ? undefined : (RULES[code] ?? (code.startsWith('22') ? HOLDS_NOT : undefined))
  return rule ? `A record ${rule}${detail ? ` (${detail.replace(/\s+/g, ' ')})` : ''}.` : null
}

export const guarded = async <T>(work: () => Promise<T>): Promise<T> => {
  try {
    return await work()
  } catch (error) {
    const reason = databaseReason(error)
    if (reason === null) throw error
    throw new NotImported('Nothing was brought in: it does not fit together.', [reason])
  }
}

export const issueWords = (
  where: string,
  error: { issues: readonly { path: PropertyKey[]; message: string }[] },
): string[] =>
  error.issues.map(
    ({ path, message }) => `${where}${path.length > 0 ? `, ${path.map(String).join('.')}` : ''}: ${message}`,
  )
