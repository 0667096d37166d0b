import { under } from '../arithmetic'
import type { Rein } from './gaits'

export const STEPS_OF_GAIT = ['stand', 'walk', 'trot', 'canter'] as const
export type Going = (typeof STEPS_OF_GAIT)[number]

export interface Press {
  /** Seconds since the session began. */
  readonly at: number
  readonly key: 'forward' | 'back' | 'side'
}

/** One stretch of one gait on one rein, in the order in which they were gone. */
export interface Stretch {
  readonly rein: Exclude<Rein, 'straight'>
  readonly gait: Going
  readonly seconds: number
}

type Side = Exclude<Rein, 'straight'>
type Seconds = Record<Side, Record<Going, number>>

const STOOD_SECONDS = 2
const SAME_PRESS_SECONDS = 0.3
const LONG_RUN_SECONDS = 900

const nothing = (): Record<Going, number> => ({ stand: 0, walk: 0, trot: 0, canter: 0 })
const other = (rein: Side): Side => (rein === 'left' ? 'right' : 'left')

/** Goes through a session press by press; what it knows at any moment is all that a reload would have to keep. */
class Running {
  readonly seconds: Seconds = { left: nothing(), right: nothing() }
  readonly stretches: Stretch[] = []
  changes = 0
  ups = 0
  downs = 0
  ignored = 0
  longRuns = 0
  private level = 0
  private hasMoved = false
  private last: Press | null = null
  private gaitSince: number
  private stoodSince: number

  constructor(
    public rein: Side,
    private now: number,
  ) {
    this.gaitSince = now
    this.stoodSince = now
  }

  get gait(): Going {
    return STEPS_OF_GAIT[this.level]!
  }

  /** Lets time pass. */
  until(at: number): void {
    const { rein, gait } = this
    this.seconds[rein][gait] += at - this.now
    const last = this.stretches.at(-1)
    const isSame = last?.rein === rein && last.gait === gait
    const seconds = at - this.now + (isSame ? last.seconds : 0)
    this.stretches.splice(isSame ? -1 : this.stretches.length, 1, { rein, gait, seconds })
    this.now = at
  }

  press(press: Press): void {
    this.until(press.at)
    const isSamePress = this.last?.key === press.key && under(press.at - this.last.at, SAME_PRESS_SECONDS)
    if (isSamePress || !this.takes(press)) this.ignored += 1
    else this.last = press
  }

  /** A run that still goes on counts too. */
  end(): void {
    this.closeRun()
  }

  private takes({ at, key }: Press): boolean {
    if (key === 'forward') return this.up(at)
    if (key === 'back' && this.level > 0) return this.down(at)
    const hasWaited = !this.hasMoved || !under(at - this.stoodSince, STOOD_SECONDS)
    if (key === 'back' && !hasWaited) return false
    this.rein = other(this.rein)
    this.changes += 1
    if (this.level === 0) this.stoodSince = at
    return true
  }

  private up(at: number): boolean {
    if (this.level === STEPS_OF_GAIT.length - 1) return false
    this.ups += 1
    this.hasMoved = true
    this.toLevel(this.level + 1, at)
    return true
  }

  private down(at: number): boolean {
    this.downs += 1
    this.toLevel(this.level - 1, at)
    if (this.level === 0) this.stoodSince = at
    return true
  }

  private toLevel(level: number, at: number): void {
    this.closeRun()
    this.level = level
    this.gaitSince = at
  }

  private closeRun(): void {
    const isFast = this.level >= STEPS_OF_GAIT.indexOf('trot')
    if (isFast && this.now - this.gaitSince > LONG_RUN_SECONDS) this.longRuns += 1
  }
}

const ranThrough = (rein: Side, presses: readonly Press[], endAt: number): Running => {
  const running = new Running(rein, presses[0]?.at ?? endAt)
  for (const press of presses) running.press(press)
  running.until(endAt)
  running.end()
  return running
}

/** The same session stretch by stretch, as it was gone. */
export const stretchesOf = (rein: Side, presses: readonly Press[], endAt: number): readonly Stretch[] =>
  ranThrough(rein, presses, endAt).stretches.filter(({ seconds }) => seconds > 0)

/** A session on the lunge from two buttons pressed without a look: seconds of each gait on each rein. */
export const gaitPresses = (rein: Side, presses: readonly Press[], endAt: number) => {
  const running = ranThrough(rein, presses, endAt)
  const { seconds, gait, changes, ups, downs, ignored, longRuns } = running
  return {
    seconds,
    rein: running.rein,
    gait,
    changes,
    ups,
    downs,
    ignored,
    longRuns,
    says: longRuns > 0 ? ('pause-forgotten?' as const) : ('ok' as const),
  }
}
