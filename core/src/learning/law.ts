import type { Calm } from '../answer'

/** The constants of the one law that predicts what work will do. The product's own judgement. */
export interface LearningLaw {
  /** Most that one ask can teach, when the chance is even: the horse's speed; the standard one is tuned, see decision 0014. */
  readonly speed: number
  /** Each further ask of a burst teaches this share of the one before. */
  readonly tiring: number
  /** A tight answer teaches this share. */
  readonly tightShare: number
  /** Below this chance an ask is too big: it teaches nothing and makes worry. */
  readonly tooBig: number
  readonly worry: number
  /** Share of the speed that a loose or watchful answer adds to the calm. */
  readonly calmShare: number
  /** Share of a day's gain that the night adds. */
  readonly nightShare: number
}

export const STANDARD_LAW: LearningLaw = {
  speed: 0.35,
  tiring: 0.85,
  tightShare: 0.5,
  tooBig: 0.15,
  worry: 0.1,
  calmShare: 1 / 3,
  nightShare: 0.1,
}

/** What the first ask of a burst teaches at a chance of a light answer, as a share of the speed. */
export const unitGain = (law: LearningLaw, chance: number): number =>
  chance < law.tooBig ? 0 : 4 * chance * (1 - chance)

export interface Gain {
  readonly ability: number
  readonly calm: number
}

/**
 * What the k-th ask of a burst (k from 1) teaches, asked where the chance of a light answer was `chance` and
 * answered with this calm: most is learnt where the answer is neither sure nor hopeless.
 */
export const gainOf = (
  law: LearningLaw,
  k: number,
  { chance, calm }: { chance: number; calm: Calm },
): Gain => {
  if (chance < law.tooBig) return { ability: 0, calm: -law.worry }
  const full = law.speed * unitGain(law, chance) * law.tiring ** (k - 1)
  return calm === 2
    ? { ability: full * law.tightShare, calm: 0 }
    : { ability: full, calm: law.speed * law.calmShare }
}
