import type { Role } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import type { PartName, Parts } from './parts'

/** Who asks. */
export interface Who {
  readonly yardId: string
  readonly personId: string
  readonly role: Role
  /** The browser that asks, where it said so when it signed in. */
  readonly deviceId: string | null
}

/** What a question names: the ids of its path, and what it asks besides. */
export interface Named {
  readonly horseId?: string | undefined
  readonly sessionId?: string | undefined
  readonly step?: string | undefined
  readonly programId?: string | undefined
  /** Another program, for a horse to move to. */
  readonly to?: string | undefined
  readonly on?: Day | undefined
  readonly from?: Day | undefined
  readonly until?: Day | undefined
  /** Of a week. */
  readonly firstDay?: Day | undefined
  /** Of what is arranged for every week. */
  readonly partId?: string | undefined
  /** An answer to go on before. */
  readonly before?: string | undefined
  /** How far a device has read. */
  readonly answers?: number | undefined
  readonly voidings?: number | undefined
}

export interface Asking {
  readonly who: Who
  readonly now: Date
  /** Today in the yard's time zone. */
  readonly today: Day
  /** The day that is judged. */
  readonly on: Day
  readonly named: Named
}

/** Reads a part, each once; `at` reads of another horse, or of another day. */
export interface Read {
  <P extends PartName>(part: P): Promise<Parts[P]>
  at(change: Pick<Partial<Asking>, 'on'> & Pick<Named, 'horseId'>): Read
}

/** How a host gets each part, from what it has or from other parts. */
export type Loaders = {
  readonly [P in PartName]: (read: Read, asking: Asking) => Promise<Parts[P]>
}

/** Reads parts for one question; a part that is read twice is loaded once. */
export const readWith = (loaders: Loaders, asking: Asking): Read => {
  const loaded = new Map<PartName, Promise<unknown>>()
  const read = <P extends PartName>(part: P): Promise<Parts[P]> => {
    const known = loaded.get(part) ?? loaders[part](all, asking)
    loaded.set(part, known)
    return known as Promise<Parts[P]>
  }
  const at: Read['at'] = ({ on = asking.on, horseId = asking.named.horseId }) =>
    readWith(loaders, { ...asking, on, named: { ...asking.named, horseId } })
  const all: Read = Object.assign(read, { at })
  return all
}
