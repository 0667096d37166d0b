import type { PutEntry } from '@still-pine/contract'
import type { Press } from '@still-pine/core/load'

type Put = Extract<PutEntry, { kind: 'line-work' }>

/** Work on the line that runs; all of it is kept at every press, so that a reload goes on where it was. */
export interface LineRun extends Pick<
  Put,
  'way' | 'rein' | 'diameterM' | 'going' | 'signs' | 'stretchSeconds' | 'note'
> {
  /** On the phone's clock, ms. */
  readonly startedAt: number
  readonly day: string
  readonly presses: readonly Press[]
}

const keyOf = (personId: string, horseId: string): string => `line-work ${personId} ${horseId}`

export const keepRun = (personId: string, horseId: string, run: LineRun | null): void => {
  const key = keyOf(personId, horseId)
  if (run === null) localStorage.removeItem(key)
  else localStorage.setItem(key, JSON.stringify(run))
}

/** What ran when this page was left, or nothing. */
export const keptRun = (personId: string, horseId: string): LineRun | null => {
  const kept = localStorage.getItem(keyOf(personId, horseId))
  try {
    return kept === null ? null : (JSON.parse(kept) as LineRun)
  } catch {
    return null
  }
}

/** Hundredths are as fine as a thumb is. */
const FINE = 100

/** Seconds since it began; a clock that was set back stands still until it has caught up. */
export const secondsInto = ({ startedAt, presses }: LineRun, now: number): number =>
  Math.max(presses.at(-1)?.at ?? 0, Math.round(((now - startedAt) / 1000) * FINE) / FINE)

/** The entry that is kept of it. */
export const entryOf = (run: LineRun, now: number): Put => {
  const { startedAt: _startedAt, day, presses, ...rest } = run
  return {
    kind: 'line-work',
    on: day,
    ofYard: false,
    takenBack: false,
    ...rest,
    presses: [...presses],
    endAt: secondsInto(run, now),
  }
}

/** Seconds that the gait it is in has gone on for. */
export const secondsInGait = (run: LineRun, now: number): number =>
  secondsInto(run, now) - (run.presses.findLast(({ key }) => key !== 'side')?.at ?? 0)
