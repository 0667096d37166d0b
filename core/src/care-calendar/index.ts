export { careCalendar, careDoneIn, type CareDone, type CareRow } from './calendar'
export { CARE_KINDS, careDue, isTheVets, type CareKind } from './due'
export { careEvent, escapedText, folded } from './event'
export { youngBlock, type Goal } from './young-block'
