import { useEffect, useState } from 'react'

/**
 * A value as it was until the newest has been on the screen for a frame: what need not show a press at once is drawn after
 * what must. React’s own deferred value is often drawn before that frame, and then holds it up.
 */
export const useAfterPaint = <T>(value: T): T => {
  const [shown, setShown] = useState(value)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => setShown(value))
    })
    return () => {
      cancelAnimationFrame(frame)
      clearTimeout(timer)
    }
  }, [value])
  return shown
}
