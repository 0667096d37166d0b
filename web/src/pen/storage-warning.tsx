import { useEffect, useState } from 'react'
import { canSave } from '@still-pine/device'

/** Whether this device keeps what is logged; `null` until it is known. */
export const useCanSave = (): boolean | null => {
  const [can, setCan] = useState<boolean | null>(null)
  useEffect(() => {
    void canSave().then(setCan)
    // Asked for once: a browser that is short of room clears pages that did not ask first.
    void navigator.storage?.persist?.()
  }, [])
  return can
}

/** Said before the first answer, not after it. */
export const StorageWarning = () => (
  <p role="alert" className="border-b-2 border-stop bg-panel px-3 py-2 text-xl font-bold text-stop desk:px-6">
    This browser keeps nothing on this device, so an answer could be lost. Open Still Pine in a normal window,
    or allow it to store data; then log.
  </p>
)
