import { wrap, type Remote } from 'comlink'
import type { EvidenceReading } from './evidence.worker'

let started: Remote<EvidenceReading> | undefined

/** The worker that reads evidence, started when it is first needed. */
export const evidenceReader = (): Remote<EvidenceReading> => {
  started ??= wrap<EvidenceReading>(
    new Worker(new URL('./evidence.worker.ts', import.meta.url), { type: 'module' }),
  )
  return started
}
