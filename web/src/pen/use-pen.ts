import type { Line, Settings } from '@still-pine/contract'
import {
  adviceFor,
  gradeFromCorrections,
  gradeFromPace,
  gradeFromWorst,
  holdSeconds,
  secondsLessLag,
  type Calm,
  type Grade,
  type Side,
  type Worst,
} from '@still-pine/core/answer'
import { gateChecks, type Burst } from '@still-pine/core/plan'
import { rungName, stepOf, type Program, type Step } from '@still-pine/core/program'
import type { GateVerdict } from '@still-pine/core/readiness'
import { useCallback, useEffect, useMemo } from 'react'
import { useAppDispatch, useAppSelector } from '../app/store'
import {
  correctGrade,
  keepAnswer,
  noteCalm,
  openPen,
  rememberPen,
  setFault,
  setSign,
  toggleByChance,
  undoLast,
} from './log'
import {
  aimed,
  calmClosed,
  corrected,
  dropped,
  penLeft,
  started,
  stoodAt,
  worsened,
  type Aim,
  type PenAnswer,
  type PenState,
  type Run,
  type Stand,
} from './pen-slice'

/** Presses closer together than this are one press of a cold thumb. */
const BOUNCE_SECONDS = 0.25

const NEXT_WORST: Record<Worst, Worst> = {
  nothing: 'tightened',
  tightened: 'moved',
  moved: 'left',
  left: 'left',
}

const monotonicSeconds = (since: number): number => (performance.now() - since) / 1000

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : side === 'right' ? 'left' : 'none')

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
}

export interface PenActions {
  forward(): void
  back(): void
  worse(worst: Worst): void
  calm(calm: Calm): void
  grade(grade: Grade): void
  byChance(): void
  fault(words: string): void
  sign(words: string): void
  stand(at: Stand): void
  undo(): void
  switchSide(): void
  moveRung(by: number): void
  goToBurst(index: number): void
  goToStep(step: string): void
}

/** What the pen shows, or nothing while it opens. */
export const usePenView = (program: Program | undefined, settings: Settings): PenView | null => {
  const pen = useAppSelector((state) => state.pen)
  return useMemo(() => {
    const step = pen && program ? stepOf(program, pen.aim.step) : undefined
    if (!pen || !step) return null
    const words = rungName(step, pen.aim.rung)
    return {
      pen,
      step,
      rungWords: words,
      answers: pen.answers.filter((answer) => answer.step === step.key),
      lagSeconds: settings.pressLagSeconds,
      holdFor: holdSeconds(words),
    }
  }, [pen, program, settings.pressLagSeconds])
}

/** What is run in the pen: the checks of a gate where one is asked for, and otherwise the day's plan. */
const runOf = (line: Line, program: Program, gateKey: string | null): Run => {
  const gate = line.gates.find(({ gate }) => gate === gateKey)
  return gate
    ? { gate: gate.gate, bursts: gateChecks(program, gate as GateVerdict) }
    : { gate: null, bursts: line.plan.bursts }
}

/** Opens the pen of a horse and remembers every change of it on this device. */
export const useOpenPen = (
  line: Line | undefined,
  program: Program | undefined,
  wanted: { readonly step: string | null; readonly gate: string | null },
): void => {
  const dispatch = useAppDispatch()
  const pen = useAppSelector((state) => state.pen)
  const horseId = line?.horse.id
  const { step, gate } = wanted
  const isOpen = pen?.horseId === horseId && pen?.day === line?.day && pen?.gate === gate
  useEffect(() => {
    if (!line || !program || isOpen) return
    const run = runOf(line, program, gate)
    const [first] = line.tracks
    const aim =
      (step ? aimOfStep(line, run.bursts, step) : null) ??
      aimOfBurst(run.bursts, 0) ??
      aimOfStep(line, run.bursts, first!.step)!
    void dispatch(openPen(line.horse.id, line.day, aim, run)).then(() => {
      if (step) dispatch(aimed({ aim, now: Date.now() }))
    })
  }, [dispatch, line, program, isOpen, step, gate])
  useEffect(() => {
    if (pen) void rememberPen(pen)
  }, [pen])
  useEffect(() => () => void dispatch(penLeft()), [dispatch])
}

const useAnswering = (view: PenView | null, program: Program | undefined, personId: string) => {
  const dispatch = useAppDispatch()
  return useCallback(
    (grade: Grade, seconds: number | null) => {
      if (!view || !program) return
      const { step, side, rung } = view.pen.aim
      const answer = {
        step,
        side,
        rung,
        grade,
        calm: null,
        byChance: false,
        recalled: false,
        seconds,
        fault: null,
        sign: null,
        ...view.pen.stand,
      }
      void dispatch(keepAnswer(personId, answer, true))
    },
    [dispatch, view, program, personId],
  )
}

