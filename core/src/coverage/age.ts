import { daysBetween } from '../answer'

/** How long ago, as it fades on the drawing. */
export type Age = 'fresh' | 'old' | 'very-old'

/** Days after which a hold is old, and very old (our judgement). */
const OLD_AFTER = 21
const VERY_OLD_AFTER = 60

export const ageOf = (day: string, on: string): Age => {
  const days = daysBetween(day, on)
  if (days > VERY_OLD_AFTER) return 'very-old'
  return days > OLD_AFTER ? 'old' : 'fresh'
}
