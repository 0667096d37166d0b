import type { BatchReply, Problem } from '@still-pine/contract'
import { putBack, settle, takeReady, type Waiting } from './outbox'
import { isSignOutOwed, signOutPaid } from './who'

export type Sent =
  | { readonly outcome: 'idle' }
  | { readonly outcome: 'sent'; readonly horseIds: readonly string[] }
  | { readonly outcome: 'signed-out' | 'away' }

const post = async (path: string, body: unknown): Promise<Response | null> => {
  try {
    return await fetch(`/api/v1${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
  } catch {
    return null
  }
}

const postBatch = (personId: string, entries: readonly Waiting[]): Promise<Response | null> =>
  post('/answers/batch', {
    personId,
    sentAt: new Date().toISOString(),
    items: entries.map(({ item }) => item),
  })

/** Tells the server of a sign-out that was made without signal, before anything else is asked of it. */
export const paySignOut = async (): Promise<void> => {
  if (!(await isSignOutOwed().catch(() => false))) return
  const response = await post('/sign-out', {})
  if (response?.ok) await signOutPaid()
}

/** Not now: nobody is signed in, somebody else is, or the server asks for patience. */
const isSignedOut = (status: number): boolean => status === 401 || status === 409
const isLater = (status: number): boolean => status >= 500 || status === 408 || status === 429

const MOST_AT_ONCE = 200

/** After a batch that was refused as a whole the entries go one by one, so that one bad one stops nothing else. */
let atOnce = MOST_AT_ONCE

const titleOf = async (response: Response): Promise<string> => {
  try {
    return ((await response.json()) as Problem).title
  } catch {
    return 'The server refused it.'
  }
}

/** Sends what is ready, once; whatever does not arrive stays in the outbox. */
export const sendReady = async (personId: string): Promise<Sent> => {
  const entries = await takeReady(personId, Date.now(), atOnce)
  if (entries.length === 0) {
    atOnce = MOST_AT_ONCE
    return { outcome: 'idle' }
  }
  const response = await postBatch(personId, entries)
  if (!response || isSignedOut(response.status) || isLater(response.status)) {
    await putBack(entries)
    return { outcome: response && isSignedOut(response.status) ? 'signed-out' : 'away' }
  }
  if (!response.ok) {
    const [only, ...rest] = entries
    if (rest.length > 0) {
      atOnce = 1
      await putBack(entries)
    } else await settle([only!], [{ status: 'refused', reason: await titleOf(response) }])
    return { outcome: 'sent', horseIds: [] }
  }
  const reply = await (response.json() as Promise<BatchReply>).catch(() => null)
  if (!reply) {
    await putBack(entries)
    return { outcome: 'away' }
  }
  await settle(entries, reply.items)
  return { outcome: 'sent', horseIds: [...new Set(entries.map(({ horseId }) => horseId))] }
}
