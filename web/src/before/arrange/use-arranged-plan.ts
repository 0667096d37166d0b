import type { Line } from '@still-pine/contract'
import { NO_WISHES, type SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react'
import { compose, warmUp } from '../../threads/composer'
import { useAppDispatch } from '../../app/store'
import {
  arrangementOf,
  asSaved,
  AS_PLANNED,
  isSame,
  isTouched,
  plannedFor,
  type Arrangement,
} from '../../shared/arrangement'
import { saveArranged } from './save-arranged'
import { useSuits } from '../../shared/use-suits'

export interface ArrangedPlan {
  readonly plan: SessionPlan
  readonly arrangement: Arrangement
  readonly change: (patch: Partial<Arrangement>) => void
  /** What the person's own wishes cost against the plan without them; `null` while there are none. */
  readonly cost: number | null
  readonly isBusy: boolean
}

/** Today's plan around what the person has said of it: made on a worker, saved for the pen. */
export const useArrangedPlan = (line: Line, program: Program, where: string | null): ArrangedPlan => {
  const dispatch = useAppDispatch()
  const [arrangement, setArrangement] = useState(() => arrangementOf(line))
  // What is saved already is not saved again: a page that is only looked at says nothing.
  const saved = useRef(arrangement)
  /** The words that were said here, or were taken up already: they may come late, and again. */
  const heard = useRef(new Set([line.arranged?.id]))
  const [made, setMade] = useState<{ of: unknown; plan: SessionPlan; cost: number | null } | null>(null)
  const suits = useSuits(where)
  const { tracks, facts, day } = line
  const planned = useMemo(() => ({ tracks, facts, day }), [tracks, facts, day])
  const { loadDays } = line
  const { minutes, said, wishes } = arrangement
  const { helper, weather } = plannedFor({ said })
  const wanted = useMemo(
    () => ({ outlook: { minutes, helper, weather, suits, loadDays }, wishes }),
    [minutes, helper, weather, suits, loadDays, wishes],
  )
  // The Line brings the plan of an ordinary day along.
  const isOrdinary = !isTouched(arrangement) && suits === null
  const save = useEffectEvent((next: Arrangement): void => {
    if (isSame(saved.current, next)) return
    saved.current = next
    heard.current.add(dispatch(saveArranged(line, next)))
  })
  const { arranged, horse } = line
  useEffect(() => {
    if (arranged?.programId !== horse.programId || heard.current.has(arranged.id)) return
    // Arranged elsewhere meanwhile: what was said last holds.
    heard.current.add(arranged.id)
    saved.current = arranged as Arrangement
    setArrangement(arranged as Arrangement)
  }, [arranged, horse.programId])
  useEffect(() => {
    let isWanted = true
    if (isOrdinary) {
      save({ ...AS_PLANNED, said })
      void warmUp(program, planned)
      return
    }
    const hasWishes = wishes.pinned.length + wishes.without.length > 0
    void Promise.all([
      compose(program, planned, { asked: wanted }),
      hasWishes ? compose(program, planned, { asked: { ...wanted, wishes: NO_WISHES } }) : null,
    ]).then(([plan, free]) => {
      if (!isWanted) return
      const cost = free ? Math.max(0, 1 - plan.worth / Math.max(free.worth, 1e-9)) : null
      setMade({ of: wanted, plan, cost })
      save({ minutes, said, wishes, bursts: plan.bursts })
    })
    return () => void (isWanted = false)
  }, [isOrdinary, program, planned, wanted, minutes, said, wishes])
  const change = (patch: Partial<Arrangement>): void => setArrangement((before) => ({ ...before, ...patch }))
  return {
    plan: isOrdinary ? line.plan : (made?.plan ?? asSaved(line.plan, arrangement)),
    arrangement,
    change,
    cost: isOrdinary ? null : (made?.cost ?? null),
    isBusy: !isOrdinary && made?.of !== wanted,
  }
}
