import { addDays } from '../answer'
import type { WeekAsked, Window } from './asked'

/** Minutes since midnight of `HH:MM`. */
export const minutesAt = (time: string): number => {
  const [hours, minutes] = time.split(':').map(Number) as [number, number]
  return 60 * hours + minutes
}

export const timeAt = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

const DAY_MINUTES = 24 * 60

/** One slot of a day is free or not; the index counts from midnight. */
type Slots = readonly boolean[]

/** When somebody or something is free, by day of the week and part, in slots. */
export type Free = readonly (readonly Slots[])[]

/** The days, the parts and the slots of a week. */
export interface Grid {
  readonly days: readonly string[]
  readonly parts: readonly { readonly id: string; readonly first: number; readonly end: number }[]
  readonly slotMinutes: number
}

export const gridOf = ({ firstDay, days, parts, slotMinutes }: WeekAsked): Grid => ({
  days: Array.from({ length: days }, (_, i) => addDays(firstDay, i)),
  parts: parts.map(({ id, from, to }) => ({
    id,
    first: Math.ceil(minutesAt(from) / slotMinutes),
    end: Math.floor(minutesAt(to) / slotMinutes),
  })),
  slotMinutes,
})

/** Free slots: what is free is rounded inwards, what is not free outwards. */
export const freeIn = (
  { days, parts, slotMinutes }: Grid,
  { windows, busy }: { windows: readonly Window[] | null; busy: readonly Window[] },
): Free => {
  const slots = Math.floor(DAY_MINUTES / slotMinutes)
  return days.map((day) => {
    const free = new Array<boolean>(slots).fill(windows === null)
    for (const one of windows ?? [])
      if (one.day === day)
        free.fill(
          true,
          Math.ceil(minutesAt(one.from) / slotMinutes),
          Math.floor(minutesAt(one.to) / slotMinutes),
        )
    for (const one of busy)
      if (one.day === day)
        free.fill(
          false,
          Math.floor(minutesAt(one.from) / slotMinutes),
          Math.ceil(minutesAt(one.to) / slotMinutes),
        )
    return parts.map(({ first, end }) => free.map((is, slot) => is && slot >= first && slot < end))
  })
}

/** Lengths of the stretches that are free without a break. */
export const stretchesIn = (slots: Slots): readonly number[] => {
  const lengths: number[] = []
  let run = 0
  for (const is of [...slots, false])
    if (is) run++
    else if (run > 0) {
      lengths.push(run)
      run = 0
    }
  return lengths
}

/** Starts at which all of these are free for so many slots. */
export const startsIn = (all: readonly Slots[], slots: number): readonly number[] => {
  const starts: number[] = []
  let run = 0
  const length = all[0]?.length ?? 0
  for (let slot = 0; slot < length; slot++) {
    run = all.every((one) => one[slot]) ? run + 1 : 0
    if (run >= slots) starts.push(slot - slots + 1)
  }
  return starts
}
