import {
  ENDING_WORDS,
  count,
  gradeFromPace,
  gradeWord,
  secondsLessLag,
  type Pace,
  type Worst,
} from '@still-pine/core/answer'
import type { Step } from '@still-pine/core/program'
import { useCallback, useEffect, useRef } from 'react'
import { useAppStore } from '../app/store'
import { PaceArc } from '../drawing/pace-arc'
import { HeartLine } from './sensors/heart-line'
import type { PenAnswer } from './pen-slice'
import { useSecondsSince } from './use-clock'
import { usePull } from './sensors/use-gauge'
import type { PenView } from './use-pen'

/** The phase an ask is in. */
const phaseNow = (pace: Pace, seconds: number): string => {
  const grade = gradeFromPace(pace, seconds)
  return grade === 4 ? 'no answer' : pace.phases[grade]!
}

/** The phase that comes next, and when; the arc shows it too. */
const nextPhase = (pace: Pace, seconds: number): string => {
  const grade = gradeFromPace(pace, seconds)
  if (grade === 4) return ''
  const next = grade === 3 ? 'no answer' : pace.phases[grade + 1]
  return ` · ${next} at ${pace.limits[grade]} s`
}

/** Feels the change of phase in the hand. */
const usePhaseBuzz = (pace: Pace, seconds: number | null, on: boolean): void => {
  const phase = seconds === null ? null : gradeFromPace(pace, seconds)
  const last = useRef<number | null>(null)
  useEffect(() => {
    if (on && phase !== null && last.current !== null && phase !== last.current) navigator.vibrate?.(90)
    last.current = phase
  }, [phase, on])
}

interface ClockProps {
  readonly seconds: string
  readonly words: string
  /** Left out where the arc has room for a word or two only. */
  readonly more?: string
}

const Clock = ({ seconds, words, more = '' }: ClockProps) => (
  <div className="pointer-events-none absolute inset-0 flex flex-col items-center justify-center nowhere:hidden flat:flex-row flat:items-center flat:gap-3">
    <span
      className="font-name text-[min(4rem,26cqh)] leading-none font-extrabold flat:text-5xl"
      data-testid="seconds"
    >
      {seconds}
    </span>
    <span className="max-w-[80cqh] text-center flat:max-w-none text-[clamp(1.25rem,8cqh,1.5rem)] leading-tight font-bold text-quiet">
      {words}
      {more && <span className="snug:hidden">{more}</span>}
    </span>
  </div>
)

const AMOUNT_WORDS = { laps: 'lap', steps: 'step', repetitions: 'time', seconds: 'second' } as const

/** What is not told in seconds is counted by the person: the clock only runs. */
const CountedHold = ({ view, seconds }: { view: PenView; seconds: number | null }) => {
  const { measure, amount } = view.amount!
  return (
    <Clock
      seconds={(seconds ?? 0).toFixed(0)}
      words={
        seconds === null || (view.pen.running?.corrections ?? 0) === 0
          ? count(amount, AMOUNT_WORDS[measure])
          : count(view.pen.running!.corrections, 'correction')
      }
    />
  )
}

const HoldGauge = ({ view, seconds }: { view: PenView; seconds: number | null }) => {
  if (view.amount !== null && view.amount.measure !== 'seconds')
    return <CountedHold view={view} seconds={seconds} />
  return <TimedHold view={view} seconds={seconds} />
}

const TimedHold = ({ view, seconds }: { view: PenView; seconds: number | null }) => {
  const left = Math.max(0, view.holdFor - (seconds ?? 0))
  const corrections = view.pen.running?.corrections ?? 0
  return (
    <>
      <svg viewBox="-40 10 440 246" className="h-full w-full flat:hidden" aria-hidden="true">
        <rect x={40} y={210} width={280} height={22} fill="var(--line)" opacity={0.55} />
        <rect x={40} y={210} width={280 * (1 - left / view.holdFor)} height={22} fill="var(--mark-1)" />
      </svg>
      <Clock
        seconds={
          left >= 60
            ? `${Math.floor(left / 60)}:${String(Math.floor(left % 60)).padStart(2, '0')}`
            : left.toFixed(0)
        }
        words={
          seconds === null
            ? `${view.holdFor} s to hold`
            : view.pen.running?.outSince != null
              ? 'the clock stands: put it back'
              : left === 0
                ? 'time is up: done'
                : count(corrections, 'correction')
        }
      />
    </>
  )
}

