export {
  approachesOf,
  heatWords,
  leaveOffNow,
  mindNow,
  signOf,
  type HeatSays,
  type SettledAnswer,
} from './advice'
export { settleTrend, type Approach } from './settle'
export {
  DANGER_SIGNS,
  heat,
  NEW_FLINCH,
  notItself,
  SEEN_SIGNS,
  stopNow,
  TIRED_SIGNS,
  WORRY_SIGNS,
  type FirstAsk,
  type Seen,
  type SeenSign,
} from './stop-now'
