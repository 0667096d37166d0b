import { fromSerious } from '@still-pine/contract'
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

/** Up to version 4 an incident was serious or not. */
const incidentOfVersion4 = (record: unknown): unknown => {
  const incident = record as { kind?: unknown; step?: unknown; serious?: unknown } | null
  if (typeof incident?.serious !== 'boolean') return record
  const { serious, ...rest } = incident
  return { ...rest, ...fromSerious({ kind: String(rest.kind), step: rest.step as string | null, serious }) }
}

/** A record of an older document as it is written now. Version 1 had one school, and told less of it. */
export const asWrittenNow = (version: unknown, part: string, record: unknown): unknown => {
  if (version === 1 && part === 'programs') return programOfVersion1(record)
  return part === 'incidents' && typeof version === 'number' && version < 5
    ? incidentOfVersion4(record)
    : record
}
