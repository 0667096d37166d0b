export { answer } from './answer'
export {
  changeOf,
  clockOff,
  type AnswerToSave,
  type Change,
  type Moment,
  type SessionToSave,
} from './batch/change'
export {
  decideAll,
  type BatchParts,
  type KnownAnswer,
  type KnownAttachment,
  type KnownRecord,
  type Verdict,
} from './batch/decide'
export { byTime, fold, type HorseFile, type SessionTold } from './batch/fold'
export type { Command, CommandName, Ordered, PersonToSave, YardChange } from './command'
export { commands } from './commands'
export { COMPOSED, judgeNow } from './composed'
export {
  minutesArranged,
  factsFrom,
  judgedFrom,
  lastClosed,
  lineFrom,
  loadDaysIn,
  trackRows,
  weekBefore,
  type Judged,
} from './line'
export { passportFrom } from './passport'
export { passportParts, verdictWords, type PassportPart } from './passport-words'
export type * from './parts'
export { queries } from './queries'
export type { Asked, QueryName, Reply } from './query'
export { readWith, type Asking, type Loaders, type Named, type Read, type Who } from './reading'
export {
  ARRANGED_AT_FIRST,
  arrangedOf,
  beyondPlanning,
  decidingIn,
  horseIn,
  isBehind,
  personIn,
  plannedFrom,
  plannedVisit,
  rulesIn,
  weekAskedFrom,
  type Deciding,
} from './week-asked'
export { weekOptionsOf, type ToOption } from './week-options'
export { notFound, Refusal, refusedFor } from './refusal'
export {
  dayFault,
  isLongAgo,
  LONGEST_LIFE_YEARS,
  pastDayFault,
  timeFault,
  type Born,
  type Clock,
} from './times'
