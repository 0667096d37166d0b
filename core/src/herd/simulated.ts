import { daysBetween, type Calm, type Day, type Grade, type Pace, type Side } from '../answer'
import { calmAtMost, difficulty, gradeAtMost, keptShare, priorMeanWith, STANDARD_MODEL } from '../belief'
import { gainOf, type LearningLaw } from '../learning'
import { sidesOf, stepOf, type Program, type Step } from '../program'
import { trackKey, type TrackKey } from '../readiness'

/** A source of draws from [0, 1), passed in: core has no chance of its own. */
export type Draw = () => number

interface SimulatedTrack {
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
  /** Added to the model's prior means on every track. */
  readonly ability: number
  readonly calm: number
  /** How much less it can on its stiffer side. */
  readonly stiffer: { readonly side: Side; readonly by: number }
  /** How much less it can at single steps, by their keys. */
  readonly troubles?: Readonly<Record<string, number>>
}

/** A made-up horse that learns by the law and answers by the model's own response form. */
export interface SimulatedHorse {
  readonly nature: Nature
  readonly program: Program
  readonly tracks: ReadonlyMap<TrackKey, SimulatedTrack>
}

export const newcomer = (program: Program, nature: Nature): SimulatedHorse => ({
  nature,
  program,
  tracks: new Map(),
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
  const stiff = horse.nature.stiffer.side === side ? horse.nature.stiffer.by : 0
  return {
    ability:
      priorMeanWith(STANDARD_MODEL, sources) +
      horse.nature.ability -
      stiff -
      (horse.nature.troubles?.[step.key] ?? 0),
    calm: STANDARD_MODEL.priorCalm.mean + horse.nature.calm,
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
  const { priorAbility, priorCalm } = STANDARD_MODEL
  const share = keptShare(STANDARD_MODEL, daysBetween(track.lastDay, day), track.daysWorked)
  const worn = (value: number, prior: number): number => prior + (value - prior) * share
  return {
    ...track,
    ability: worn(track.ability + law.nightShare * track.gainToday, priorAbility.mean),
    calm: worn(track.calm, priorCalm.mean),
    lastDay: day,
    daysWorked: track.daysWorked + 1,
    gainToday: 0,
    asksInBurst: 0,
  }
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

/** Time to settle: log-normal by grade (Box and Muller 1958 for the normal draw). */
export const drawSettleSeconds = (grade: Grade, draw: Draw): number => {
  const normal = Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw())
  return Math.round(SETTLE_MEDIAN[grade] * Math.exp(SETTLE_SPREAD * normal) * 10) / 10
}

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
  horse: SimulatedHorse,
  ask: { step: Step; side: Side; rung: number; day: Day; opensBurst: boolean },
  draw: Draw,
): { horse: SimulatedHorse; answer: SimulatedAnswer } => {
  const { step, side, rung, day } = ask
  const { law } = horse.nature
  const key = trackKey(step.key, side)
  const before = horse.tracks.get(key) ?? startOf(horse, step, side)
  const cold = before.lastDay !== day
  const today = cold ? wokenOn(before, law, day) : before
  const hardness = difficulty(STANDARD_MODEL, rung, { requiredRung: step.requiredRung, cold })
  const grade = drawGrade(today.ability, hardness, draw)
  const calm = drawCalm(today.calm, hardness, draw)
  const k = ask.opensBurst ? 1 : today.asksInBurst + 1
  const gain = gainOf(law, k, {
    chance: gradeAtMost(STANDARD_MODEL, 1, { ability: today.ability, hardness }),
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
