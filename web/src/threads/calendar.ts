import { proxy, releaseProxy, wrap } from 'comlink'
import type { Program } from '@still-pine/core/program'
import type { GateDay } from '@still-pine/core/school-edit'
import type { CalendarWork } from './calendar.worker'

export interface CalendarRun {
  readonly done: Promise<readonly GateDay[]>
  /** Ends it where its answer is not wanted any more. */
  readonly stop: () => void
}

/** Works a made-up horse through a school on a worker of its own, and tells each day it has come to. */
export const runCalendar = (
  program: Program,
  workDays: number,
  heard: (day: number) => void,
): CalendarRun => {
  const worker = new Worker(new URL('./calendar.worker.ts', import.meta.url), { type: 'module' })
  const calendar = wrap<CalendarWork>(worker)
  const stop = (): void => {
    calendar[releaseProxy]()
    worker.terminate()
  }
  const done = calendar.work(program, workDays, proxy(heard)).finally(stop)
  return { done, stop }
}
