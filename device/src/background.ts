// What the service worker needs: nothing of a page.
export { drainOnce } from './drain-once'
export { BACKGROUND_TAG } from './turns'
export { personHere } from './who'
