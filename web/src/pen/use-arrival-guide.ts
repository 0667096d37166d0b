import { arrivalCheck, type ArrivalCheck } from '@still-pine/core/arrival'
import type { Line } from '@still-pine/contract'
import { onLadders, type Program } from '@still-pine/core/program'
import { useEffect, useMemo } from 'react'
import { useAppDispatch } from '../app/store'
import { permitHorse } from '../shared/permit-horse'
import { aimed } from './pen-slice'
import type { PenView } from './use-pen'

/** The key that a pen is opened with to run an arrival check. */
export const ARRIVAL = 'arrival'

/** While an arrival check runs: aims at each next ask as soon as the one before it is settled. */
export const useArrivalGuide = (view: PenView, line: Line, program: Program): ArrivalCheck | null => {
  const dispatch = useAppDispatch()
  const { pen } = view
  const isOn = pen.gate === ARRIVAL
  const check = useMemo(() => {
    if (!isOn) return null
    const answers = pen.answers.filter(({ uncued }) => !uncued)
    const horse = { ...permitHorse(line, program), handled: true }
    return arrivalCheck(horse, onLadders(program, answers), pen.day)
  }, [isOn, pen.answers, pen.day, line, program])
  const next = check?.next ?? null
  const { aim } = pen
  // The calm of the last answer is still to be told, or an ask runs: the aim stays.
  const isBusy = pen.running !== null || pen.calmFor !== null
  const isThere = next !== null && aim.step === next.step && aim.side === next.side && aim.rung === next.rung
  useEffect(() => {
    if (next === null || isBusy || isThere) return
    const { step, side, rung } = next
    dispatch((dispatch, getState) => {
      // The next ask may have begun since this was drawn.
      if (getState().pen?.running === null)
        dispatch(aimed({ aim: { burst: null, step, side, rung }, now: Date.now() }))
    })
  }, [dispatch, next, isBusy, isThere])
  return check
}
