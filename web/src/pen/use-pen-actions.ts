import type { Line, Settings } from '@still-pine/contract'
import { gradeWord, MOST_AIDS, type Calm, type Grade, type Side, type Worst } from '@still-pine/core/answer'
import { pullOf } from '@still-pine/core/feel'
import { pullLimit } from '@still-pine/core/sensors'
import { markOf, rungName, stepOf, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { toast } from '../ui/toast'
import { useAppStore } from '../app/store'
import { INCIDENT_WORDS } from '../shared/incident-words'
import { PLAIN_ANSWER } from '@still-pine/device'
import { aimAtFeet } from './advice'
import { endedTakenAway, endedWell, endedWithout, type Course, type Ended } from './endings'
import { allReadings, samplesSince } from './sensors/gauge-feed'
import {
  correctGrade,
  saveAnswer,
  noteCalm,
  notePull,
  noteSensed,
  rememberPen,
  setFault,
  setSign,
  setSlip,
  toggleByChance,
  toggleUncued,
  undoDanger,
  undoLast,
  undoMark,
} from './log'
import {
  aimed,
  aidGiven,
  corrected,
  dropped,
  putBack,
  started,
  steppedOut,
  stoodAt,
  unfinishedTold,
  worsened,
  type Aim,
  type Marked,
  type Running,
  type Stand,
} from './pen-slice'
import { pressGuard } from './press-guard'
import { RELEASE_WITHIN_MS, settleWatch, watch } from './sensors/witness'
import { againstIn, mayStart, offersIn } from './use-offers'
import { aimOfBurst, aimOfStep, secondsOfRungs, viewOf, type PenView } from './use-pen'

const NEXT_WORST: Record<Worst, Worst> = {
  nothing: 'tightened',
  tightened: 'moved',
  moved: 'left',
  left: 'left',
}

const otherSide = (side: Side): Side => (side === 'left' ? 'right' : side === 'right' ? 'left' : 'none')

const MARK_WORDS: Readonly<Record<keyof Marked, string>> = {
  grade: 'the correction of the grade',
  calm: 'how it felt',
  byChance: 'by chance',
  uncued: 'did it unasked',
  fault: 'what went wrong',
  sign: 'the danger sign',
  slip: 'the slip',
}

/** "what went wrong": what a mark was about. */
const markWords = (was: Marked): string =>
  (Object.keys(was) as (keyof Marked)[]).map((key) => MARK_WORDS[key]).join(', ')

let toldOfNoVibration = false

/** Feels in the hand; where the device or its battery saver will not, that is said once. */
const vibrate = (settings: Settings, ms: number): void => {
  if (!settings.vibrate || navigator.vibrate?.(ms) || toldOfNoVibration) return
  toldOfNoVibration = true
  toast('This device does not vibrate now: watch the arc.')
}

export interface PenActions {
  forward(): void
  /** The forward button held down. */
  heldForward(): void
  back(): void
  worse(worst: Worst): void
  /** An accept’s thing was taken away before the horse settled; a hold was left before its time. */
  breakOff(): void
  /** It stepped out of a hold, or is put back into it. */
  stepOut(): void
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
  /** What became of the ask that ran when the person left; `null` where it was not asked. */
  tellUnfinished(grade: Grade | null): void
  /** Ends what runs without an answer: something else came between. */
  interrupt(): void
  switchSide(): void
  moveRung(by: number): void
  toRung(rung: number): void
  goToBurst(index: number): void
  goToStep(step: string): void
  /** The light ask after an accept burst. */
  checkFeet(): void
}

interface Parts {
  readonly line: Line
  readonly program: Program
  readonly personId: string
  readonly settings: Settings
}

const secondsOf = ({ startedAt, outSince }: Running): number =>
  ((outSince ?? performance.now()) - startedAt) / 1000

/** All that the two buttons, the keys and the screen can do: to the pen as it is at the press, drawn yet or not. */
export const usePenActions = ({ line, program, personId, settings }: Parts): PenActions => {
  const store = useAppStore()
  return useMemo<PenActions>(() => {
    const { dispatch } = store
    const { pace } = program
    const isSamePress = pressGuard()
    const look = (): PenView | null => viewOf(store.getState().pen, program, settings.pressLagSeconds)
    /** Does something to the pen, where it is open. */
    const atPenWith =
      <With>(act: (view: PenView, said: With) => void): ((said: With) => void) =>
      (said) => {
        const view = look()
        if (view) act(view, said)
      }
    const atPen = (act: (view: PenView) => void): (() => void) => atPenWith<void>(act)
    /** The same, once for a button that a glove touches twice. */
    const once = (button: string, act: (view: PenView) => void): (() => void) => {
      const press = atPen(act)
      return () => {
        if (!isSamePress(button, performance.now())) press()
      }
    }

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

    /** The strap and the gauge are heard on after an ask; what they say lies beside its mark. */
    const listenOn = (step: string, startedAt: number): void => {
      const at = store.getState().pen?.answers.at(-1)?.at
      if (at === undefined) return
      watch({
        startedAt,
        endedAt: performance.now(),
        limitNewtons: pullLimit(program, step),
        tell: (said) => void dispatch(noteSensed(personId, at, said)).catch(() => undefined),
      })
    }

    const answerOf = ({ pen, step }: PenView) => ({
      ...PLAIN_ANSWER,
      ...againstIn(line, program, pen),
      step: pen.aim.step,
      side: pen.aim.side,
      rung: markOf(step, pen.aim.rung),
      calm: null,
      ...pen.stand,
    })
    /** Ends what runs; what ends sooner than this person can see and press was not an answer. */
    const end = (view: PenView, how: (course: Course) => Ended | null): void => {
      const { running } = view.pen
      if (!running) return
      const { lagSeconds } = view
      const seconds = secondsOf(running)
      if (seconds < lagSeconds) return
      vibrate(settings, 60)
      const { step, pen } = view
      const hold = { ladder: secondsOfRungs(step), rung: pen.aim.rung }
      const ended = how({ kind: step.kind, pace, running, seconds, lagSeconds, hold })
      if (ended === null) {
        dispatch(dropped())
        toast(`Too short to count: ${Math.floor(seconds)} of ${view.holdFor} s.`)
        return
      }
      const { rung = pen.aim.rung, ...told } = ended
      if (rung !== pen.aim.rung) toast(`Cut short: it counts as rung ${rung}, ${rungName(step, rung)}.`)
      const kept = dispatch(
        saveAnswer(personId, { ...answerOf(view), ...told, rung: markOf(step, rung) }, true),
      )
      listenOn(step.key, running.startedAt)
      void readPull(kept, running.startedAt, Math.max(0, seconds - lagSeconds))
    }
    /** A mark from memory: it counts half, and never as a first ask of the day. */
    const recall = (view: PenView, grade: Grade): void =>
      void dispatch(saveAnswer(personId, { ...answerOf(view), grade, recalled: true }, false)).catch(
        () => undefined,
      )
    const tellUnfinished = (view: PenView, grade: Grade | null): void => {
      const { unfinished } = view.pen
      if (!unfinished) return
      dispatch(unfinishedTold())
      // At once: it must not be asked again, and logged twice, where the page goes in this moment.
      void rememberPen({ ...view.pen, unfinished: null })
      if (grade === null) return
      const asked = viewOf({ ...view.pen, aim: unfinished }, program, settings.pressLagSeconds)
      if (asked) recall(asked, grade)
    }
    const take = ({ pen }: PenView, change: Partial<Aim>): void =>
      void dispatch(aimed({ aim: { ...pen.aim, ...change }, now: Date.now() }))
    const jump = (to: Aim | null): void => {
      if (to) dispatch(aimed({ aim: to, now: Date.now() }))
    }
    const isCalmOpen = ({ pen }: PenView): boolean =>
      pen.calmFor !== null && performance.now() < pen.calmFor.until
    const start = (): void => {
      const { pen } = store.getState()
      // What is not to be asked is not begun, whichever button or remote was pressed.
      if (!pen || pen.unfinished || !mayStart(line, program, pen)) return vibrate(settings, 200)
      settleWatch()
      vibrate(settings, 30)
      dispatch(started(performance.now()))
    }
    const giveAid = (view: PenView): void => {
      const { running } = view.pen
      if (!running) return
      vibrate(settings, 30)
      if (pace.gradedBy === 'aids' && running.aids >= MOST_AIDS) end(view, endedWithout)
      else dispatch(aidGiven())
    }
    const backWhileRunning = (view: PenView, running: Running): void => {
      if (view.step.kind === 'accept') dispatch(worsened(NEXT_WORST[running.worst]))
      else if (view.step.kind === 'hold') dispatch(corrected())
      else if (pace.gradedBy === 'aids') giveAid(view)
      else end(view, endedWithout)
    }
    /** A rung bigger or smaller, no further than is permitted. */
    const rungAfter = ({ pen }: PenView, by: number): number => {
      const { bigger, smaller } = offersIn(line, program, pen)
      return (by > 0 ? bigger : smaller) ?? pen.aim.rung
    }
    const switchSide = (view: PenView): void => {
      const { aim, bursts } = view.pen
      const side = otherSide(aim.side)
      const part = aim.burst === null ? undefined : bursts[aim.burst]?.sides.find((s) => s.side === side)
      take(view, { side, rung: part?.rung ?? aim.rung })
    }
    return {
      forward: once('forward', (view) => {
        if (view.pen.running) end(view, endedWell)
        else if (isCalmOpen(view)) void dispatch(noteCalm(personId, 0))
        else start()
      }),
      heldForward: atPen((view) => {
        if (view.pen.running) switchSide(view)
      }),
      back: once('back', (view) => {
        if (view.pen.running) backWhileRunning(view, view.pen.running)
        else if (isCalmOpen(view)) void dispatch(noteCalm(personId, 2))
      }),
      worse: (worst) => dispatch(worsened(worst)),
      breakOff: once('breakOff', (view) => {
        if (view.step.kind === 'accept') end(view, endedTakenAway)
        else if (view.step.kind === 'hold') end(view, endedWithout)
      }),
      stepOut: once('stepOut', ({ pen, step }) => {
        if (!pen.running || step.kind !== 'hold') return
        const now = performance.now()
        dispatch(pen.running.outSince === null ? steppedOut(now) : putBack(now))
      }),
      aid: once('aid', (view) => {
        if (view.step.kind === 'ask' && pace.gradedBy !== 'phases') giveAid(view)
      }),
      calm: (calm) => void dispatch(noteCalm(personId, calm)),
      grade: atPenWith((view, grade: Grade) => {
        if (view.pen.unfinished) tellUnfinished(view, grade)
        else void dispatch(correctGrade(personId, grade))
      }),
      byChance: () => void dispatch(toggleByChance(personId)),
      uncued: () => void dispatch(toggleUncued(personId)),
      fault: (words) => void dispatch(setFault(personId, words)),
      sign: (words) => void dispatch(setSign(personId, words)),
      slip: (words) => void dispatch(setSlip(personId, words)),
      recall: atPenWith(recall),
      stand: (at) => dispatch(stoodAt(at)),
      undo: once('undo', ({ pen, step }) => {
        if (pen.running) {
          dispatch(dropped())
          toast(`Undone: the ask of ${step.name.toLowerCase()} that ran.`)
          return
        }
        const last = pen.answers.at(-1)
        const danger = pen.incidents.at(-1)
        const done = pen.mark?.at ?? last?.at ?? ''
        if (danger && danger.at > done) {
          void dispatch(undoDanger(personId, danger.id))
          toast(`Undone: the ${INCIDENT_WORDS[danger.incident.kind].toLowerCase()} that was recorded.`)
        } else if (last && pen.mark) {
          void dispatch(undoMark(personId, pen.mark.was))
          toast(`Undone: ${markWords(pen.mark.was)}. The answer stays.`)
        } else if (last) {
          void dispatch(undoLast(personId))
          const asked = stepOf(program, last.step)
          toast(
            `Undone: ${gradeWord(asked?.kind ?? 'ask', last.grade)}, ${(asked?.name ?? last.step).toLowerCase()}.`,
          )
        } else toast('Nothing to undo in this pen.')
      }),
      tellUnfinished: atPenWith(tellUnfinished),
      interrupt: atPen(({ pen, step }) => {
        if (!pen.running) return
        dispatch(dropped())
        toast(`Interrupted: the ask of ${step.name.toLowerCase()} that ran does not count.`)
      }),
      switchSide: atPen(switchSide),
      moveRung: atPenWith((view, by) => take(view, { rung: rungAfter(view, by) })),
      toRung: atPenWith((view, rung) => take(view, { rung })),
      goToBurst: atPenWith(({ pen }, index) => jump(aimOfBurst(pen.bursts, index))),
      goToStep: atPenWith(({ pen }, step) => jump(aimOfStep(line, pen.bursts, step))),
      checkFeet: atPen((view) => jump(aimAtFeet(view, line))),
    }
  }, [store, line, personId, program, settings])
}
