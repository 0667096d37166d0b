import type { z } from 'zod'

/** What is wrong in a file, and where. */
export interface FileFault {
  readonly field: string
  readonly words: string
}

const fieldOf = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, part) =>
      typeof part === 'number' ? `${text}[${part}]` : text === '' ? String(part) : `${text}.${String(part)}`,
    '',
  ) || 'the file'

/** Fields nobody knows are named one by one, at their own path. */
export const faultOf = (issue: z.core.$ZodIssue): FileFault[] =>
  issue.code === 'unrecognized_keys'
    ? issue.keys.map((key) => ({
        field: fieldOf([...issue.path, key]),
        words: 'This field is not known here.',
      }))
    : [{ field: fieldOf(issue.path), words: issue.message }]
