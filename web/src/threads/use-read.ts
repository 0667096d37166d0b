import { useEffect, useState } from 'react'

export interface Read<T> {
  readonly value: T | null
  /** It could not be worked out; the page says so instead of waiting for ever. */
  readonly failed: boolean
}

/** What a worker makes of something, each time it changes; `read` must change only when that does. */
export const useRead = <T>(read: (() => Promise<T>) | null | undefined): Read<T> => {
  const [done, setDone] = useState<{ of: unknown; value: T | null } | null>(null)
  useEffect(() => {
    if (!read) return
    let isWanted = true
    read().then(
      (value) => isWanted && setDone({ of: read, value }),
      () => isWanted && setDone({ of: read, value: null }),
    )
    return () => void (isWanted = false)
  }, [read])
  const isDone = done !== null && done.of === read
  return { value: isDone ? done.value : null, failed: isDone && done.value === null }
}
