import { count, plural } from '@still-pine/core/answer'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { SyncState } from '@still-pine/device'

interface State extends SyncState {
  /** What waits has been counted in this page; before that nothing is said of it. */
  readonly isCounted: boolean
  /** The server could not be reached the last time something was asked of it. */
  readonly isAway: boolean
  /** Changes that other devices send are told to this page as they are saved. */
  readonly isListening: boolean
  /** A new version of the app waits for a word, or had it and the browser keeps the old one all the same. */
  readonly update: 'none' | 'waits' | 'held'
}

const initialState: State = {
  isCounted: false,
  waiting: 0,
  needYou: 0,
  files: 0,
  oldestAt: null,
  reach: 'ok',
  isAway: false,
  isListening: false,
  update: 'none',
}

/** How this device stands with the server. */
export const syncSlice = createSlice({
  name: 'sync',
  initialState,
  reducers: {
    // Told every second; only news is a change.
    syncChanged: (state, { payload }: PayloadAction<SyncState>) => {
      Object.assign(state, payload, { isCounted: true })
      if (payload.reach === 'away') state.isAway = true
    },
    heard: (state) => {
      state.isAway = false
    },
    listening: (state, { payload }: PayloadAction<boolean>) => {
      state.isListening = payload
    },
    notHeard: (state) => {
      state.isAway = true
    },
    updateCame: (state) => {
      state.update = 'waits'
    },
    updateHeld: (state) => {
      state.update = 'held'
    },
  },
})

export const { syncChanged, heard, listening, notHeard, updateCame, updateHeld } = syncSlice.actions

const MINUTE_MS = 60_000
const HOUR = 60
const DAY = 24 * HOUR

/** "12 min", "2 h", "3 days": how long something has been, rounded down. */
export const howLong = (ms: number): string => {
  const minutes = Math.floor(ms / MINUTE_MS)
  if (minutes < 1) return 'under a minute'
  if (minutes < HOUR) return `${minutes} min`
  if (minutes < DAY) return `${Math.floor(minutes / HOUR)} h`
  const days = Math.floor(minutes / DAY)
  return count(days, 'day')
}

/** The truth about what is saved, in words. */
export const syncWords = (
  { isCounted, waiting, needYou, oldestAt, files, reach }: SyncState & { readonly isCounted: boolean },
  now: number,
): string => {
  if (!isCounted) return 'checking …'
  if (needYou > 0) return `${needYou} ${plural(needYou, 'needs', 'need')} you`
  if (waiting === 0 && files > 0)
    return reach === 'ok' ? `saved here, sending ${count(files, 'file')}` : `${count(files, 'file')} waiting`
  if (waiting === 0) return reach === 'away' ? 'all saved, no signal' : 'all saved'
  if (reach === 'signed-out') return `${waiting} kept here, sign in to send`
  if (reach === 'ok') return `saved here, sending ${waiting}`
  return `${waiting} waiting, oldest ${howLong(now - (oldestAt ?? now))}`
}
