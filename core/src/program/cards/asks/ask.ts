import type { SchoolKey } from '../../schools/school'

/** How a step is asked: what everybody does, and what each school does its own way. */
export interface HowToAsk {
  /** Where you stand and what you do, in any school. */
  readonly how: string
  /** The school's own way; empty where the step is not on its path. */
  readonly bySchool: Readonly<Record<SchoolKey, string>>
}

/** What all do, then Feet First, Stand First, Mark and Reward, Light Aids; an empty text where a school leaves it out. */
export const howTo = (
  how: string,
  feetFirst: string,
  { standFirst, markAndReward, lightAids }: { standFirst: string; markAndReward: string; lightAids: string },
): HowToAsk => ({
  how,
  bySchool: {
    'feet-first': feetFirst,
    'stand-first': standFirst,
    'mark-and-reward': markAndReward,
    'light-aids': lightAids,
  },
})
