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
import { holdGrade } from '@still-pine/core/holds'
import type { Running } from './pen-slice'

/** What a running ask, accept or hold comes to. */
export interface Ended {
  readonly grade: Grade
  /** The easier rung that it counts as, where it was cut short. */
  readonly rung?: number
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
  /** Of a hold: how long each rung of its ladder is held, s (nothing where it is no matter of time), and which is asked. */
  readonly hold?: { readonly ladder: readonly (number | null)[]; readonly rung: number }
}

const toTenths = (seconds: number): number => Math.round(seconds * 10) / 10

/** No rung is held for so long. */
const NEVER_SECONDS = Infinity

/**
 * A hold that is ended: one answer at its rung where the time was up, at the hardest easier rung it reached where it was
 * cut short, and none where it reached none.
 */
const endedHold = ({ running, hold }: Course, real: number): Ended | null => {
  const seconds = toTenths(real)
  const asked = hold?.ladder[hold.rung - 1] ?? null
  const plain = { seconds, ending: null, aids: null }
  if (!hold || asked === null)
    return { ...plain, grade: gradeFromCorrections(running.corrections + 2 * running.firm, false) }
  const { grade, rung } = holdGrade({
    ladder: hold.ladder.map((amount) => ({ measure: 'seconds', amount: amount ?? NEVER_SECONDS })),
    rung: hold.rung,
    end: seconds >= asked ? 'full' : 'cut',
    done: seconds,
    light: running.corrections,
    firm: running.firm,
  })
  if (grade === null || rung === null) return null
  return { ...plain, grade: grade as Grade, ...(rung === hold.rung ? {} : { rung }) }
}

/** Ended well, or as well as it went: answered, settled, or the time is up; nothing where it was too short to count. */
export const endedWell = (course: Course): Ended | null => {
  const { kind, pace, running, seconds, lagSeconds } = course
  const real = secondsLessLag(seconds, lagSeconds)
  if (kind === 'accept') {
    const { grade, ending } = acceptedFrom({ worst: running.worst, seconds, tookAway: false }, lagSeconds)
    return { grade, seconds: toTenths(real), ending, aids: null }
  }
  if (kind === 'hold') return endedHold(course, real)
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
