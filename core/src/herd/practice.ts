import type { Calm, Grade, Pace } from '../answer'
import { calmAtMost, gradeAtMost, STANDARD_MODEL } from '../judgement'
import { gainOf, STANDARD_LAW } from '../learning'
import { drawCalm, drawGrade, drawSeconds, type Draw } from './simulated'

/** The horse of the practice pen: one ask, warm, at its required rung. */
export interface PracticeHorse {
  readonly ability: number
  readonly calm: number
  /** What its ability would be if the rope had always been let go at once. */
  readonly withPromptHands: number
  /** Asks so far. */
  readonly asks: number
}

/** Somewhere between never asked and sure. */
export const NEW_TO_IT: PracticeHorse = { ability: -0.4, calm: 0.6, withPromptHands: -0.4, asks: 0 }

/** Seconds by which a release may follow the try and still count as one moment. */
export const PROMPT_SECONDS = 0.5

/** What is left of a lesson halves with every further half second (our judgement; for practice only). */
const HALVED_BY_SECONDS = 0.5

/** A release this late makes worry besides. */
const WORRIES_AFTER_SECONDS = 3

/** The share of a lesson that a release so long after the try leaves. */
export const lessonKept = (releaseSeconds: number): number =>
  0.5 ** (Math.max(0, releaseSeconds - PROMPT_SECONDS) / HALVED_BY_SECONDS)

/** What it is about to do: its grade, its calm, and when it tries; `null` where it will not. */
export interface Intent {
  readonly grade: Grade
  readonly calm: Calm
  readonly trySeconds: number | null
}

export const intentOf = (horse: PracticeHorse, pace: Pace, draw: Draw): Intent => {
  const grade = drawGrade(horse.ability, 0, draw)
  const calm = drawCalm(horse.calm, 0, draw)
  return { grade, calm, trySeconds: grade === 4 ? null : drawSeconds(pace, grade, draw) }
}

/** Chances that the next ask is answered light: as it is, and as it would be with prompt hands. */
export const lightChances = ({ ability, withPromptHands }: PracticeHorse) => ({
  now: gradeAtMost(STANDARD_MODEL, 1, { ability, hardness: 0 }),
  withPromptHands: gradeAtMost(STANDARD_MODEL, 1, { ability: withPromptHands, hardness: 0 }),
})

export const looseChance = ({ calm }: PracticeHorse): number =>
  calmAtMost(STANDARD_MODEL, 1, { ability: calm, hardness: 0 })

/**
 * The horse after an ask. `releaseSeconds` is from its try to a slack rope; `null` where it was let go before it
 * tried, or never: from that it learns nothing.
 */
export const afterRelease = (
  horse: PracticeHorse,
  intent: Intent,
  releaseSeconds: number | null,
): PracticeHorse => {
  const { now, withPromptHands } = lightChances(horse)
  const taught = gainOf(STANDARD_LAW, 1, { chance: now, calm: intent.calm })
  const prompt = gainOf(STANDARD_LAW, 1, { chance: withPromptHands, calm: intent.calm })
  const kept = releaseSeconds === null || intent.trySeconds === null ? 0 : lessonKept(releaseSeconds)
  const worries = releaseSeconds !== null && releaseSeconds > WORRIES_AFTER_SECONDS
  return {
    ability: horse.ability + kept * taught.ability,
    calm: horse.calm + (worries ? -STANDARD_LAW.worry : kept * taught.calm),
    withPromptHands: horse.withPromptHands + (intent.trySeconds === null ? 0 : prompt.ability),
    asks: horse.asks + 1,
  }
}
