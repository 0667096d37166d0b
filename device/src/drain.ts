import { countWaiting, entriesOf, freeLeftBehind, type Counts } from './outbox'
import { sendReady } from './send'
import { countTaken, sendFilePiece } from './taken'
import { alone, BACKGROUND_TAG } from './turns'

export interface SyncState extends Counts {
  /** Pictures, clips and spoken notes that are not all with the server yet. */
  readonly files: number

  readonly reach: 'ok' | 'away' | 'signed-out'
}

interface Watching {
  readonly personId: string
  /** An ask, accept or hold runs: its answer may come at any moment. */
  readonly isAsking: () => boolean
  readonly onState: (state: SyncState) => void
  readonly onSent: (horseIds: readonly string[]) => void
  /** Something was put in that cannot be sent now: what is shown of these horses is out of date. */
  readonly onSaved: (horseIds: readonly string[]) => void
}

const EVERY_MS = 1_000
const SLOWEST_MS = 15_000

/** While something is asked nothing is sent, so that nothing stands before its answer; but no longer than this. */
const LONGEST_MS = 10_000
const LOOK_EVERY_MS = 250

/** Asks the browser to send in the background what waits when this page is gone; few browsers do. */
const sendWhenGone = async (): Promise<void> => {
  const registration = await navigator.serviceWorker?.getRegistration()
  const { sync } = (registration ?? {}) as { sync?: { register(tag: string): Promise<void> } }
  await sync?.register(BACKGROUND_TAG).catch(() => undefined)
}

/** What drains in this page. */
const draining = new Set<() => void>()

/** Sends what was put in just now without waiting for the next turn. */
export const sendSoon = (): void => draining.forEach((hurry) => hurry())

/** Sends the outbox of one person as long as it runs; gives the way to stop it. */
export const drainFor = ({ personId, isAsking, onState, onSent, onSaved }: Watching): (() => void) => {
  let stopped = false
  let pause = EVERY_MS
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = false
  let inTurn = false
  let isHurried = false
  let newest = 0
  let heldSince: number | null = null
  let reach: SyncState['reach'] = 'ok'

  const tell = async (): Promise<void> => {
    const counts = await countWaiting(personId)
    const { files, refused } = await countTaken(personId)
    onState({ ...counts, needYou: counts.needYou + refused, files, reach })
  }

  const holdsOff = (): boolean => {
    heldSince = isAsking() ? (heldSince ?? performance.now()) : null
    return heldSince !== null && performance.now() - heldSince < LONGEST_MS
  }

  const turn = async (): Promise<void> => {
    const sent = await alone(() => sendReady(personId))
    if (stopped) return
    // Answers go first; files follow, a piece at a time.
    const piece = sent?.outcome === 'idle' ? await alone(() => sendFilePiece(personId)) : null
    if (stopped) return
    if (sent?.outcome === 'sent') onSent(sent.horseIds)
    const trouble = sent?.outcome === 'away' || sent?.outcome === 'signed-out'
    const isStuck = trouble || piece === 'away'
    const isMore = sent?.outcome === 'sent' || piece === 'sent'
    pause = isStuck ? Math.min(SLOWEST_MS, Math.max(pause, EVERY_MS) * 2) : isMore ? 0 : EVERY_MS
    if (isStuck && !asked) void sendWhenGone()
    asked = isStuck
    if (trouble) {
      const fresh = (await entriesOf(personId)).filter(({ order }) => order > newest)
      newest = fresh.at(-1)?.order ?? newest
      if (fresh.length > 0) onSaved([...new Set(fresh.map(({ horseId }) => horseId))])
    }
    reach = sent?.outcome === 'away' || sent?.outcome === 'signed-out' ? sent.outcome : 'ok'
    await tell()
  }
  // A device whose storage fails for a moment is asked again; nothing in it is touched.
  const safely = (): void => {
    if (stopped) return
    const wasHeld = heldSince !== null
    if (holdsOff()) {
      // What waits is told all the same, and once: an ask adds nothing to it before it ends.
      if (!wasHeld) void tell().catch(() => undefined)
      timer = setTimeout(safely, LOOK_EVERY_MS)
    } else void goRound()
  }

  const goRound = async (): Promise<void> => {
    inTurn = true
    const next = await turn().then(
      () => pause,
      () => SLOWEST_MS,
    )
    inTurn = false
    if (!stopped) timer = setTimeout(safely, isHurried ? 0 : next)
    isHurried = false
  }

  const hurry = (): void => {
    pause = EVERY_MS
    // Never two rounds at once: the one that goes is followed by another.
    if (inTurn) isHurried = true
    else {
      clearTimeout(timer)
      safely()
    }
  }

  void alone(() => freeLeftBehind(personId)).then(safely, safely)
  window.addEventListener('online', hurry)
  draining.add(hurry)
  return () => {
    stopped = true
    clearTimeout(timer)
    window.removeEventListener('online', hurry)
    draining.delete(hurry)
  }
}
