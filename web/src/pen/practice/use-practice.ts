import type { Settings } from '@still-pine/contract'
import { gradeFromAsk, MOST_AIDS, secondsLessLag, type Grade } from '@still-pine/core/answer'
import { pullOf } from '@still-pine/core/feel'
import { afterRelease, intentOf, NEW_TO_IT, type Intent, type PracticeHorse } from '@still-pine/core/herd'
import type { Program } from '@still-pine/core/program'
import { useCallback, useEffect, useRef, useState } from 'react'
import { allReadings, gaugeState, samplesSince } from '../sensors/gauge-feed'

/** One ask in the practice pen, as it went. */
export interface Practised {
  readonly id: string
  readonly intent: Intent
  /** As the product graded it from the presses. */
  readonly grade: Grade
  readonly seconds: number | null
  /** From the try to the slack rope; `null` where it was let go before the try, or there was none. */
  readonly releaseSeconds: number | null
  readonly peakNewtons: number | null
}

interface Running {
  readonly startedAt: number
  readonly intent: Intent
  readonly aids: number
}

export interface Practice {
  readonly horse: PracticeHorse
  readonly running: Running | null
  readonly last: Practised | null
  readonly done: readonly Practised[]
  /** The horse shows its try. */
  readonly tries: boolean
  forward(): void
  back(): void
  begin(): void
}

const BOUNCE_SECONDS = 0.25

/** How long a gauge is waited for after the answer was pressed. */
const RELEASE_WITHIN_MS = 1_500

/** A simulated horse under the same two buttons: the screen shows when it tries, and you let go. */
export const usePractice = (program: Program, settings: Settings): Practice => {
  const [horse, setHorse] = useState(NEW_TO_IT)
  const [running, setRunning] = useState<Running | null>(null)
  const [done, setDone] = useState<readonly Practised[]>([])
  const [tries, setTries] = useState(false)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])

  const start = useCallback(() => {
    const intent = intentOf(horse, program.pace, Math.random)
    setTries(false)
    setRunning({ startedAt: performance.now(), intent, aids: 0 })
    clearTimeout(timer.current)
    if (intent.trySeconds !== null) timer.current = setTimeout(() => setTries(true), intent.trySeconds * 1000)
  }, [horse, program.pace])

  const end = useCallback(
    (answered: boolean) => {
      if (!running) return
      const seconds = (performance.now() - running.startedAt) / 1000
      if (seconds < BOUNCE_SECONDS) return
      clearTimeout(timer.current)
      const { intent, startedAt } = running
      const pressed = intent.trySeconds === null ? null : seconds - intent.trySeconds
      const real = secondsLessLag(seconds, settings.pressLagSeconds)
      setRunning(null)
      setTries(false)
      const settle = (releaseSeconds: number | null, peakNewtons: number | null): void => {
        setHorse((before) => afterRelease(before, intent, releaseSeconds))
        setDone((list) => [
          ...list,
          {
            id: String(startedAt),
            intent,
            grade: answered ? gradeFromAsk(program.pace, real, running.aids) : 4,
            seconds: answered ? real : null,
            releaseSeconds,
            peakNewtons,
          },
        ])
      }
      const byHand = pressed !== null && pressed >= 0 ? pressed : null
      if (gaugeState(performance.now()) !== 'reading') return settle(byHand, null)
      // The gauge knows better than the thumb when the rope was slack.
      timer.current = setTimeout(() => {
        const pull = pullOf(samplesSince(allReadings(), startedAt), intent.trySeconds ?? seconds)
        settle(byHand === null ? null : (pull?.releaseSeconds ?? null), pull?.peakNewtons ?? null)
      }, RELEASE_WITHIN_MS)
    },
    [program.pace, running, settings.pressLagSeconds],
  )

  const back = useCallback(() => {
    if (!running) return
    if (program.pace.gradedBy === 'aids' && running.aids < MOST_AIDS)
      setRunning({ ...running, aids: running.aids + 1 })
    else end(false)
  }, [end, program.pace.gradedBy, running])

  return {
    horse,
    running,
    done,
    last: done.at(-1) ?? null,
    tries,
    forward: running ? () => end(true) : start,
    back,
    begin: () => {
      setHorse(NEW_TO_IT)
      setDone([])
      setRunning(null)
    },
  }
}
