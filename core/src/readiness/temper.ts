import type { Chances } from '../belief'

/** Where a track stands in the plane of answer and calm. */
export type Temper = 'soft' | 'reactive' | 'worried' | 'learning' | 'dull'

const ENOUGH_ANSWERS = 8
const ENOUGH_DAYS = 2

/** The temper of a track, or `null` while too little is known. */
export const temperOf = (
  { chance, calmChance }: Chances,
  answers: number,
  daysWorked: number,
  onceSolid: boolean,
): Temper | null => {
  if (answers < ENOUGH_ANSWERS || daysWorked < ENOUGH_DAYS) return null
  const right = chance >= 0.5
  const easy = calmChance >= 0.5
  if (right) return easy ? 'soft' : 'reactive'
  if (!easy) return 'worried'
  return onceSolid ? 'dull' : 'learning'
}

/** What each temper means, to be read beside the chance. */
export const TEMPER_WORDS: Record<Temper, string> = {
  soft: 'answers, and easy in itself',
  reactive: 'right but tight: not a pass',
  worried: 'worried: make it smaller',
  learning: 'easy, and still finding out',
  dull: 'slow but easy: it could once',
}
