import {
  acceptedFrom,
  gradeFromAsk,
  gradeFromCorrections,
  secondsLessLag,
  type Ending,
  type Grade,
  type Kind,
  type Pace,
} from '@still-pine/core/answer'
import type { Running } from './pen-slice'

/** What a running ask, accept or hold comes to. */
export interface Ended {
  readonly grade: Grade
  readonly seconds: number | null
  readonly ending: Ending | null
  readonly aids: number | null
}

export interface Course {
  readonly kind: Kind
  readonly pace: Pace
  readonly running: Running
  /** Seconds on the clock since it began. */
  readonly seconds: number
  readonly lagSeconds: number
}

const toTenths = (seconds: number): number => Math.round(seconds * 10) / 10

/** Ended well, or as well as it went: answered, settled, or the time is up. */
export const endedWell = ({ kind, pace, running, seconds, lagSeconds }: Course): Ended => {
  const real = secondsLessLag(seconds, lagSeconds)
  if (kind === 'accept') {
    const { grade, ending } = acceptedFrom({ worst: running.worst, seconds, tookAway: false }, lagSeconds)
    return { grade, seconds: toTenths(real), ending, aids: null }
  }
  if (kind === 'hold')
    return {
      grade: gradeFromCorrections(running.corrections, false),
      seconds: toTenths(real),
      ending: null,
      aids: null,
    }
  const aids = pace.gradedBy === 'phases' ? null : running.aids
  return { grade: gradeFromAsk(pace, real, running.aids), seconds: toTenths(real), ending: null, aids }
}

/** An ask without an answer, or a hold that was left. */
export const endedWithout = ({ kind, pace, running }: Course): Ended => ({
  grade: 4,
  seconds: null,
  ending: null,
  aids: kind === 'ask' && pace.gradedBy !== 'phases' ? running.aids : null,
})

/** The thing was taken away before the horse settled. */
export const endedTakenAway = ({ running, seconds, lagSeconds }: Course): Ended => {
  const accepted = acceptedFrom({ worst: running.worst, seconds, tookAway: true }, lagSeconds)
  return { ...accepted, seconds: toTenths(accepted.seconds), aids: null }
}
