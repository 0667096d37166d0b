import type { Line, Settings } from '@still-pine/contract'
import { MOST_AIDS, type Calm, type Grade, type Side, type Worst } from '@still-pine/core/answer'
import { pullOf } from '@still-pine/core/feel'
import { markOf, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { toast } from 'sonner'
import { useAppDispatch } from '../app/store'
import { PLAIN_ANSWER } from '../offline/plain-answer'
import { aimAtFeet } from './advice'
import { endedTakenAway, endedWell, endedWithout, type Ended } from './endings'
import { allReadings, samplesSince } from './gauge-feed'
import {
  correctGrade,
  keepAnswer,
  noteCalm,
  notePull,
  setFault,
  setSign,
  setSlip,
  toggleByChance,
  toggleUncued,
  undoLast,
} from './log'
import {
  aimed,
  aidGiven,
  corrected,
  dropped,
  started,
  stoodAt,
  worsened,
  type Aim,
  type Stand,
} from './pen-slice'
import { aimOfBurst, aimOfStep, type PenView } from './use-pen'

/** Presses closer together than this are one press of a cold thumb. */
const BOUNCE_SECONDS = 0.25

/** A release is looked for this long after the try. */
const RELEASE_WITHIN_MS = 2_000

const NEXT_WORST: Record<Worst, Worst> = {
  nothing: 'tightened',
  tightened: 'moved',
  moved: 'left',
  left: 'left',
}

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : side === 'right' ? 'left' : 'none')

let toldOfNoVibration = false

/** Feels in the hand; where the device or its battery saver will not, that is said once. */
const vibrate = (settings: Settings, ms: number): void => {
  if (!settings.vibrate || navigator.vibrate?.(ms) || toldOfNoVibration) return
  toldOfNoVibration = true
  toast('This device does not vibrate now: watch the arc.')
}

export interface PenActions {
  forward(): void
  back(): void
  worse(worst: Worst): void
  /** An accept’s thing was taken away before the horse settled; a hold was left before its time. */
  breakOff(): void
  /** One more aid in a school that counts them, or asked again in one that waits. */
  aid(): void
  calm(calm: Calm): void
  grade(grade: Grade): void
  byChance(): void
  uncued(): void
  fault(words: string): void
  sign(words: string): void
  slip(words: string): void
  /** A mark from memory, on the track now aimed at. */
  recall(grade: Grade): void
  stand(at: Stand): void
  undo(): void
  switchSide(): void
  moveRung(by: number): void
  goToBurst(index: number): void
  goToStep(step: string): void
  /** The light ask after an accept burst. */
  checkFeet(): void
}

interface Parts {
  readonly view: PenView | null
  readonly line: Line | undefined
  readonly program: Program | undefined
  readonly personId: string
  readonly settings: Settings
}

/** All that the two buttons, the keys and the screen can do. */
export const usePenActions = ({ view, line, program, personId, settings }: Parts): PenActions => {
  const dispatch = useAppDispatch()
  return useMemo<PenActions>(() => {
    const aim = view?.pen.aim
    const bursts = view?.pen.bursts ?? []
    const running = view?.pen.running ?? null
    const kind = view?.step.kind
    const since = (): number => (performance.now() - (running?.startedAt ?? 0)) / 1000
    const isBounce = (): boolean => running !== null && since() < BOUNCE_SECONDS

    const readPull = async (answerId: Promise<string>, startedAt: number, tryAt: number): Promise<void> => {
      const id = await answerId.catch(() => null)
      if (id === null) return
      await new Promise((resolve) => setTimeout(resolve, RELEASE_WITHIN_MS))
      const pull = pullOf(samplesSince(allReadings(), startedAt), tryAt)
      if (!pull) return
      const tenths = (n: number): number => Math.round(n * 10) / 10
      await dispatch(
        notePull(personId, id, {
          peakNewtons: tenths(pull.peakNewtons),
          releaseSeconds: pull.releaseSeconds === null ? null : tenths(pull.releaseSeconds),
        }),
      )
    }

    const keep = (ended: Ended): void => {
      if (!view || !running || !aim) return
      const { step, side, rung } = aim
      vibrate(settings, 60)
      const tryAt = Math.max(0, since() - view.lagSeconds)
      const mark = markOf(view.step, rung)
      const answer = { ...PLAIN_ANSWER, step, side, rung: mark, calm: null, ...view.pen.stand, ...ended }
      const kept = dispatch(keepAnswer(personId, answer, true))
      void readPull(kept, running.startedAt, tryAt)
    }

    const course = () => ({
      kind: kind!,
      pace: program!.pace,
      running: running!,
      seconds: since(),
      lagSeconds: view!.lagSeconds,
    })
    const end = (how: (at: ReturnType<typeof course>) => Ended): void => {
      if (view && program && running && !isBounce()) keep(how(course()))
    }
    const take = (change: Partial<Aim>): void => {
      if (aim) dispatch(aimed({ aim: { ...aim, ...change }, now: Date.now() }))
    }
    const jump = (to: Aim | null): void => {
      if (to) dispatch(aimed({ aim: to, now: Date.now() }))
    }
    const isCalmOpen = (): boolean => {
      const until = view?.pen.calmFor?.until
      return until !== undefined && performance.now() < until
    }
    const start = (): void => {
      vibrate(settings, 30)
      dispatch(started(performance.now()))
    }
    const giveAid = (): void => {
      if (!running || isBounce()) return
      vibrate(settings, 30)
      if (program?.pace.gradedBy === 'aids' && running.aids >= MOST_AIDS) end(endedWithout)
      else dispatch(aidGiven())
    }
    const backWhileRunning = (): void => {
      if (isBounce()) return
      if (kind === 'accept') dispatch(worsened(NEXT_WORST[running!.worst]))
      else if (kind === 'hold') dispatch(corrected())
      else if (program?.pace.gradedBy === 'aids') giveAid()
      else end(endedWithout)
    }
    return {
      forward: () => {
        if (running) end(endedWell)
        else if (isCalmOpen()) void dispatch(noteCalm(personId, 0))
        else start()
      },
      back: () => {
        if (running) backWhileRunning()
        else if (isCalmOpen()) void dispatch(noteCalm(personId, 2))
      },
      worse: (worst) => dispatch(worsened(worst)),
      breakOff: () => {
        if (kind === 'accept') end(endedTakenAway)
        else if (kind === 'hold') end(endedWithout)
      },
      aid: () => {
        if (kind === 'ask' && program?.pace.gradedBy !== 'phases') giveAid()
      },
      calm: (calm) => void dispatch(noteCalm(personId, calm)),
      grade: (grade) => void dispatch(correctGrade(personId, grade)),
      byChance: () => void dispatch(toggleByChance(personId)),
      uncued: () => void dispatch(toggleUncued(personId)),
      fault: (words) => void dispatch(setFault(personId, words)),
      sign: (words) => void dispatch(setSign(personId, words)),
      slip: (words) => void dispatch(setSlip(personId, words)),
      recall: (grade) => {
        if (!view || !aim) return
        const { step, side, rung } = aim
        const answer = {
          ...PLAIN_ANSWER,
          step,
          side,
          rung: markOf(view.step, rung),
          grade,
          calm: null,
          recalled: true,
          ...view.pen.stand,
        }
        dispatch(keepAnswer(personId, answer, false)).catch(() => undefined)
      },
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
      checkFeet: () => view && line && jump(aimAtFeet(view, line)),
    }
  }, [dispatch, line, personId, program, settings, view])
}
