import type { Draw, Nature } from '../../src/herd'
import type { LearningLaw } from '../../src/learning'
import { FEET_FIRST } from '../../src/program'
import { normalDraw } from '../logs'

/** How made-up horses differ: as unlike each other as real ones; our own judgement. */
const SPREAD = { talent: 1.2, ease: 1, speed: 0.35, step: 0.5, stiffness: 0.6 }

/** In the middle of the herd first asks come light about three times in four. */
const MIDDLE = { talent: 1.2, ease: 1 }

const UNSTEADY = { form: 0.35, setBacks: 1 / 200 }

/** How much harder each step is for every horse of a herd. */
export const drawnSteps = (draw: Draw): Readonly<Record<string, number>> =>
  Object.fromEntries(FEET_FIRST.steps.map(({ key }) => [key, SPREAD.step * normalDraw(draw)]))

/** One made-up horse: its own talent, ease and speed (log-normal), what is harder for it, and its stiffer side. */
export const drawnNature = (
  law: LearningLaw,
  draw: Draw,
  { talent = MIDDLE.talent, steps = {} }: { talent?: number; steps?: Readonly<Record<string, number>> } = {},
): Nature => ({
  law: { ...law, speed: law.speed * Math.exp(SPREAD.speed * normalDraw(draw)) },
  ability: talent + SPREAD.talent * normalDraw(draw),
  calm: MIDDLE.ease + SPREAD.ease * normalDraw(draw),
  stiffer: { side: draw() < 0.5 ? 'left' : 'right', by: Math.abs(SPREAD.stiffness * normalDraw(draw)) },
  troubles: Object.fromEntries(
    FEET_FIRST.steps.map(({ key }) => [key, (steps[key] ?? 0) + SPREAD.step * normalDraw(draw)]),
  ),
  unsteady: UNSTEADY,
})
