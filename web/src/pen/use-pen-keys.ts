import type { Settings } from '@still-pine/contract'
import type { Grade } from '@still-pine/core/answer'
import { useLayoutEffect } from 'react'
import { swallowSpace } from '../ui/space-key'
import { isTyping } from '../ui/typing'
import type { PenActions } from './use-pen-actions'

/** Forward held switches sides, back held breaks off; a held key repeats after about this long. */
const HELD_REPEATS = 8

interface PenKeys {
  readonly actions: PenActions
  readonly settings: Settings
  /** Off while a sheet has the keyboard. */
  readonly enabled: boolean
  readonly openFaults: () => void
  readonly recall: () => void
}

/** Keys of the pen, and the two of the remote. A key that is held down counts once. */
export const usePenKeys = ({ actions, settings, enabled, openFaults, recall }: PenKeys): void => {
  // Before it is drawn: the first press may come with the first sight of the pen.
  useLayoutEffect(() => {
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
      o: actions.uncued,
      a: actions.aid,
      r: actions.breakOff,
      p: actions.stepOut,
      s: actions.switchSide,
      f: openFaults,
      m: recall,
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
        if (repeats !== HELD_REPEATS) return
        if (key === settings.forwardKey) actions.heldForward()
        if (key === settings.backKey) actions.breakOff()
        return
      }
      repeats = 0
      if (isGrade) actions.grade((Number(key) - 1) as Grade)
      else once[key]!()
    }
    window.addEventListener('keydown', press)
    window.addEventListener('keyup', swallowSpace)
    return () => {
      window.removeEventListener('keydown', press)
      window.removeEventListener('keyup', swallowSpace)
    }
  }, [actions, enabled, openFaults, recall, settings.backKey, settings.forwardKey])
}
