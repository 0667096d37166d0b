import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** A little under two frames: thirty times a second is smooth enough, and leaves a slow phone time for the presses. */
const EVERY_MS = 30

const never = (): boolean => false

/**
 * Seconds since a moment of the clock that cannot jump, about thirty times a second while something runs: no longer than
 * until it has ended, though that may be drawn later.
 */
export const useSecondsSince = (startedAt: number | null, hasEnded: () => boolean = never): number | null => {
  const [now, setNow] = useState(() => performance.now())
  useEffect(() => {
    if (startedAt === null) return
    let drawnAt = 0
    let frame = requestAnimationFrame(function tick(at) {
      if (hasEnded()) return
      if (at - drawnAt > EVERY_MS) {
        drawnAt = at
        // Drawn in this frame: otherwise it would take one more, twice as many in all.
        flushSync(() => setNow(performance.now()))
      }
      frame = requestAnimationFrame(tick)
    })
    return () => cancelAnimationFrame(frame)
  }, [startedAt, hasEnded])
  return startedAt === null ? null : Math.max(0, (now - startedAt) / 1000)
}

/** The phone's clock, once a second. */
export const useWallClock = (): number => {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(timer)
  }, [])
  return now
}

/** Keeps the screen awake while the pen is open, where the browser can. */
export const useWakeLock = (): void => {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    const hold = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return
      lock = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null
    }
    void hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      document.removeEventListener('visibilitychange', hold)
      void lock?.release()
    }
  }, [])
}
