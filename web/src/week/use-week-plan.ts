import type { HorseInWeek, PlannedVisit, PlannedWeek, ReplyOf, WeekPin } from '@still-pine/contract'
import { greedyWeek, reasonsOf, type WeekAsked } from '@still-pine/core/week'
import {
  beyondPlanning,
  decidingIn,
  isBehind,
  plannedFrom,
  plannedVisit,
  weekAskedFrom,
  type Deciding,
} from '@still-pine/use-cases/week-asked'
import { useEffect, useRef, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { api, problemOf, useCommand, wordsFor } from '../app/client'
import { useAppDispatch } from '../app/store'
import { solveWeek, type Solve } from '../threads/week'
import { toast } from '../ui/toast'
import { movedVisits } from './moves'

type Week = ReplyOf<'plannedWeek'>

/** A plan as it stands on the screen. */
export type Shown = Pick<PlannedWeek, 'visits' | 'pins' | 'wishes' | 'conditions' | 'told'>

/** What is going on: horses are looked at, or a better week is looked for. */
export type Busy =
  | { readonly does: 'looking'; readonly done: number; readonly of: number }
  | { readonly does: 'solving' }
  | null

export interface WeekPlanning {
  readonly shown: Shown | null
  readonly busy: Busy
  /** Visits that the last change moved besides its own. */
  readonly moved: readonly string[]
  readonly canUndo: boolean
  /** Plans the whole week. */
  readonly make: () => Promise<void>
  /** Changes what must be, and plans the rest around it. */
  readonly change: (
    change: Partial<Pick<Shown, 'visits' | 'pins' | 'wishes' | 'conditions'>>,
  ) => Promise<void>
  /** Stops looking: what is shown stays. */
  readonly stop: () => void
  readonly undo: () => Promise<void>
}

const STILL_LOOKING: PlannedWeek['told'] = {
  objective: 0,
  bound: null,
  status: 'at once',
  words: 'Not yet known how good this is; still looking.',
  lacking: [],
  clashes: [],
}

const WITHOUT_SOLVER: PlannedWeek['told'] = {
  ...STILL_LOOKING,
  words: 'Planned at once, without looking for a better week: how good it is nobody knows.',
}

/** The plan of a week: made, changed by hand and solved anew around it, kept, and undone step by step. */
export const useWeekPlan = (week: Week): WeekPlanning => {
  const dispatch = useAppDispatch()
  const [put] = useCommand('putPlannedWeek')
  const [working, setWorking] = useState<Shown | null>(null)
  const [busy, setBusy] = useState<Busy>(null)
  const [moved, setMoved] = useState<readonly string[]>([])
  const [history, setHistory] = useState<readonly Shown[]>([])
  const horses = useRef<{ on: string; all: readonly HorseInWeek[] } | null>(null)
  const running = useRef<Solve | null>(null)
  const version = useRef(week.planned?.version ?? 0)
  const from = plannedFrom(week)
  const shown: Shown | null = working ?? week.planned

  useEffect(() => {
    version.current = Math.max(version.current, week.planned?.version ?? 0)
  }, [week.planned?.version])
  useEffect(() => () => running.current?.stop(), [])

  /** Each horse by itself: a composer's morning for each of its uses. */
  const lookAtHorses = async (): Promise<readonly HorseInWeek[]> => {
    if (horses.current?.on === from) return horses.current.all
    const all: HorseInWeek[] = []
    for (const [i, { id }] of week.horses.entries()) {
      setBusy({ does: 'looking', done: i, of: week.horses.length })
      const asked = dispatch(
        api.endpoints.horseInWeek.initiate({ horseId: id, on: from }, { forceRefetch: true }),
      )
      all.push((await asked.unwrap()) as HorseInWeek)
      asked.unsubscribe()
    }
    horses.current = { on: from, all }
    return all
  }

  const keep = async (next: Shown): Promise<void> => {
    const { visits, pins, wishes, conditions, told } = next
    const body = { visits, pins, wishes, conditions, told, version: version.current }
    const { error, data } = await put({ firstDay: week.firstDay, body })
    if (!error) {
      version.current = data.version
      return
    }
    if (problemOf(error)?.type === 'stale') {
      version.current = problemOf(error)?.currentVersion ?? version.current
      toast.error('Somebody changed this week meanwhile: theirs is shown. Yours is one undo away.')
      setHistory((before) => [...before, next])
      setWorking(null)
      void dispatch(
        api.endpoints.plannedWeek.initiate(
          { firstDay: week.firstDay },
          { forceRefetch: true, subscribe: false },
        ),
      )
    } else toast.error(`Not kept: ${wordsFor(error)}`)
  }

  const toShown = (
    asked: WeekAsked,
    visits: Parameters<typeof plannedVisit>[1][],
    { deciding, told }: { deciding: Deciding; told: PlannedWeek['told'] },
  ): Shown => {
    const known = shown?.visits ?? []
    const past = known.filter((visit) => isBehind(week, visit))
    return {
      visits: [...past, ...visits.map((visit) => plannedVisit(asked, visit, { known, newId: uuid }))],
      pins: deciding.pins as WeekPin[],
      wishes: deciding.wishes as Shown['wishes'],
      conditions: deciding.conditions as Shown['conditions'],
      told,
    }
  }

  const solveAround = async (deciding: Deciding, before: Shown | null): Promise<void> => {
    running.current?.stop()
    try {
      const all = await lookAtHorses()
      const asked = weekAskedFrom(week, all, deciding)
      if (before === null || deciding.previous.length === 0) {
        const quick = greedyWeek(asked)
        const visits = quick.map((visit) => ({ ...visit, reasons: reasonsOf(asked, visit, quick) }))
        setWorking(toShown(asked, visits, { deciding, told: STILL_LOOKING }))
      }
      setBusy({ does: 'solving' })
      const solve = solveWeek(asked)
      running.current = solve
      const { visits, objective, bound, status, words, lacking, clashes } = await solve.done
      const told = {
        objective,
        bound,
        status,
        words,
        lacking: [...lacking, ...beyondPlanning(all, asked)],
        clashes: [...clashes],
      }
      const next = toShown(asked, [...visits], { deciding, told })
      setWorking(next)
      setMoved(before ? movedVisits(before.visits, next.visits) : [])
      await keep(next)
    } catch (error) {
      if ((error as Error).message === 'Stopped.') return
      // Without a solver what was planned at once stays, and that is said.
      setWorking((now) => (now === null ? now : { ...now, told: WITHOUT_SOLVER }))
      toast.error(
        `No better week was looked for: ${problemOf(error) ? wordsFor(error) : (error as Error).message}`,
      )
    } finally {
      running.current = null
      setBusy(null)
    }
  }

  const remember = (): void => {
    if (shown) setHistory((before) => [...before, shown])
  }

  return {
    shown,
    busy,
    moved,
    canUndo: history.length > 0,
    make: async () => {
      remember()
      horses.current = null
      await solveAround(
        decidingIn({ ...week, planned: shown ? { ...shown, version: 0, byName: '-', at: '' } : null }),
        shown,
      )
    },
    change: async (change) => {
      remember()
      const next = { ...shown!, ...change }
      setWorking(next)
      setMoved([])
      const { pins, wishes, conditions, visits } = next
      await solveAround(
        { pins: pins.filter(({ day }) => day >= from), wishes, conditions, previous: visits },
        shown,
      )
    },
    stop: () => {
      running.current?.stop()
      if (working)
        void keep({ ...working, told: working.told.bound === null ? WITHOUT_SOLVER : working.told })
    },
    undo: async () => {
      const last = history.at(-1)
      if (!last) return
      running.current?.stop()
      setHistory(history.slice(0, -1))
      setWorking(last)
      setMoved([])
      await keep(last)
    },
  }
}

export type { PlannedVisit }
