import { useSyncExternalStore } from 'react'

/** Not in TypeScript's library: browsers that can install a page say so with it. */
interface InstallOffer extends Event {
  prompt(): Promise<unknown>
}

let offer: InstallOffer | null = null
const listeners = new Set<() => void>()

const changed = (next: InstallOffer | null): void => {
  offer = next
  for (const listener of listeners) listener()
}

window.addEventListener('beforeinstallprompt', (event) => {
  event.preventDefault()
  changed(event as InstallOffer)
})
window.addEventListener('appinstalled', () => changed(null))

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

/** Puts the app on this device, where the browser offers it; `null` where it does not. */
export const useInstallOffer = (): (() => void) | null => {
  const now = useSyncExternalStore(subscribe, () => offer)
  return now && (() => void now.prompt().then(() => changed(null)))
}
