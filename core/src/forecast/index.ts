export { judgeTable, type Belief, type JudgeTable } from './judge-table'
export { plannedDays, type Planned, type PlannedDay, type Standing, type WorkPlan } from './planned-days'
export { standardNormal, uniform, type Purpose, type Ticket } from './random'
export { crps, insideShare, scoreOf, type Scored } from './score'
export {
  differenceOf,
  rankCorrelation,
  summaryOf,
  type Difference,
  type Drawn,
  type Horizon,
  type Range,
  type Summary,
} from './summary'
export { byWords, differenceWords, forecastWords } from './words'
