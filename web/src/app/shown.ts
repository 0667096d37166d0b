import { useEffect, useSyncExternalStore } from 'react'

// How old what stands on the screen is: each reading on it says under which address it was told, and when that was true.

const toldAt = new Map<string, number>()
const onScreen = new Map<symbol, string>()
const watchers = new Set<() => void>()

const tellWatchers = (): void => {
  for (const watcher of watchers) watcher()
}

/** What is told under this address was true at this moment, in milliseconds of this device's clock. */
export const wasTold = (address: string, at: number): void => {
  toldAt.set(address, at)
  tellWatchers()
}

/** As long as a part of a page shows it, what was told under an address counts; `null` for what does not age. */
export const useShown = (address: string | null): void =>
  useEffect(() => {
    if (address === null) return
    const mark = Symbol()
    onScreen.set(mark, address)
    tellWatchers()
    return () => {
      onScreen.delete(mark)
      tellWatchers()
    }
  }, [address])

const oldest = (): number | null => {
  const times = [...onScreen.values()].flatMap((address) => toldAt.get(address) ?? [])
  return times.length === 0 ? null : Math.min(...times)
}

const watch = (watcher: () => void): (() => void) => {
  watchers.add(watcher)
  return () => watchers.delete(watcher)
}

/** When the oldest of what is on the screen was true, or nothing where nothing ages on it. */
export const useShownAt = (): number | null => useSyncExternalStore(watch, oldest)
