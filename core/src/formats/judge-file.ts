import type { Day } from '../answer'
import { STANDARD_MODEL } from '../judgement'
import { readAnswerLog } from './answer-log'
import { judgeLog, type JudgedTrack } from './judge-log'
import type { Fault } from './table'
import { textFrom } from './text'

// What the command line needs besides, so that it loads one bundle.
export { isDay } from '../answer'
export { faultInWords } from './answer-log'

export type JudgedFile =
  | { readonly ok: true; readonly tracks: readonly JudgedTrack[] }
  | { readonly ok: false; readonly faults: readonly Fault[] }

/** Judges a CSV file of answers as it lies on a disk, on one day: all of it, or every fault in it. */
export const judgeFile = (bytes: Uint8Array, on: Day): JudgedFile => {
  const log = readAnswerLog(textFrom(bytes).text)
  return log.ok ? { ok: true, tracks: judgeLog(STANDARD_MODEL, log.rows, on) } : log
}
