import type { Workbox } from 'workbox-window'
import { updateCame, updateHeld } from '../offline/sync-slice'
import { store } from './store'

/** A browser lets go of the old version within a moment, if it does so at all before its windows are closed. */
const LETS_GO_MS = 5_000

let workbox: Workbox | undefined
/** A person in this tab asked for the new version. */
let isAsked = false
/** Another tab asked for it, and it is there. */
let isInPlace = false

let isLoadingAnew = false
/**
 * Once only: a browser tells of the change of worker again while the page is being fetched, and to load anew then
 * gives up the page on its way, so that it never comes.
 */
const loadAnew = (): void => {
  if (isLoadingAnew) return
  isLoadingAnew = true
  window.location.reload()
}

/** Keeps the app on this device, and says when a newer one waits. */
export const keepInstalled = async (): Promise<void> => {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  const { Workbox } = await import('workbox-window')
  workbox = new Workbox('/service-worker.js')
  workbox.addEventListener('waiting', () => void store.dispatch(updateCame()))
  workbox.addEventListener('controlling', (event) => {
    if (!event.isUpdate) return
    if (isAsked) return loadAnew()
    // Somebody may be in the middle of a horse here: this tab loads anew when its own person says so.
    isInPlace = true
    store.dispatch(updateCame())
  })
  // A browser that refuses (a private window, a policy) works from the server alone.
  await workbox.register().catch(() => undefined)
}

/** Puts the waiting version in place; the page loads anew with it. */
export const takeUpdate = (): void => {
  if (isInPlace) return loadAnew()
  isAsked = true
  workbox?.messageSkipWaiting()
  setTimeout(() => store.dispatch(updateHeld()), LETS_GO_MS)
}
