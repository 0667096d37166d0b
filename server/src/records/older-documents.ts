import { FEET_FIRST } from '@still-pine/core/program'

/** The parts of a manner that a program of version 1 told, under their names there. */
const TOLD = { fright: 'frightRule', release: 'release', reward: 'reward', lead: 'leadPosition' } as const

const programOfVersion1 = (record: unknown): unknown => {
  const { document } = (record ?? {}) as { document?: Record<string, unknown> }
  if (!document || 'manner' in document) return record
  const told = Object.entries(TOLD).map(([part, name]) => [part, { words: document[name] ?? '', why: '' }])
  return {
    document: {
      ...document,
      pace: { gradedBy: 'phases', ...(document.pace as object) },
      manner: { ...FEET_FIRST.manner, ...Object.fromEntries(told) },
    },
  }
}

/** A record of an older document as it is written now. Version 1 had one school, and told less of it. */
export const asWrittenNow = (version: unknown, part: string, record: unknown): unknown =>
  version === 1 && part === 'programs' ? programOfVersion1(record) : record
