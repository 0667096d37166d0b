import { freeLeftBehind } from './outbox'
import { sendReady } from './send'
import { inOwnTurn } from './turns'

/** Sends all that is ready, as the service worker does in the background; fails where it must be tried again. */
export const drainOnce = (personId: string): Promise<void> =>
  inOwnTurn(async () => {
    await freeLeftBehind(personId)
    for (;;) {
      const { outcome } = await sendReady(personId)
      if (outcome === 'idle' || outcome === 'signed-out') return
      if (outcome === 'away') throw new Error('No signal yet.')
    }
  })
