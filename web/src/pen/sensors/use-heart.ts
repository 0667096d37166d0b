import { useEffect, useSyncExternalStore } from 'react'
import { toast } from '../../ui/toast'
import { allBeats, beatNow, onBeat } from './heart-feed'
import { connectStrap } from './strap'

let letGo: (() => void) | null = null
const listeners = new Set<() => void>()
const changed = (next: (() => void) | null): void => {
  letGo = next
  for (const listener of listeners) listener()
}
const onChange = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

const connect = async (): Promise<void> => {
  try {
    changed(await connectStrap())
  } catch (error) {
    // Closing the browser's own list is no fault.
    if ((error as Error).name !== 'NotFoundError')
      toast.error('The strap did not answer. Wet its pads, bring it near, and try again.')
  }
}

const disconnect = (): void => {
  letGo?.()
  changed(null)
}

/** A strap lies on one horse: it is let go with that horse's pen. */
export const useStrapLetGo = (): void => {
  useEffect(() => disconnect, [])
}

/** The strap that this browser reached, and how to reach one. */
export const useStrap = () => {
  const isConnected = useSyncExternalStore(onChange, () => letGo !== null)
  return { isConnected, connect, disconnect }
}

/** The beats a minute now; nothing while no strap is heard. */
export const useBeatNow = (now: number): number | null => {
  useSyncExternalStore(onBeat, allBeats)
  return beatNow(now)
}
