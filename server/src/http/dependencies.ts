import type { Logger } from 'pino'
import type { Changes } from '../data/changes'
import type { Pool } from '../data/pool'
import type { Threads } from '../threads'

/** What the application is built from; tests build it from their own. */
export interface Dependencies {
  readonly pool: Pool
  readonly threads: Threads
  /** What other server processes and this one commit. */
  readonly changes: Changes
  /** The clock; only demo and tests may set it. */
  readonly now: () => Date
  readonly logger: Logger
  readonly version: string
  /** Tells one build of the product from another: what one judged the other does not read. */
  readonly engine: string
  readonly demo: boolean
  /** Signs the cookie; the same on every instance. */
  readonly cookieSecret: string
  /** Cookies over HTTPS only. */
  readonly secure: boolean
  /** The built interface, where there is one. */
  readonly webFolder: string | null
  /** Hold every reply against its schema. */
  readonly checkReplies: boolean
  /** Sign-in tries allowed in a quarter of an hour from one address. */
  readonly signInTries: number
}
