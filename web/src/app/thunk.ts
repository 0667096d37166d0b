import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit'
import type { PenState } from '../pen/pen-slice'

/** The part of the store that thunks of the pen read. */
interface PenRoot {
  readonly pen: PenState | null
}

export type AppThunk<Result> = ThunkAction<Result, PenRoot, unknown, UnknownAction>
