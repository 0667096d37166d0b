import type { Entry, PutEntry } from './entries'

export type EntryKind = PutEntry['kind']
export type EntryOf<Kind extends EntryKind> = Extract<PutEntry, { kind: Kind }> & Pick<Entry, 'id' | 'byName'>

/** Those of one kind that stand, the oldest first. */
export const entriesOf = <Kind extends EntryKind>(
  entries: readonly Entry[],
  kind: Kind,
): readonly EntryOf<Kind>[] =>
  entries
    .filter((one): one is EntryOf<Kind> & Entry => one.kind === kind && !one.takenBack)
    .toSorted((a, b) => a.on.localeCompare(b.on) || a.id.localeCompare(b.id))
