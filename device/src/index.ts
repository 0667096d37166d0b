export { carriedAt, carryHorse, type AskCarry } from './carry'
export { drainFor, type SyncState } from './drain'
export { readEarly } from './early'
export { knownHere, type Question } from './known'
export {
  amendWaiting,
  entriesOf,
  isReadable,
  keepArranged,
  keepWaiting,
  letGo,
  refusedEntries,
  sendMended,
  takeReady,
  withdrawWaiting,
} from './outbox'
export { withWhatWaits } from './overlay'
export { PLAIN_ANSWER } from './plain-answer'
export {
  asAnswerTo,
  bySession,
  ofHorse,
  remedyFor,
  saidAt,
  sessionOf,
  shifted,
  type Remedy,
} from './remedies'
export { forgetOldReplies, keepReply, keptReply } from './replies'
export { canKeep, makeRoom } from './room'
export { keepSchoolDraft, keptSchoolDraft, type SchoolDraftKept } from './school-drafts'
export { paySignOut } from './send'
export { device, type Draft, type Waiting } from './store'
export { handOver, waitingFile } from './waiting-file'
export { deviceTold, forgetCopies, nameOf, oweSignOut, personHere, wipe } from './who'
