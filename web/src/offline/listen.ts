import type { Changed } from '@still-pine/contract'
import { CHANGES_PATH } from '@still-pine/contract/addresses'

/** What a page hears of its yard: that it is listening, or not any more, and what changed. */
export type Heard =
  | { readonly isListening: boolean }
  | { readonly changed: Changed['horseIds'] }
  | { readonly whoListens: true }

const NAME = 'still-pine-changes'
const TRY_AGAIN_MS = 15_000

/** A tab is read, and listens, within this time. */
const RECENT_MS = 60_000

/** Opens the stream until `over`; a stream that the server refused is tried again, for the browser does not. */
const openStream = (tell: (heard: Heard) => void, over: AbortSignal): void => {
  const stream = new EventSource(`/api/v1${CHANGES_PATH}`)
  const close = (): void => stream.close()
  over.addEventListener('abort', close)
  let wasOpen = false
  stream.addEventListener('open', () => {
    tell({ isListening: true })
    // What was told meanwhile was missed.
    if (wasOpen) tell({ changed: null })
    wasOpen = true
  })
  stream.addEventListener('message', ({ data }: MessageEvent<string>) => {
    tell({ changed: (JSON.parse(data) as Changed).horseIds })
  })
  stream.addEventListener('error', () => {
    tell({ isListening: false })
    if (stream.readyState !== EventSource.CLOSED || over.aborted) return
    over.removeEventListener('abort', close)
    const timer = setTimeout(() => {
      tell({ changed: null })
      openStream(tell, over)
    }, TRY_AGAIN_MS)
    over.addEventListener('abort', () => clearTimeout(timer))
  })
}

const untilAborted = (over: AbortSignal): Promise<void> =>
  new Promise((resolve) => over.addEventListener('abort', () => resolve()))

/**
 * Listens to the yard's changes as other devices send them. One tab of a browser listens and tells the others, for a
 * browser opens few connections to one server. Gives the way to stop.
 */
export const listenToYard = (tell: (heard: Heard) => void): (() => void) => {
  const over = new AbortController()
  const tabs = new BroadcastChannel(NAME)
  let isListening = false
  let recent: { readonly at: number; readonly changed: Changed['horseIds'] }[] = []
  tabs.onmessage = ({ data }: MessageEvent<Heard>) => {
    if (!('whoListens' in data)) tell(data)
    else if (isListening) {
      tabs.postMessage({ isListening })
      for (const { at, changed } of recent) if (Date.now() - at < RECENT_MS) tabs.postMessage({ changed })
    }
  }
  tabs.postMessage({ whoListens: true })
  const tellAll = (heard: Heard): void => {
    if (over.signal.aborted) return
    if ('isListening' in heard) isListening = heard.isListening
    if ('changed' in heard)
      recent = [...recent.filter(({ at }) => Date.now() - at < RECENT_MS), { at: Date.now(), ...heard }]
    tell(heard)
    tabs.postMessage(heard)
  }
  navigator.locks
    .request(NAME, { signal: over.signal }, () => {
      openStream(tellAll, over.signal)
      return untilAborted(over.signal)
    })
    .catch(() => undefined)
  return () => {
    if (isListening) tabs.postMessage({ isListening: false })
    over.abort()
    tabs.close()
  }
}
