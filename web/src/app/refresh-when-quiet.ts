import { api } from './client'
import type { AppThunk } from './thunk'

const LOOK_EVERY_MS = 500

/** In the pen nothing is fetched anew until nothing was asked for so long: reading a Line would hold up a press. */
const QUIET_MS = 1_500

const sentFor = new Set<string>()
let timer: ReturnType<typeof setInterval> | undefined
let busyAt = -Infinity

/** Fetches anew what answers of some horses changed, as soon as nobody is in the middle of an ask. */
export const refreshWhenQuiet =
  (horseIds: readonly string[]): AppThunk<void> =>
  (dispatch, getState) => {
    for (const id of horseIds) sentFor.add(id)
    const look = (): void => {
      const { pen } = getState()
      if (pen && (pen.running || pen.calmFor)) busyAt = performance.now()
      if (pen && performance.now() - busyAt < QUIET_MS) return
      clearInterval(timer)
      timer = undefined
      const horses = [...sentFor].map((id) => ({ type: 'Horse' as const, id }))
      sentFor.clear()
      dispatch(api.util.invalidateTags(['Yard', ...horses]))
    }
    timer ??= setInterval(look, LOOK_EVERY_MS)
    look()
  }
