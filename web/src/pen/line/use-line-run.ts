import type { EntryOf } from '@still-pine/contract/entries-of'
import type { Press } from '@still-pine/core/load'
import { useEffect, useState } from 'react'
import { keepRun, keptRun, secondsInto, type LineRun } from './run'

export type GoingNote = EntryOf<'line-work'>['going'][number]
type TiredSign = EntryOf<'line-work'>['signs'][number]['sign']

export interface LineRunActions {
  readonly begin: (start: Pick<LineRun, 'way' | 'rein' | 'diameterM' | 'note'>, day: string) => void
  readonly press: (key: Press['key']) => void
  readonly undo: () => void
  readonly mark: (note: Omit<GoingNote, 'minute'>) => void
  readonly tired: (sign: TiredSign) => void
  /** It stretches for the first time on this rein, so many seconds from its beginning. */
  readonly stretched: (rein: 'left' | 'right', seconds: number) => void
  readonly end: () => void
}

const BUZZ: Readonly<Record<Press['key'], number | number[]>> = {
  forward: 60,
  back: [40, 60, 40],
  side: 250,
}

/** Work on the line of one horse by one person, as it runs and is kept. */
export const useLineRun = (personId: string, horseId: string): readonly [LineRun | null, LineRunActions] => {
  const [run, setRun] = useState(() => keptRun(personId, horseId))
  useEffect(() => keepRun(personId, horseId, run), [personId, horseId, run])
  const change = (make: (run: LineRun) => Partial<LineRun>): void =>
    setRun((now) => now && { ...now, ...make(now) })
  const minuteOf = (now: LineRun): number => secondsInto(now, Date.now()) / 60
  return [
    run,
    {
      begin: (start, day) =>
        setRun({
          ...start,
          day,
          startedAt: Date.now(),
          presses: [],
          going: [],
          signs: [],
          stretchSeconds: { left: null, right: null },
        }),
      press: (key) => {
        navigator.vibrate?.(BUZZ[key])
        change((now) => ({ presses: [...now.presses, { at: secondsInto(now, Date.now()), key }] }))
      },
      undo: () => change(({ presses }) => ({ presses: presses.slice(0, -1) })),
      mark: (note) => change((now) => ({ going: [...now.going, { ...note, minute: minuteOf(now) }] })),
      tired: (sign) => change((now) => ({ signs: [...now.signs, { sign, minute: minuteOf(now) }] })),
      stretched: (rein, seconds) =>
        change(({ stretchSeconds }) => ({ stretchSeconds: { ...stretchSeconds, [rein]: seconds } })),
      end: () => setRun(null),
    },
  ]
}
