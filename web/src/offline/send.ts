import type { BatchReply } from '@still-pine/contract'
import { putBack, settle, takeReady, type Waiting } from './outbox'

export type Sent =
  | { readonly outcome: 'idle' }
  | { readonly outcome: 'sent'; readonly horseIds: readonly string[] }
  | { readonly outcome: 'signed-out' | 'away' }

const post = async (entries: readonly Waiting[]): Promise<Response | null> => {
  const body = JSON.stringify({ sentAt: new Date().toISOString(), items: entries.map(({ item }) => item) })
  try {
    return await fetch('/api/v1/answers/batch', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
    })
  } catch {
    return null
  }
}

/** Sends what is ready, once; whatever does not arrive stays in the outbox. */
export const sendReady = async (personId: string): Promise<Sent> => {
  const entries = await takeReady(personId, Date.now())
  if (entries.length === 0) return { outcome: 'idle' }
  const response = await post(entries)
  if (!response?.ok) {
    await putBack(entries)
    return { outcome: response?.status === 401 ? 'signed-out' : 'away' }
  }
  const reply = (await response.json()) as BatchReply
  await settle(entries, reply.items)
  return { outcome: 'sent', horseIds: [...new Set(entries.map(({ horseId }) => horseId))] }
}
