export {
  DAY_KINDS,
  nextRide,
  ride,
  rideCaps,
  tomorrow,
  type DayKind,
  type LastRide,
  type RideCaps,
  type Ridden,
} from './book'
export { riddenRows, ridingWarnings } from './riding'
export { rideBook, type ToldRide } from './rides'
export {
  RUN_DOING,
  RUN_STAGES,
  runSheet,
  sidesOfStage,
  type RunAsk,
  type RunSheet,
  type RunStage,
} from './run-sheet'
export { tackBook, type TackTold, type Worn } from './tack-book'
export { bitContact, bitSize, strings, tackDue, type Carried } from './tack'
export { traceRidden, traceWords, type Traced } from './trace'
export { aidOf, extraAid, tracer, type GroundTwin, type RiddenAsk, type RideWithAid } from './tracer'