/** What a running ask, accept or hold comes to when the forward button ends it. */
const endedWith = (view: PenView, program: Program): { grade: Grade; seconds: number } => {
  const { running } = view.pen
  const seconds = secondsLessLag(monotonicSeconds(running!.startedAt), view.lagSeconds)
  const rounded = Math.round(seconds * 10) / 10
  if (view.step.kind === 'ask') return { grade: gradeFromPace(program.pace, seconds), seconds: rounded }
  if (view.step.kind === 'accept') return { grade: gradeFromWorst(running!.worst, seconds), seconds: rounded }
  return { grade: gradeFromCorrections(running!.corrections, false), seconds: rounded }
}

const vibrate = (settings: Settings, ms: number): void => {
  if (settings.vibrate) navigator.vibrate?.(ms)
}

/** All that the two buttons, the keys and the screen can do. */
export const usePenActions = (
  view: PenView | null,
  line: Line | undefined,
  program: Program | undefined,
  personId: string,
  settings: Settings,
): PenActions => {
  const dispatch = useAppDispatch()
  const answer = useAnswering(view, program, personId)
  return useMemo<PenActions>(() => {
    const aim = view?.pen.aim
    const bursts = view?.pen.bursts ?? []
    const running = view?.pen.running
    const take = (change: Partial<Aim>): void => {
      if (aim) dispatch(aimed({ aim: { ...aim, ...change }, now: Date.now() }))
    }
    const jump = (to: Aim | null): void => {
      if (to) dispatch(aimed({ aim: to, now: Date.now() }))
    }
    const start = (): void => {
      vibrate(settings, 30)
      dispatch(started(performance.now()))
    }
    const finish = (): void => {
      if (!view || !running || !program || monotonicSeconds(running.startedAt) < BOUNCE_SECONDS) return
      const { grade, seconds } = endedWith(view, program)
      vibrate(settings, 60)
      answer(grade, seconds)
    }
    const refuse = (): void => {
      if (!running || monotonicSeconds(running.startedAt) < BOUNCE_SECONDS) return
      vibrate(settings, 60)
      answer(4, null)
    }
    return {
      forward: () => {
        if (running) finish()
        else if (view?.pen.calmFor && Date.now() < view.pen.calmFor.until)
          void dispatch(noteCalm(personId, 0))
        else start()
      },
      back: () => {
        if (running && view?.step.kind === 'ask') refuse()
        else if (running && view?.step.kind === 'accept') dispatch(worsened(NEXT_WORST[running.worst]))
        else if (running) dispatch(corrected())
        else if (view?.pen.calmFor && Date.now() < view.pen.calmFor.until)
          void dispatch(noteCalm(personId, 2))
      },
      worse: (worst) => {
        if (view?.step.kind === 'hold') refuse()
        else dispatch(worsened(worst))
      },
      calm: (calm) => void dispatch(noteCalm(personId, calm)),
      grade: (grade) => void dispatch(correctGrade(personId, grade)),
      byChance: () => void dispatch(toggleByChance(personId)),
      fault: (words) => void dispatch(setFault(personId, words)),
      sign: (words) => void dispatch(setSign(personId, words)),
      stand: (at) => dispatch(stoodAt(at)),
      undo: () => {
        if (running) dispatch(dropped())
        else void dispatch(undoLast(personId))
      },
      switchSide: () => {
        if (!aim) return
        const side = otherSide(aim.side)
        const part = aim.burst === null ? undefined : bursts[aim.burst]?.sides.find((s) => s.side === side)
        take({ side, rung: part?.rung ?? aim.rung })
      },
      moveRung: (by) => {
        if (!aim || !view) return
        take({ rung: Math.min(view.step.rungs.length, Math.max(1, aim.rung + by)) })
      },
      goToBurst: (index) => jump(aimOfBurst(bursts, index)),
      goToStep: (step) => line && jump(aimOfStep(line, bursts, step)),
    }
  }, [answer, dispatch, line, personId, program, settings, view])
}

/** Closes the count of three after an answer. */
export const useCalmWindow = (view: PenView | null): void => {
  const dispatch = useAppDispatch()
  const until = view?.pen.calmFor?.until
  useEffect(() => {
    if (until === undefined) return
    const timer = setTimeout(() => dispatch(calmClosed()), Math.max(0, until - Date.now()))
    return () => clearTimeout(timer)
  }, [dispatch, until])
}

/** Advice on the track now asked. */
export const penAdvice = (view: PenView, nowMs: number) =>
  adviceFor(
    view.answers.filter(({ side, recalled }) => side === view.pen.aim.side && !recalled),
    Math.max(0, (nowMs - view.pen.burstStartedAt) / 1000),
  )
