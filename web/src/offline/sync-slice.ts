import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { SyncState } from './drain'

const initialState: SyncState = { waiting: 0, needYou: 0, reach: 'ok' }

/** What the sync mark says. */
export const syncSlice = createSlice({
  name: 'sync',
  initialState,
  reducers: { syncChanged: (_state, { payload }: PayloadAction<SyncState>) => payload },
})

export const { syncChanged } = syncSlice.actions

/** The truth about what is saved, in words. */
export const syncWords = ({ waiting, needYou, reach }: SyncState): string => {
  if (needYou > 0) return `${needYou} ${needYou === 1 ? 'needs' : 'need'} you`
  if (waiting === 0) return reach === 'away' ? 'all saved, no signal' : 'all saved'
  if (reach === 'signed-out') return `${waiting} kept here, sign in to send`
  return reach === 'away' ? `${waiting} waiting for signal` : `saved here, sending ${waiting}`
}
