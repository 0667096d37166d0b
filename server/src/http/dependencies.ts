import type { Workings } from '../records/in-yard'
import type { Changes } from '../data/changes'
import type { AttachmentFiles } from '../disk/attachment-files'

/** What the application is built from; tests build it from their own. */
export interface Dependencies extends Workings {
  /** What other server processes and this one commit. */
  readonly changes: Changes
  /** Where the files of pictures, clips and spoken notes lie. */
  readonly attachments: AttachmentFiles
  readonly version: string
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
