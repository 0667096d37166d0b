import type { Line } from '@still-pine/contract'
import { NO_WISHES, type SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { useEffect, useMemo, useState } from 'react'
import { compose, warmUp } from '../../threads/composer'
import { arrangedFor, AS_PLANNED, isTouched, keepArranged, plannedFor, type Arrangement } from './arrangement'
import { useSuits } from './use-suits'

export interface ArrangedPlan {
  readonly plan: SessionPlan
  readonly arrangement: Arrangement
  readonly change: (patch: Partial<Arrangement>) => void
  /** What the person's own wishes cost against the plan without them; `null` while there are none. */
  readonly cost: number | null
  readonly isBusy: boolean
}

/** Today's plan around what the person has said of it: made on a worker, kept on this device for the pen. */
export const useArrangedPlan = (line: Line, program: Program, where: string | null): ArrangedPlan => {
  const { id, programId } = line.horse
  const [arrangement, setArrangement] = useState(() => arrangedFor(id, line.day, programId))
  const [made, setMade] = useState<{ of: unknown; plan: SessionPlan; cost: number | null } | null>(null)
  const suits = useSuits(where)
  const { loadDays } = line
  const { minutes, said, wishes } = arrangement
  const { helper, weather } = plannedFor({ said })
  const wanted = useMemo(
    () => ({ outlook: { minutes, helper, weather, suits, loadDays }, wishes }),
    [minutes, helper, weather, suits, loadDays, wishes],
  )
  // The Line brings the plan of an ordinary day along.
  const isOrdinary = !isTouched(arrangement) && suits === null
  useEffect(() => {
    let isWanted = true
    if (isOrdinary) {
      keepArranged(id, line.day, programId, { ...AS_PLANNED, said })
      void warmUp(program, line)
      return
    }
    const hasWishes = wishes.pinned.length + wishes.without.length > 0
    void Promise.all([
      compose(program, line, wanted),
      hasWishes ? compose(program, line, { ...wanted, wishes: NO_WISHES }) : null,
    ]).then(([plan, free]) => {
      if (!isWanted) return
      const cost = free ? Math.max(0, 1 - plan.worth / Math.max(free.worth, 1e-9)) : null
      setMade({ of: wanted, plan, cost })
      keepArranged(id, line.day, programId, { minutes, said, wishes, bursts: plan.bursts })
    })
    return () => void (isWanted = false)
  }, [isOrdinary, program, line, wanted, minutes, said, wishes, id, programId])
  const change = (patch: Partial<Arrangement>): void => setArrangement((before) => ({ ...before, ...patch }))
  return {
    plan: isOrdinary || !made ? line.plan : made.plan,
    arrangement,
    change,
    cost: isOrdinary ? null : (made?.cost ?? null),
    isBusy: !isOrdinary && made?.of !== wanted,
  }
}
