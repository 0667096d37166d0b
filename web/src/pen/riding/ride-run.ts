import { PutEntry } from '@still-pine/contract'
import { riddenRows } from '@still-pine/core/ride'
import type { Press } from '@still-pine/core/load'
import { useEffect, useState } from 'react'

/** A ride that goes on; all of it is kept at every press, so that a reload goes on where it was. */
export interface RideRun {
  /** On the phone's clock, ms. */
  readonly startedAt: number
  readonly day: string
  readonly rein: 'left' | 'right'
  readonly presses: readonly Press[]
  readonly rider: string
  readonly helper: string
  readonly groundMinutes: number
  readonly note: string
}

export type RideStart = Pick<RideRun, 'rein' | 'rider' | 'helper' | 'groundMinutes' | 'note'>

const keyOf = (personId: string, horseId: string): string => `ride ${personId} ${horseId}`

const kept = (key: string): RideRun | null => {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as RideRun | null
  } catch {
    return null
  }
}

const FINE = 100

/** Seconds since somebody sat up; a clock that was set back stands still until it has caught up. */
export const secondsUp = (
  { startedAt, presses }: Pick<RideRun, 'startedAt' | 'presses'>,
  now: number,
): number => Math.max(presses.at(-1)?.at ?? 0, Math.round(((now - startedAt) / 1000) * FINE) / FINE)

/** What was ridden so far: it walks or stands from the moment somebody sits up. */
export const rowsSoFar = (run: RideRun, now: number) =>
  riddenRows({
    rein: run.rein,
    presses: [{ at: 0, key: 'forward' }, ...run.presses],
    endAt: secondsUp(run, now),
  })

const BUZZ: Readonly<Record<Press['key'], number | number[]>> = {
  forward: 60,
  back: [40, 60, 40],
  side: 250,
}

/** A ride of one horse by one person, as it runs and is kept. */
export const useRideRun = (personId: string, horseId: string) => {
  const key = keyOf(personId, horseId)
  const [run, setRun] = useState(() => kept(key))
  useEffect(() => {
    if (run === null) localStorage.removeItem(key)
    else localStorage.setItem(key, JSON.stringify(run))
  }, [key, run])
  return {
    run,
    begin: (start: RideStart, day: string): void =>
      setRun({ ...start, day, startedAt: Date.now(), presses: [] }),
    press: (pressed: Press['key']): void => {
      navigator.vibrate?.(BUZZ[pressed])
      setRun(
        (now) =>
          now && { ...now, presses: [...now.presses, { at: secondsUp(now, Date.now()), key: pressed }] },
      )
    },
    undo: (): void => setRun((now) => now && { ...now, presses: now.presses.slice(0, -1) }),
    end: (): void => setRun(null),
  }
}

export interface Ended {
  readonly endedAt: number
  readonly went: 'well' | 'so-so' | 'badly'
  readonly ended: string
}

/** The entry that is kept of a ride. */
export const rideEntry = (run: RideRun, { endedAt, went, ended }: Ended): PutEntry => {
  const { rider, helper, groundMinutes, note, day: on } = run
  return PutEntry.parse({
    kind: 'ride',
    on,
    note,
    rider,
    helper,
    beganAt: new Date(run.startedAt).toISOString(),
    groundMinutes,
    rows: rowsSoFar(run, endedAt).map((row) => ({ ...row })),
    went,
    ended,
  })
}
