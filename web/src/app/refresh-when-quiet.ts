import { api } from './client'
import type { AppThunk } from './thunk'

const LOOK_EVERY_MS = 500

/** In the pen nothing is fetched anew until nothing was asked for so long: reading a Line would hold up a press. */
const QUIET_MS = 1_500

const changed = new Set<string>()
let isAnything = false
let timer: ReturnType<typeof setInterval> | undefined
let busyAt = -Infinity

/** Fetches anew what is told of the yard and of horses that changed (`null`: any may have), as soon as nobody is in the middle of an ask. */
export const refreshWhenQuiet =
  (horseIds: readonly string[] | null): AppThunk<void> =>
  (dispatch, getState) => {
    if (horseIds === null) isAnything = true
    for (const id of horseIds ?? []) changed.add(id)
    const look = (): void => {
      const { pen } = getState()
      if (pen && (pen.running || pen.calmFor)) busyAt = performance.now()
      if (pen && performance.now() - busyAt < QUIET_MS) return
      clearInterval(timer)
      timer = undefined
      const horses = isAnything
        ? (['Horse'] as const)
        : [...changed].map((id) => ({ type: 'Horse' as const, id }))
      changed.clear()
      isAnything = false
      dispatch(api.util.invalidateTags(['Yard', ...horses]))
    }
    timer ??= setInterval(look, LOOK_EVERY_MS)
    look()
  }
