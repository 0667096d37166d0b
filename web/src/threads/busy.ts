import { wrap } from 'comlink'
import type { BusyReading, BusyTold } from './busy.worker'

const LONGEST_MS = 5_000

/** Reads the busy times of a calendar file on a worker of its own; what takes longer is given up. */
export const readBusy = async (text: string, of: { zone: string; from: string }): Promise<BusyTold> => {
  const worker = new Worker(new URL('./busy.worker.ts', import.meta.url), { type: 'module' })
  const tooLong = new Promise<BusyTold>((resolve) =>
    setTimeout(
      () => resolve({ refused: 'It took longer than five seconds: nothing of it was kept.' }),
      LONGEST_MS,
    ),
  )
  try {
    return await Promise.race([wrap<BusyReading>(worker).read(text, of), tooLong])
  } finally {
    worker.terminate()
  }
}
