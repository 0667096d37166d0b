import { daysBetween, type Calm, type Day, type Grade, type Pace, type Side } from '../answer'
import { calmAtMost, difficulty, gradeAtMost, retention, startMeanWith, STANDARD_MODEL } from '../judgement'
import { gainOf, type LearningLaw } from '../learning'
import { sidesOf, stepOf, type Program, type Step } from '../program'
import { trackKey, type TrackKey } from '../readiness'

/** A source of draws from [0, 1), passed in: core has no chance of its own. */
export type Draw = () => number

interface SimulatedTrack {
  /** Where it started, and what rest wears it back to. */
  readonly start: { readonly ability: number; readonly calm: number }
  readonly ability: number
  readonly calm: number
  readonly lastDay: Day | null
  readonly daysWorked: number
  /** What today's work has added so far; the night adds a share of it. */
  readonly gainToday: number
  readonly asksInBurst: number
}

/** How one made-up horse comes to the yard. */
export interface Nature {
  readonly law: LearningLaw
  /** Its talent and its ease: added to where any track starts. */
  readonly ability: number
  readonly calm: number
  /** How much less it can on its stiffer side. */
  readonly stiffer: { readonly side: Side; readonly by: number }
  /** How much less it can at single steps, by their keys. */
  readonly troubles?: Readonly<Record<string, number>>
  /** How it differs from day to day; a horse without it is the same every day. */
  readonly unsteady?: Unsteady
}

export interface Unsteady {
  /** A day's form, on all its tracks: the standard deviation of what it adds to the ability. */
  readonly form: number
  /** The share of its days on which something has undone it: back to its start on a third of its tracks. */
  readonly setBacks: number
}

/** A made-up horse that learns by the law and answers by the model's own response form. */
export interface SimulatedHorse {
  readonly nature: Nature
  readonly program: Program
  readonly tracks: ReadonlyMap<TrackKey, SimulatedTrack>
  /** The day it was asked last, and its form on that day. */
  readonly today: { readonly day: Day; readonly form: number } | null
}

export const newcomer = (program: Program, nature: Nature): SimulatedHorse => ({
  nature,
  program,
  tracks: new Map(),
  today: null,
})

const startOf = (horse: SimulatedHorse, step: Step, side: Side): SimulatedTrack => {
  const sources = horse.program.carryOver
    .filter(({ to }) => to === step.key)
    .flatMap(({ from, share }) => {
      const source = stepOf(horse.program, from)
      const sides = source?.sided && step.sided ? [side] : source ? sidesOf(source) : []
      return sides
        .map((s) => horse.tracks.get(trackKey(from, s)))
        .filter((track) => track !== undefined)
        .map((track) => ({ share: share / sides.length, mean: track!.ability }))
    })
  const { stiffer, troubles, ability, calm } = horse.nature
  const stiff = stiffer.side === side ? stiffer.by : 0
  const any = startMeanWith(STANDARD_MODEL.priorAbility.mean + ability, sources)
  const start = {
    ability: any - stiff - (troubles?.[step.key] ?? 0),
    calm: STANDARD_MODEL.priorCalm.mean + calm,
  }
  return {
    start,
    ...start,
    lastDay: null,
    daysWorked: 0,
    gainToday: 0,
    asksInBurst: 0,
  }
}

/** The same horse after something changed it as a whole: worked dull, sent home tight, grown up. */
export const changedBy = (horse: SimulatedHorse, by: { ability: number; calm: number }): SimulatedHorse => ({
  ...horse,
  tracks: new Map(
    [...horse.tracks].map(([key, track]) => [
      key,
      { ...track, ability: track.ability + by.ability, calm: track.calm + by.calm },
    ]),
  ),
})

/** Overnight learning and the wear of rest up to a new day. */
const wokenOn = (track: SimulatedTrack, law: LearningLaw, day: Day): SimulatedTrack => {
  if (track.lastDay === null) return { ...track, daysWorked: 1, lastDay: day }
  const share = retention(STANDARD_MODEL, daysBetween(track.lastDay, day), track.daysWorked)
  const worn = (value: number, start: number): number => start + (value - start) * share
  return {
    ...track,
    ability: worn(track.ability + law.nightShare * track.gainToday, track.start.ability),
    calm: worn(track.calm, track.start.calm),
    lastDay: day,
    daysWorked: track.daysWorked + 1,
    gainToday: 0,
    asksInBurst: 0,
  }
}

/** A standard normal draw (Box and Muller 1958). */
export const drawNormal = (draw: Draw): number =>
  Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw())

const SET_BACK_TRACKS = 1 / 3

