import { readEarly } from '@still-pine/device'

// The browser's own store is woken first, for that takes longest.
void window.indexedDB?.databases?.().catch(() => undefined)

// Imported before all else: the device is read while the rest of the page is still being put together.
readEarly(window.location.pathname)
