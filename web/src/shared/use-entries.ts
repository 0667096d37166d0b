import type { Entry, PutEntry } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../app/client'
import { saveHere } from '../offline/save'

/** What is put of an entry that is listed. */
export const asPut = ({ id: _id, byName: _by, ...entry }: Entry): PutEntry => entry as PutEntry

export interface Entries {
  /** What is told of the horse and of its yard; nothing while it is on its way. */
  readonly entries: readonly Entry[] | undefined
  readonly error: unknown
  readonly retry: () => void
  /** Puts a new entry, or other words on a known one; says whether this device could keep it. */
  readonly put: (entry: PutEntry, id?: string) => Promise<boolean>
  /** Takes an entry back, or lets it count again. */
  readonly strike: (entry: Entry) => Promise<boolean>
}

/** What is told of a horse beside its answers, with or without signal. */
export const useEntries = (horseId: string): Entries => {
  const { data: me } = useQuery('me')
  const { data, error, refetch } = useQuery('entries', { horseId })
  const put: Entries['put'] = async (entry, id = uuid()) =>
    me !== undefined && saveHere(me.person.id, horseId, { do: 'enter', id, horseId, entry })
  return {
    entries: data?.entries,
    error,
    retry: () => void refetch(),
    put,
    strike: (entry) => put({ ...asPut(entry), takenBack: !entry.takenBack }, entry.id),
  }
}
