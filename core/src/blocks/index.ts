export { BLOCK_KINDS, BLOCK_MEANING, BLOCK_WORDS, type BlockKind } from './kinds'
export { againstOpening, blockNotice, offWork, sessionsLeft, YOUNG_MINUTES, type BlockNow } from './rules'
export { snapshotOf, type FrozenTrack, type AgainstPermit, type Snapshot } from './snapshot'
