import type { Program } from '@still-pine/core/program'
import type { GateDay } from '@still-pine/core/school-edit'
import { useEffect, useState } from 'react'
import { runCalendar } from '../../../threads/calendar'

/** How far a made-up horse is followed: a year of three days a week. */
export const MOST_WORK_DAYS = 150

export interface Calendar {
  readonly program: Program
  /** `null` while it is worked. */
  readonly gates: readonly GateDay[] | null
  readonly day: number
}

/** A calendar never changes for a school as it stands: kept while the page is open. */
const known = new WeakMap<Program, readonly GateDay[]>()

/** Works a made-up horse through a school, away from the page; a newer school ends the older run. */
export const useCalendar = (program: Program): Calendar => {
  const [calendar, setCalendar] = useState<Calendar>({ program, gates: known.get(program) ?? null, day: 0 })
  useEffect(() => {
    const ready = known.get(program)
    if (ready) return setCalendar({ program, gates: ready, day: 0 })
    setCalendar({ program, gates: null, day: 0 })
    const run = runCalendar(program, MOST_WORK_DAYS, (day) => setCalendar((now) => ({ ...now, day })))
    let isWanted = true
    run.done.then(
      (gates) => {
        known.set(program, gates)
        if (isWanted) setCalendar({ program, gates, day: 0 })
      },
      () => undefined,
    )
    return () => {
      isWanted = false
      run.stop()
    }
  }, [program])
  return calendar
}
