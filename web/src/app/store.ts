import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector, useStore } from 'react-redux'
import { syncSlice } from '../offline/sync-slice'
import { penSlice } from '../pen/pen-slice'
import { api } from './client'

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, sync: syncSlice.reducer, pen: penSlice.reducer },
  middleware: (defaults) => defaults().concat(api.middleware),
})

setupListeners(store.dispatch)

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppStore = useStore.withTypes<typeof store>()
export const useAppSelector = useSelector.withTypes<RootState>()
