import type { Settings } from '@still-pine/contract'
import type { Grade } from '@still-pine/core/answer'
import { useEffect } from 'react'
import { isTyping } from '../ui/typing'
import type { PenActions } from './use-pen'

/** A held button of the remote switches sides; it repeats after about this long. */
const HELD_REPEATS = 8

interface PenKeys {
  readonly actions: PenActions
  readonly settings: Settings
  readonly isRunning: boolean
  /** Off while a sheet has the keyboard. */
  readonly enabled: boolean
  readonly openFaults: () => void
}

/** Keys of the pen, and the two of the remote. A key that is held down counts once. */
export const usePenKeys = ({ actions, settings, isRunning, enabled, openFaults }: PenKeys): void => {
  useEffect(() => {
    if (!enabled) return
    let repeats = 0
    const once: Record<string, () => void> = {
      ' ': actions.forward,
      n: actions.back,
      t: () => actions.calm(2),
      w: () => actions.calm(1),
      l: () => actions.calm(0),
      u: actions.undo,
      c: actions.byChance,
      s: actions.switchSide,
      f: openFaults,
      ArrowUp: () => actions.moveRung(1),
      ArrowDown: () => actions.moveRung(-1),
      [settings.forwardKey]: actions.forward,
      [settings.backKey]: actions.back,
    }
    const press = (event: KeyboardEvent): void => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
      const isGrade = /^[1-5]$/.test(key)
      if (!isGrade && !(key in once)) return
      // A focused button would take Space for itself and press twice.
      event.preventDefault()
      if (event.repeat) {
        repeats += 1
        if (key === settings.forwardKey && isRunning && repeats === HELD_REPEATS) actions.switchSide()
        return
      }
      repeats = 0
      if (isGrade) actions.grade((Number(key) - 1) as Grade)
      else once[key]!()
    }
    // Space acts on keydown here; its keyup must not click the button in focus as well.
    const release = (event: KeyboardEvent): void => {
      if (event.key === ' ' && !isTyping(event.target)) event.preventDefault()
    }
    window.addEventListener('keydown', press)
    window.addEventListener('keyup', release)
    return () => {
      window.removeEventListener('keydown', press)
      window.removeEventListener('keyup', release)
    }
  }, [actions, enabled, isRunning, openFaults, settings.backKey, settings.forwardKey])
}
