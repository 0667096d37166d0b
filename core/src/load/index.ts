export {
  balanceOf,
  GAITS,
  metresOf,
  minutesOf,
  REINS,
  SPEEDS,
  type Gait,
  type Rein,
  type Speeds,
  type Worked,
} from './gaits'
export { circle, lungeLoad, type Lunged } from './lunge'
export { lineWarnings, lineWork, reinToEven, type LineWork, type LineWorked } from './line-work'
export { gaitPresses, STEPS_OF_GAIT, stretchesOf, type Going, type Press, type Stretch } from './presses'
export { strides, strideWords } from './strides'
