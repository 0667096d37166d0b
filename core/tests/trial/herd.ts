import type { Draw, Nature } from '../../src/herd'
import type { LearningLaw } from '../../src/learning'
import { MEDIAN_HORSE } from '../../src/school-edit'
import { normalDraw } from '../logs'

/** How made-up horses differ: our own judgement, with the median horse of the school calendar in the middle. */
const SPREAD = { ability: 0.5, calm: 0.5, speed: 0.25, stiffness: 0.4 }

/** One made-up horse: its own speed (log-normal), start abilities and stiffer side. */
export const drawnNature = (law: LearningLaw, draw: Draw): Nature => ({
  law: { ...law, speed: law.speed * Math.exp(SPREAD.speed * normalDraw(draw)) },
  ability: MEDIAN_HORSE.ability + SPREAD.ability * normalDraw(draw),
  calm: MEDIAN_HORSE.calm + SPREAD.calm * normalDraw(draw),
  stiffer: { side: draw() < 0.5 ? 'left' : 'right', by: Math.abs(SPREAD.stiffness * normalDraw(draw)) },
})
