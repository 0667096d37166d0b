export { horseBelieved, type HorseBelieved } from './believed'
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
export { byWords, differenceWords, forecastWords, keptWords, type KeptForecast } from './words'
export { drawFuture, futureOf, type DrawnFuture, type Setup } from './draw'
export { askOnce, type Future } from './future'
export {
  drawsOf,
  forecast,
  forecastFrom,
  pathOf,
  setupOf,
  type Forecast,
  type ForecastAsked,
  type ForecastIf,
  type WhatIf,
} from './forecast'
export { pathTo, type Path } from './path'
export type { KnownTrack } from './standing'
