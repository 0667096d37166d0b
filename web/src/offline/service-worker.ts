import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { BACKGROUND_TAG, drainOnce, personHere } from '@still-pine/device/background'

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] }

/** Not in TypeScript's library: few browsers send in the background. */
interface SyncEvent extends ExtendableEvent {
  readonly tag: string
}

// The whole interface is kept, so that any page of it opens without signal; what the server says is kept by the page.
precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/api\//, /^\/stand-ins\//, /^\/licences\.txt$/],
  }),
)

// A page that was open before the first visit was over is helped at once.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

// A new version waits until a person says so: never in the middle of a horse.
self.addEventListener('message', (event) => {
  if ((event.data as { type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})

self.addEventListener('sync', (event) => {
  const { tag } = event as SyncEvent
  if (tag !== BACKGROUND_TAG) return
  ;(event as SyncEvent).waitUntil(
    personHere().then((personId) => (personId === null ? undefined : drainOnce(personId))),
  )
})
