import { freeLeftBehind } from './outbox'
import { sendReady } from './send'
import { sendFilePiece } from './taken'
import { inOwnTurn } from './turns'

/** Sends all that is ready, as the service worker does in the background; fails where it must be tried again. */
export const drainOnce = (personId: string): Promise<void> =>
  inOwnTurn(async () => {
    await freeLeftBehind(personId)
    for (;;) {
      const { outcome } = await sendReady(personId)
      if (outcome === 'signed-out') return
      if (outcome === 'idle') {
        const piece = await sendFilePiece(personId)
        if (piece === 'idle') return
        if (piece === 'away') throw new Error('No signal yet.')
      }
      if (outcome === 'away') throw new Error('No signal yet.')
    }
  })
