import { useEffect, useState } from 'react'

/** By then a page is drawn, on a slow phone too. */
const DRAWN_AFTER_MS = 1_500

/** False while a page is still being put together: what is not seen begins after that. */
export const useSettled = (): boolean => {
  const [isSettled, setSettled] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), DRAWN_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  return isSettled
}