/** The horse on the morning of a day: its form, and now and then what the night has undone. */
const risenOn = (horse: SimulatedHorse, day: Day, draw: Draw): SimulatedHorse => {
  if (horse.today?.day === day) return horse
  const { unsteady } = horse.nature
  if (!unsteady) return { ...horse, today: { day, form: 0 } }
  const today = { day, form: unsteady.form * drawNormal(draw) }
  if (draw() >= unsteady.setBacks) return { ...horse, today }
  const tracks = [...horse.tracks].map(
    ([key, track]) => [key, draw() < SET_BACK_TRACKS ? { ...track, ...track.start } : track] as const,
  )
  return { ...horse, today, tracks: new Map(tracks) }
}

/** A grade drawn at an ability. */
export const drawGrade = (ability: number, hardness: number, draw: Draw): Grade => {
  const u = draw()
  return ([0, 1, 2, 3] as const).find((k) => u < gradeAtMost(STANDARD_MODEL, k, { ability, hardness })) ?? 4
}

/** A calm drawn at an ability for it. */
export const drawCalm = (calm: number, hardness: number, draw: Draw): Calm => {
  const u = draw()
  return ([0, 1] as const).find((k) => u < calmAtMost(STANDARD_MODEL, k, { ability: calm, hardness })) ?? 2
}

/** Seconds to an answer of this grade: anywhere in the grade's window of the school's pace. */
export const drawSeconds = (pace: Pace, grade: Grade, draw: Draw): number => {
  const from = grade === 0 ? 0.3 : pace.limits[grade - 1]!
  const to = grade === 4 ? pace.limits[3] : pace.limits[grade]!
  // To the tenth that is shown, and never down on to the border of the phase before.
  const seconds = Math.round((from + (to - from) * draw()) * 10) / 10
  return Math.min(to, Math.max(from + 0.1, seconds))
}

/** Median seconds to settle after an accept of each grade, and the spread of its logarithm. */
const SETTLE_MEDIAN = [1.5, 4, 8, 15, 30] as const
const SETTLE_SPREAD = 0.4

/** Time to settle: log-normal by grade. */
export const drawSettleSeconds = (grade: Grade, draw: Draw): number =>
  Math.round(SETTLE_MEDIAN[grade] * Math.exp(SETTLE_SPREAD * drawNormal(draw)) * 10) / 10

export interface SimulatedAnswer {
  readonly grade: Grade
  readonly calm: Calm
  readonly seconds: number
}

/** What a made-up horse truly can on a day, before anything is asked: a track nobody has worked has its start. */
export const trueStanding = (
  horse: SimulatedHorse,
  step: Step,
  { side, day }: { side: Side; day: Day },
): { readonly ability: number; readonly calm: number } => {
  const track = horse.tracks.get(trackKey(step.key, side)) ?? startOf(horse, step, side)
  return wokenOn(track, horse.nature.law, day)
}

/** Asks once; gives the answer and the horse as it is after it. `opensBurst` starts a new burst on the track. */
export const askSimulated = (
  sleeper: SimulatedHorse,
  ask: { step: Step; side: Side; rung: number; day: Day; opensBurst: boolean },
  draw: Draw,
): { horse: SimulatedHorse; answer: SimulatedAnswer } => {
  const horse = risenOn(sleeper, ask.day, draw)
  const { step, side, rung, day } = ask
  const { law } = horse.nature
  const key = trackKey(step.key, side)
  const before = horse.tracks.get(key) ?? startOf(horse, step, side)
  const cold = before.lastDay !== day
  const today = cold ? wokenOn(before, law, day) : before
  const hardness = difficulty(STANDARD_MODEL, rung, { requiredRung: step.requiredRung, cold })
  const ability = today.ability + horse.today!.form
  const grade = drawGrade(ability, hardness, draw)
  const calm = drawCalm(today.calm, hardness, draw)
  const k = ask.opensBurst ? 1 : today.asksInBurst + 1
  const gain = gainOf(law, k, {
    chance: gradeAtMost(STANDARD_MODEL, 1, { ability, hardness }),
    calm,
  })
  const after: SimulatedTrack = {
    ...today,
    ability: today.ability + gain.ability,
    calm: today.calm + gain.calm,
    gainToday: today.gainToday + gain.ability,
    asksInBurst: k,
  }
  const seconds =
    step.kind === 'ask' ? drawSeconds(horse.program.pace, grade, draw) : drawSettleSeconds(grade, draw)
  return {
    horse: { ...horse, tracks: new Map(horse.tracks).set(key, after) },
    answer: { grade, calm, seconds },
  }
}