/** Pressed aids fill the arc one phase each, whatever the clock says. */
const EVEN_LIMITS: Pace['limits'] = [1, 2, 3, 4]

/** What the last answer was, and what is worth saying of it before the next. */
const idleWords = (last: PenAnswer | undefined, kind: Step['kind']): string => {
  if (!last) return 'ready'
  const pull =
    last.peakNewtons === null
      ? ''
      : last.releaseSeconds === null
        ? `, ${last.peakNewtons} N, not let go`
        : `, ${last.peakNewtons} N, let go after ${last.releaseSeconds} s`
  const ending = last.ending === 'left-before' ? `, ${ENDING_WORDS[last.ending]}` : ''
  return `${gradeWord(kind, last.grade)}${ending}${pull}`
}

/** An accept fills the arc by what it did at its worst, not by time. */
const WORST_ARC: Pace = {
  gradedBy: 'phases',
  limits: [1, 2, 3, 4],
  phases: ['at ease', 'tightened', 'moved', 'left'],
}
const WORST_REACH: Record<Worst, number> = { nothing: 1, tightened: 2, moved: 3, left: 4 }

interface Props {
  readonly view: PenView
  readonly pace: Pace
  readonly vibrate: boolean
}

/** The arc of an ask, the settling of an accept, the countdown of a hold. */
export const Gauge = ({ view, pace, vibrate }: Props) => {
  const store = useAppStore()
  const startedAt = view.pen.running?.startedAt ?? null
  const hasEnded = useCallback(
    () => store.getState().pen?.running?.startedAt !== startedAt,
    [store, startedAt],
  )
  const outSince = view.pen.running?.outSince ?? null
  const running = useSecondsSince(outSince === null ? startedAt : null, hasEnded)
  // While it is out of a hold the clock stands.
  const raw = outSince === null || startedAt === null ? running : (outSince - startedAt) / 1000
  const seconds = raw === null ? null : secondsLessLag(raw, view.lagSeconds)
  const { kind } = view.step
  usePhaseBuzz(pace, kind === 'ask' ? seconds : null, vibrate)
  const last = view.answers.at(-1)
  const pull = usePull(startedAt, (startedAt ?? 0) + (raw ?? 0) * 1000)
  const aids = pace.gradedBy === 'phases' ? 0 : (view.pen.running?.aids ?? 0)
  const worst = view.pen.running?.worst
  return (
    <div className="@container-size relative mx-auto h-full min-h-0 w-full max-w-[44rem]">
      <HeartLine />
      {kind === 'hold' ? (
        <HoldGauge view={view} seconds={seconds} />
      ) : kind === 'ask' ? (
        <>
          <PaceArc
            pace={aids > 0 ? { ...pace, limits: EVEN_LIMITS } : pace}
            seconds={seconds !== null && aids > 0 ? Math.min(aids, 3) + 1 : seconds}
            pull={aids > 0 ? [] : pull.samples}
          />
          <Clock
            seconds={seconds === null ? (last?.seconds?.toFixed(1) ?? '–') : seconds.toFixed(1)}
            words={
              seconds === null
                ? idleWords(last, kind)
                : pull.state === 'gone'
                  ? 'the gauge is silent; go on without it'
                  : aids > 0
                    ? `${pace.phases[Math.min(aids, 3)]} given`
                    : phaseNow(pace, seconds)
            }
            more={seconds !== null && aids === 0 && pull.state !== 'gone' ? nextPhase(pace, seconds) : ''}
          />
        </>
      ) : (
        <>
          <PaceArc pace={WORST_ARC} seconds={seconds === null ? null : WORST_REACH[worst ?? 'nothing']} />
          <Clock
            seconds={seconds === null ? (last?.seconds?.toFixed(1) ?? '–') : seconds.toFixed(1)}
            words={
              seconds === null
                ? idleWords(last, kind)
                : worst === 'nothing'
                  ? 'wait for it to settle'
                  : (worst ?? '')
            }
          />
        </>
      )}
    </div>
  )
}
