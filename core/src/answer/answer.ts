/** What a step asks of the horse: to do something, to accept something, or to keep something up. */
export type Kind = 'ask' | 'accept' | 'hold'

/** The horse's own left and right; `none` for a step that has no sides. */
export type Side = 'left' | 'right' | 'none'

/** How little it took: 0 is best, 4 is no answer, a fight or leaving. */
export type Grade = 0 | 1 | 2 | 3 | 4

/** How loose it was: 0 loose, 1 watchful, 2 tight. */
export type Calm = 0 | 1 | 2

/** Where the person stood: 1 in front of the face, round to 5 behind the tail. */
export type PlaceByHorse = 1 | 2 | 3 | 4 | 5

/** A calendar day in the yard's time zone, `2026-05-14`. */
export type Day = string

/** One answer of one horse, as the judgement reads it. */
export interface Answer {
  /** The day it counts for. */
  readonly day: Day
  /** 1 is the easiest rung of the step's ladder. */
  readonly rung: number
  readonly grade: Grade
  /** `null` where nobody noted it. */
  readonly calm: Calm | null
  /** Right for the first time and perhaps an accident: counted at half weight. */
  readonly byChance: boolean
  /** Tapped in after the burst: half weight, never a cold pass. */
  readonly recalled: boolean
  /** Offered without being asked: kept, but no evidence. */
  readonly uncued: boolean
  readonly place: PlaceByHorse | null
  /** Whether the horse was moving when it answered. */
  readonly moving: boolean
}

/** Nothing special noted: seen at first hand, asked for, no place, standing. */
export const PLAIN = { byChance: false, recalled: false, uncued: false, place: null, moving: false } as const

export const PLACES: readonly PlaceByHorse[] = [1, 2, 3, 4, 5]

/** An answer that is evidence at half weight. */
export const isHalfWeight = (answer: Answer): boolean => answer.byChance || answer.recalled

/** Light or on the thought: what every "pass" starts from. */
export const isLight = (grade: Grade): boolean => grade <= 1

export const isTight = (calm: Calm | null): boolean => calm === 2

/** Seen and noted at first hand, light and not tight: what proves a place, a movement or a cold ask. */
export const isCleanPass = (answer: Answer): boolean =>
  isLight(answer.grade) && answer.calm !== null && !isTight(answer.calm) && !isHalfWeight(answer)
