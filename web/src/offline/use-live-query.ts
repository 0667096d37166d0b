import { liveQuery } from 'dexie'
import { useEffect, useState } from 'react'

/** What a question to this device's own store gives, and gives anew when the store changes. */
export const useLiveQuery = <T>(ask: () => Promise<T>, on: readonly unknown[]): T | undefined => {
  const [found, setFound] = useState<T>()
  useEffect(() => {
    const watch = liveQuery(ask).subscribe({ next: setFound, error: () => setFound(undefined) })
    return () => watch.unsubscribe()
    // The question is a new function each time; what it asks about is listed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, on)
  return found
}
