import type { Parts } from './parts'
import { queries } from './queries'
import type { Asked, QueryName, Reply } from './query'
import { readWith, type Loaders } from './reading'

/** Answers a question from what a host has. */
export const answer = async <N extends QueryName>(
  name: N,
  loaders: Loaders,
  asked: Asked<N>,
): Promise<Reply<N>> => {
  const query = queries[name]
  const read = readWith(loaders, asked)
  const parts: Partial<Record<keyof Parts, unknown>> = {}
  // One after the other: a connection does one thing at a time.
  for (const part of query.parts) parts[part] = await read(part)
  return query.answer(parts as Parts, asked)
}
