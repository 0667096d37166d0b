import type { BatchItem } from '@still-pine/contract'
import { idOfItem } from '@still-pine/contract/id-of-item'
import { toast } from '../ui/toast'
import { saveWaiting, sendSoon } from '@still-pine/device'

/** Said where this device could not keep something; nothing on the screen pretends otherwise. */
export const sayNotSaved = (): void =>
  void toast.error('Not kept: this device has no room left. Free some, then do it again.', {
    duration: 20_000,
  })

/** From here on a disk is slow enough to be told of. */
const SLOW_AFTER_MS = 1_000
const SLOW_TOAST = 'slow-disk'

let slow = 0

/** Says so while something takes long to reach the disk: until it is there it would be lost with the page. */
export const sayWhileSlow = async <T>(keeping: Promise<T>): Promise<T> => {
  let isSlow = false
  const timer = setTimeout(() => {
    isSlow = true
    slow += 1
    toast.loading('Not on this device’s disk yet. Leave this page open.', { id: SLOW_TOAST })
  }, SLOW_AFTER_MS)
  try {
    return await keeping
  } finally {
    clearTimeout(timer)
    if (isSlow) slow -= 1
    if (isSlow && slow === 0) toast.dismiss(SLOW_TOAST)
  }
}

/** Keeps something on this device, from where it is sent as soon as there is signal; says whether it could. */
export const saveHere = async (personId: string, horseId: string, item: BatchItem): Promise<boolean> => {
  try {
    await sayWhileSlow(saveWaiting({ id: idOfItem(item), personId, horseId, item, readyAt: 0 }))
    sendSoon()
    return true
  } catch {
    sayNotSaved()
    return false
  }
}
