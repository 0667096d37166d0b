export { carriedAt, carryHorse, type AskCarry } from './carry'
export { drainFor, sendSoon, type SyncState } from './drain'
export { readEarly } from './early'
export { knownHere, type Question } from './known'
export { forgetNoteDraft, noteDraft, saveNoteDraft } from './note-drafts'
export {
  amendWaiting,
  entriesOf,
  isReadable,
  sendArranged,
  saveWaiting,
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
export { forgetOldReplies, saveReply, savedReply } from './replies'
export { canSave, makeRoom } from './room'
export {
  countTaken,
  dropTaken,
  fileHere,
  forgetOldTaken,
  NoRoom,
  saveTaken,
  sendTakenAgain,
  takenHere,
  type TakenState,
} from './taken'
export { saveSchoolDraft, savedSchoolDraft, type SavedSchoolDraft } from './school-drafts'
export { paySignOut } from './send'
export { device, type Draft, type Taken, type Waiting } from './store'
export { handOver, waitingFile } from './waiting-file'
export { deviceTold, forgetCopies, nameOf, oweSignOut, personHere, wipe } from './who'
