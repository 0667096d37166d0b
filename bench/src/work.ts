// What takes minutes, as functions of plain values that run on a thread.
export { findValues } from './find-values'
export { raced } from './composer/shard'
