import type { BatchItem } from '@still-pine/contract'
import { idOfItem } from '@still-pine/contract/id-of-item'
import { toast } from 'sonner'
import { keepWaiting } from './outbox'

/** Said where this device could not keep something; nothing on the screen pretends otherwise. */
export const sayNotKept = (): void =>
  void toast.error('Not kept: this device has no room left. Free some, then do it again.', {
    duration: 20_000,
  })

/** Keeps something on this device, from where it is sent as soon as there is signal; says whether it could. */
export const keepHere = async (personId: string, horseId: string, item: BatchItem): Promise<boolean> => {
  try {
    await keepWaiting({ id: idOfItem(item), personId, horseId, item, readyAt: 0 })
    return true
  } catch {
    sayNotKept()
    return false
  }
}
