import type { Line } from '@still-pine/contract'
import { holdSeconds } from '@still-pine/core/answer'
import { gateChecks, type Burst } from '@still-pine/core/plan'
import {
  amountIn,
  rungName,
  stepOf,
  type Program,
  type RungAmount,
  type Step,
} from '@still-pine/core/program'
import type { GateVerdict } from '@still-pine/core/readiness'
import { useEffect, useMemo } from 'react'
import { toast } from '../ui/toast'
import { arrangementOf } from '../shared/arrangement'
import { permitHorse } from '../shared/permit-horse'
import { useAppDispatch, useAppSelector, useAppStore } from '../app/store'
import { isPenOf, openPen, rememberPenSoon } from './log'
import { aimed, calmClosed, penLeft, type Aim, type PenAnswer, type PenState, type Run } from './pen-slice'

type Bursts = readonly Burst[]

/** The aim of one burst: its first side, at the rung it opens at. */
export const aimOfBurst = (bursts: Bursts, index: number): Aim | null => {
  const burst = bursts[index]
  if (!burst) return null
  const side = burst.sides.find((part) => part.side === burst.firstSide) ?? burst.sides[0]!
  return { burst: index, step: burst.step, side: side.side, rung: side.rung }
}

/** The aim of any step chosen by hand, at the rung its worse side opens at. */
export const aimOfStep = (line: Line, bursts: Bursts, step: string): Aim | null => {
  const index = bursts.findIndex((burst) => burst.step === step)
  if (index >= 0) return aimOfBurst(bursts, index)
  const [track] = line.tracks.filter((t) => t.step === step).sort((a, b) => a.view.chance - b.view.chance)
  return track ? { burst: null, step, side: track.side, rung: track.view.openAt } : null
}

export interface PenView {
  readonly pen: PenState
  readonly step: Step
  readonly rungWords: string
  /** This burst's answers on the step, both sides, oldest first. */
  readonly answers: readonly PenAnswer[]
  readonly lagSeconds: number
  readonly holdFor: number
  /** How much the rung asks for; nothing where it is no matter of how much. */
  readonly amount: RungAmount | null
}

/** How long each rung of a step is held, s; nothing where that is not told in seconds. */
export const secondsOfRungs = (step: Step): readonly (number | null)[] =>
  step.rungs.map((_, i) => {
    const amount = amountIn(step.does?.[i])
    return amount?.measure === 'seconds' ? amount.amount : null
  })

/** What the pen shows, or nothing while it opens. */
export const viewOf = (
  pen: PenState | null,
  program: Program | undefined,
  lagSeconds: number,
): PenView | null => {
  const step = pen && program ? stepOf(program, pen.aim.step) : undefined
  if (!pen || !step) return null
  const words = rungName(step, pen.aim.rung)
  return {
    pen,
    step,
    rungWords: words,
    answers: pen.answers.filter((answer) => answer.step === step.key),
    lagSeconds,
    holdFor: secondsOfRungs(step)[pen.aim.rung - 1] ?? holdSeconds(words),
    amount: amountIn(step.does?.[pen.aim.rung - 1]),
  }
}

/** Drawn anew with every press. */
export const usePenView = (program: Program | undefined, lagSeconds: number): PenView | null => {
  const pen = useAppSelector((state) => state.pen)
  return useMemo(() => viewOf(pen, program, lagSeconds), [pen, program, lagSeconds])
}

/** What was asked for when the pen was opened. */
export interface Wanted {
  readonly step: string | null
  /** The key of a gate, or of the page whose asks are run. */
  readonly gate: string | null
  /** The asks of that page. */
  readonly bursts?: Bursts | undefined
}

/** What is run in the pen: the asks of a sheet, the checks of a gate, and otherwise the day's plan. */
const runOf = (line: Line, program: Program, { gate: gateKey, bursts }: Wanted): Run => {
  const { said, bursts: arranged } = arrangementOf(line)
  if (bursts && bursts.length > 0) return { gate: gateKey, bursts, said }
  const gate = line.gates.find(({ gate }) => gate === gateKey)
  return gate
    ? { gate: gate.gate, bursts: gateChecks(permitHorse(line, program), gate as GateVerdict, line.day), said }
    : { gate: null, bursts: arranged ?? (line.plan.bursts as Bursts), said }
}

const isOf = (pen: PenState | null, line: Line): pen is PenState => pen?.horseId === line.horse.id

/** Opens the pen of a horse and remembers every change of it on this device. */
export const useOpenPen = (
  line: Line | undefined,
  program: Program | undefined,
  { wanted, personId }: { wanted: Wanted; personId: string | undefined },
): void => {
  const dispatch = useAppDispatch()
  const store = useAppStore()
  const { step, gate, bursts } = wanted
  const mustOpen = useAppSelector(
    ({ pen }) =>
      line !== undefined &&
      program !== undefined &&
      !(pen !== null && isPenOf(pen, line.horse, { day: line.day, gate })) &&
      // An ask that runs is ended first, unless its step has gone with the old school.
      !(isOf(pen, line) && pen.running !== null && stepOf(program, pen.aim.step) !== undefined),
  )
  useEffect(() => {
    if (!line || !program || !mustOpen) return
    const { pen } = store.getState()
    const run = runOf(line, program, { step, gate, bursts })
    const [first] = line.tracks
    const aim =
      (step ? aimOfStep(line, run.bursts, step) : null) ??
      aimOfBurst(run.bursts, 0) ??
      aimOfStep(line, run.bursts, first!.step)!
    if (isOf(pen, line) && pen.programId !== line.horse.programId)
      toast(
        `${line.horse.name} is worked by ${program.name} now. What was answered is kept; the plan is new.`,
      )
    if (personId === undefined) return
    void dispatch(openPen(personId, line.horse, { day: line.day, aim, run })).then((isNew) => {
      if (isNew && step) dispatch(aimed({ aim, now: Date.now() }))
    })
  }, [dispatch, store, personId, line, program, mustOpen, step, gate, bursts])
  useEffect(() => {
    let last = store.getState().pen
    return store.subscribe(() => {
      const { pen } = store.getState()
      if (pen !== null && pen !== last) rememberPenSoon(pen)
      last = pen
    })
  }, [store])
  useEffect(() => () => void dispatch(penLeft()), [dispatch])
}

/** Closes the count of three after an answer. */
export const useCalmWindow = (): void => {
  const dispatch = useAppDispatch()
  const until = useAppSelector(({ pen }) => pen?.calmFor?.until)
  useEffect(() => {
    if (until === undefined) return
    const timer = setTimeout(() => dispatch(calmClosed()), Math.max(0, until - performance.now()))
    return () => clearTimeout(timer)
  }, [dispatch, until])
}
