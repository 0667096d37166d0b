import { stepOf, type Program } from '@still-pine/core/program'
import { useEffect } from 'react'
import { toast } from '../ui/toast'
import { useAppDispatch, useAppSelector } from '../app/store'
import { dropped } from './pen-slice'

/** An ask or an accept that runs while a call takes the screen is not timed by anybody: it is dropped, and said so. */
export const useDropWhenAway = (program: Program): void => {
  const dispatch = useAppDispatch()
  const isTimed = useAppSelector(
    ({ pen }) => pen !== null && pen.running !== null && stepOf(program, pen.aim.step)?.kind !== 'hold',
  )
  useEffect(() => {
    if (!isTimed) return
    const drop = (): void => {
      if (document.visibilityState !== 'hidden') return
      dispatch(dropped())
      toast('The screen was away, so that one was not timed. Ask it again.')
    }
    document.addEventListener('visibilitychange', drop)
    return () => document.removeEventListener('visibilitychange', drop)
  }, [dispatch, isTimed])
}
