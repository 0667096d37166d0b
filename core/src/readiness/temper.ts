import type { Chances } from '../judgement'

/** Where a track stands in the plane of answer and calm. */
export type Temper = 'soft' | 'reactive' | 'worried' | 'learning' | 'dull'

const ENOUGH_ANSWERS = 8
const ENOUGH_DAYS = 2

/** The temper of a track, or `null` while too little is known. */
export const temperOf = (
  { chance, calmChance }: Chances,
  answers: number,
  { daysWorked, onceSolid }: { daysWorked: number; onceSolid: boolean },
): Temper | null => {
  if (answers < ENOUGH_ANSWERS || daysWorked < ENOUGH_DAYS) return null
  const right = chance >= 0.5
  const easy = calmChance >= 0.5
  if (right) return easy ? 'soft' : 'reactive'
  if (!easy) return 'worried'
  return onceSolid ? 'dull' : 'learning'
}

/** What to do with a track in each corner (common practice, no source). */
export const TEMPER_ADVICE: Record<Temper, string> = {
  soft: 'Leave it good: go on to the next rung, another place, or moving.',
  reactive:
    'The same ask, smaller, and wait till it loosens before the next. Build nothing on it yet: tension that obeys comes out later, under a rider.',
  worried:
    'Make it smaller, further off, shorter. If it is new or on one side only, look for pain first: the vet before the next ask.',
  learning: 'Stay at this rung. Short bursts, let go at the first try, and come back to it.',
  dull: 'Ask less often, lighter first, and mean the second. Change the place and the order. Feet, teeth, saddle and weight looked at before more is asked.',
}

/** What each temper means, to be read beside the chance. */
export const TEMPER_WORDS: Record<Temper, string> = {
  soft: 'responsive and relaxed',
  reactive: 'right but tight: not a pass',
  worried: 'worried: make it smaller',
  learning: 'easy, and still finding out',
  dull: 'slow but easy: it could once',
}
