import { countWaiting, device, type Counts } from './outbox'
import { sendReady } from './send'

export interface SyncState extends Counts {
  readonly reach: 'ok' | 'away' | 'signed-out'
}

interface Watching {
  readonly personId: string
  readonly onState: (state: SyncState) => void
  readonly onSent: (horseIds: readonly string[]) => void
}

const EVERY_MS = 1_000
const SLOWEST_MS = 15_000

/** One tab at a time drains; entries on their way in a closed tab are freed by whoever is next. */
const alone = <T>(work: () => Promise<T>): Promise<T | null> =>
  navigator.locks.request('still-pine-outbox', { ifAvailable: true }, (lock) => (lock ? work() : null))

const freeLeftBehind = (personId: string): Promise<unknown> =>
  alone(() =>
    device.waiting
      .where('personId')
      .equals(personId)
      .modify((entry) => {
        if (entry.readyAt < 0) entry.readyAt = 0
      }),
  )

/** Sends the outbox of one person as long as it runs; gives the way to stop it. */
export const drainFor = ({ personId, onState, onSent }: Watching): (() => void) => {
  let stopped = false
  let pause = EVERY_MS
  let timer: ReturnType<typeof setTimeout> | undefined

  const turn = async (): Promise<void> => {
    const sent = await alone(() => sendReady(personId))
    if (stopped) return
    if (sent?.outcome === 'sent') onSent(sent.horseIds)
    const trouble = sent?.outcome === 'away' || sent?.outcome === 'signed-out'
    pause = trouble ? Math.min(SLOWEST_MS, pause * 2) : EVERY_MS
    onState({
      ...(await countWaiting(personId)),
      reach: sent?.outcome === 'away' || sent?.outcome === 'signed-out' ? sent.outcome : 'ok',
    })
    timer = setTimeout(() => void turn(), pause)
  }

  const hurry = (): void => {
    clearTimeout(timer)
    pause = EVERY_MS
    void turn()
  }

  void freeLeftBehind(personId).then(turn)
  window.addEventListener('online', hurry)
  return () => {
    stopped = true
    clearTimeout(timer)
    window.removeEventListener('online', hurry)
  }
}
