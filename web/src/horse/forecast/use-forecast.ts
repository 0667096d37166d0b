import type { EvidenceAnswer, Line, Worked } from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import { loadDaysOf } from '@still-pine/core/counters'
import { holdOn } from '@still-pine/core/facts'
import {
  forecastFrom,
  pathOf,
  type DrawnFuture,
  type Forecast,
  type HorseBelieved,
  type WorkPlan,
} from '@still-pine/core/forecast'
import type { Program } from '@still-pine/core/program'
import { useEffect, useRef, useState } from 'react'
import { askOfHorse, drawFutures, type AskedOfHorse, type Drawing } from '../../threads/forecast'

const DRAWS = 200
const HORIZON_DAYS = 180
const WEEK_DAYS = 7

export interface Question {
  readonly gate: string
  readonly by: Day | null
  readonly plan: WorkPlan
}

export interface WhatIf {
  readonly id: string
  readonly words: string
  readonly plan: Partial<WorkPlan>
}

interface Of {
  readonly line: Line
  readonly program: Program
  readonly answers: readonly EvidenceAnswer[]
  readonly worked: readonly Worked[]
}

/** What is asked of a horse, from what is known of it beside its answers. */
const askedOf = ({ line, program, worked }: Of, { gate, by, plan }: Question): AskedOfHorse => {
  const { day, facts, horse } = line
  const hold = holdOn(facts, day)
  const isHeld = hold?.leaves === 'nothing'
  return {
    gate,
    from: day,
    horizonDays: HORIZON_DAYS,
    draws: DRAWS,
    seed: 1,
    born: horse.born,
    by,
    block: 'start',
    heldWithoutEnd: isHeld && hold.until === null,
    loadDays: loadDaysOf(
      program,
      worked.filter((row) => row.day > addDays(day, -WEEK_DAYS) && row.day < day),
    ),
    plan: {
      ...plan,
      off: [...plan.off, ...(isHeld && hold.until !== null ? [{ from: day, until: hold.until }] : [])],
    },
    whatIfs: [],
  }
}

export type State =
  | { readonly is: 'asked'; readonly draws: number; readonly of: number }
  | { readonly is: 'refused'; readonly words: string }
  | { readonly is: 'failed' }
  | null

export interface Forecasting {
  readonly state: State
  readonly horizonDays: number
  readonly question: Question | null
  readonly draws: readonly DrawnFuture[]
  readonly told: Forecast | null
  readonly isDone: boolean
  readonly ifs: ReadonlyMap<string, readonly DrawnFuture[] | string>
  readonly ask: (question: Question) => Promise<void>
  readonly askIf: (whatIf: WhatIf) => Promise<void>
}

/** A forecast of one horse, that grows as its futures are drawn. */
export const useForecast = (of: Of): Forecasting => {
  const [state, setState] = useState<State>(null)
  const [question, setQuestion] = useState<Question | null>(null)
  const [draws, setDraws] = useState<readonly DrawnFuture[]>([])
  const [ifs, setIfs] = useState<Forecasting['ifs']>(new Map())
  const [believed, setBelieved] = useState<HorseBelieved | null>(null)
  const running = useRef<Drawing | null>(null)
  useEffect(() => () => running.current?.stop(), [])
  const asked = question && believed ? { ...askedOf(of, question), ...believed, program: of.program } : null
  const whatIfs = [...ifs].map(([id, made]) => ({ id, draws: made }))
  const told =
    asked && draws.length > 0
      ? forecastFrom(
          asked,
          { path: pathOf(asked), draws },
          whatIfs.filter(({ draws: made }) => typeof made === 'string' || made.length === draws.length),
        )
      : null

  const run = async (plan: Partial<WorkPlan>, heard: (made: readonly DrawnFuture[] | string) => void) => {
    running.current?.stop()
    const drawing = drawFutures({ plan, draws: DRAWS, heard })
    running.current = drawing
    await drawing.done.catch(() => setState({ is: 'failed' }))
  }

  return {
    state,
    horizonDays: HORIZON_DAYS,
    question,
    draws,
    told,
    isDone: draws.length === DRAWS,
    ifs,
    ask: async (next) => {
      running.current?.stop()
      setQuestion(next)
      setDraws([])
      setIfs(new Map())
      setState({ is: 'asked', draws: 0, of: DRAWS })
      // What a block or a rule refuses is said before anything is drawn.
      const off = of.line.facts.offWork
      if (off) return setState({ is: 'refused', words: off })
      try {
        setBelieved(await askOfHorse(of.program, of.answers, askedOf(of, next)))
      } catch {
        return setState({ is: 'failed' })
      }
      await run({}, (made) => {
        if (typeof made === 'string') return setState({ is: 'refused', words: made })
        setDraws(made)
        setState(made.length === DRAWS ? null : { is: 'asked', draws: made.length, of: DRAWS })
      })
    },
    askIf: async ({ id, plan }) => {
      setState({ is: 'asked', draws: 0, of: DRAWS })
      await run(plan, (made) => {
        setIfs((before) => new Map(before).set(id, made))
        const isOver = typeof made === 'string' || made.length === DRAWS
        setState(isOver ? null : { is: 'asked', draws: made.length, of: DRAWS })
      })
    },
  }
}
