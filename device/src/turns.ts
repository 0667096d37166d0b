const LOCK = 'still-pine-outbox'

/** What the browser is asked to wake the service worker with. */
export const BACKGROUND_TAG = 'outbox'

/** One tab, or the service worker, drains at a time; who finds another at it gets `null`. */
export const alone = <T>(work: () => Promise<T>): Promise<T | null> =>
  navigator.locks.request(LOCK, { ifAvailable: true }, (lock) => (lock ? work() : null))

/** The same, but waits for its turn. */
export const inOwnTurn = <T>(work: () => Promise<T>): Promise<T> => navigator.locks.request(LOCK, work)
