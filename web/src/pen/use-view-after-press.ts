import type { Program } from '@still-pine/core/program'
import { useEffect, useMemo, useState } from 'react'
import { useAppStore } from '../app/store'
import { whenSaved } from './log'
import type { PenState } from './pen-slice'
import { viewOf, type PenView } from './use-pen'

/** A disk that does not answer holds up what is drawn of a press for no longer than this. */
const LONGEST_WAIT_MS = 200

const pause = (ms: number): Promise<unknown> => new Promise((resolve) => setTimeout(resolve, ms))

const painted = (): Promise<unknown> =>
  new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))

/**
 * The pen as it was until a press was seen and kept: its mark has been on the screen for a frame, and its answer lies on
 * the device. What need not show a press at once is drawn from this, after what must. React’s own deferred value is often
 * drawn before that frame, and holds it up.
 */
export const useViewAfterPress = (program: Program, lagSeconds: number): PenView | null => {
  const store = useAppStore()
  const [pen, setPen] = useState(() => store.getState().pen)
  useEffect(() => {
    let seen: PenState | null | undefined
    let comes = false
    let gone = false
    const show = (): void => {
      comes = false
      seen = store.getState().pen
      setPen(seen)
    }
    const showLater = async (): Promise<void> => {
      comes = true
      await painted()
      await Promise.race([whenSaved(), pause(LONGEST_WAIT_MS)])
      if (!gone) show()
    }
    show()
    const stop = store.subscribe(() => {
      if (!comes && store.getState().pen !== seen) void showLater()
    })
    return () => {
      gone = true
      stop()
    }
  }, [store])
  return useMemo(() => viewOf(pen, program, lagSeconds), [pen, program, lagSeconds])
}
