export { cardFor, cardOf, GENERAL_CAUTIONS, type StepCard } from './cards'
export { CARD_PARTS, type CardPart, type CardWords } from './card-words'
export { CATALOGUE } from './catalogue'
export { GATES as GATES_THAT_SHIP, type Gate, type Guarded, type StopRule } from './gate'
export {
  EFFORTS,
  EXPOSURE_WORDS,
  EXPOSURES,
  exposuresAt,
  type Effort,
  type Exposure,
  type RungExposures,
} from './exposure'
export { firstGuarded } from './first-guarded'
export type { JudgedStep } from './judged-step'
export { FIXED_STOPS, fixedStopsOf, youngestAt } from './limits'
export { misfitOf, type Misfit } from './fit'
export { isMark, markBetween, markOf, marksOf, onLadders, rungAt, sidesAnswered } from './ladder'
export { CARRY_OVER, type CarryOver } from './carry-over'
export { MANNER_PARTS, type Manner, type MannerPart, type MannerText } from './manner'
export { groundTwinOf } from './ground-twins'
export { hardestMark, knownStep } from './known-step'
export { inOrderOfNeeds } from './order-of-needs'
export * from './program'
export { exposureBounds, withSafety } from './safety'
export * from './schools'
export * from './step'
export {
  amountIn,
  PACES,
  SERVICES,
  USES,
  type RungAmount,
  type RungData,
  type RungsData,
  type Service,
  type Use,
} from './step-data'
export { dataOfOwn } from './own-step'
export { TROUBLES, troublesFrom, type Trouble } from './troubles'
export type { Flaw } from './flaw'
export { flawsOf } from './validate'
