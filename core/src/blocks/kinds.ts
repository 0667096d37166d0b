/** The stretches of a horse’s life with people. */
export const BLOCK_KINDS = ['handling', 'grow', 'start', 'rest', 'restart', 'ridden'] as const
export type BlockKind = (typeof BLOCK_KINDS)[number]

export const BLOCK_WORDS: Readonly<Record<BlockKind, string>> = {
  handling: 'Handling',
  grow: 'Left to grow',
  start: 'Starting',
  rest: 'Rest',
  restart: 'Starting again',
  ridden: 'Ridden',
}

/** What is meant by each, for who chooses one. */
export const BLOCK_MEANING: Readonly<Record<BlockKind, string>> = {
  handling: 'a short block of handling for a youngster: halter, lead, feet, being touched',
  grow: 'no work but feet, worming and a handling check now and then',
  start: 'from the first handling, or from a handling block, to the first rides',
  rest: 'off work: a season, an injury, a foal',
  restart: 'back to work after a long rest: begins with a re-check',
  ridden: 'in regular ridden work',
}
