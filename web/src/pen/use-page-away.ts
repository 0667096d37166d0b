import { stepOf, type Program } from '@still-pine/core/program'
import { useEffect } from 'react'
import { useAppDispatch, useAppSelector } from '../app/store'
import { leftInIt } from './pen-slice'

/** An ask or an accept that runs while a call takes the screen is timed by nobody: its person says what became of it. */
export const useLeftWhenAway = (program: Program): void => {
  const dispatch = useAppDispatch()
  const isTimed = useAppSelector(
    ({ pen }) => pen !== null && pen.running !== null && stepOf(program, pen.aim.step)?.kind !== 'hold',
  )
  useEffect(() => {
    if (!isTimed) return
    const leave = (): void => {
      if (document.visibilityState === 'hidden') dispatch(leftInIt())
    }
    document.addEventListener('visibilitychange', leave)
    return () => document.removeEventListener('visibilitychange', leave)
  }, [dispatch, isTimed])
}
