import type { Role } from '@still-pine/contract'
import type { Client } from '../data/sql'
import type { Threads } from '../threads'
import { dayIn } from './yard-day'

/** The yard as one request sees it: who asks, in which transaction, at what time. */
export interface Yard {
  readonly client: Client
  readonly yardId: string
  readonly personId: string
  /** The browser that asks, where it said so when it signed in. */
  readonly deviceId: string | null
  readonly role: Role
  readonly timeZone: string
  readonly now: Date
  /** Which version of the product judges: what another judged is not read. */
  readonly engine: string
  /** Where what takes long is worked out. */
  readonly threads: Threads
  /** Has this yard's day worked out when nobody waits for it. */
  readonly wantDay: () => void
  /** Has something saved once the reply is on its way; what is asked for here may be lost, and is then made again. */
  readonly afterwards: (save: (client: Client) => Promise<unknown>) => void
}

export const todayIn = (yard: Yard): string => dayIn(yard.timeZone, yard.now)
