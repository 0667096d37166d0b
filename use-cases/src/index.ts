export { answer } from './answer'
export { COMPOSED, judgeNow } from './composed'
export {
  factsFrom,
  judgedFrom,
  lastClosed,
  lineFrom,
  loadDaysIn,
  trackRows,
  weekBefore,
  type Judged,
} from './line'
export type * from './parts'
export { queries } from './queries'
export type { Asked, QueryName, Reply } from './query'
export { readWith, type Asking, type Loaders, type Named, type Read, type Who } from './reading'
export { notFound, Refusal, refusedFor } from './refusal'
