import { knownHere, type Question } from '@still-pine/device'
import { wrap, type Remote } from 'comlink'
import type { Reading } from './reader.worker'

let started: Remote<Reading> | undefined

/** Worked out on a worker, which is started when it is first needed. */
const workOut = (question: Question): Promise<unknown> => {
  started ??= wrap<Reading>(new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module' }))
  return started.read(question, Date.now())
}

/** Reads an answer from this device; `undefined` where it is not known here. */
export const readHere = async (question: Question): Promise<unknown> =>
  (await knownHere(question, Date.now())) ?? workOut(question)
