import { daysBetween, type Day } from '../answer'
import { bitContact, tackDue, type Carried } from './tack'

/** What a horse wears from a day on. */
export interface Worn {
  readonly on: Day
  readonly saddle: string
  readonly girthHole: number | null
}

interface Look {
  readonly on: Day
  readonly passed: boolean
}

/** What a tape or a stick said on a day. */
interface Measured {
  readonly on: Day
  readonly value: number
}

export interface TackTold {
  /** The oldest first, as everything here. */
  readonly worn: readonly Worn[]
  readonly saddleLooks: readonly Look[]
  readonly mouthLooks: readonly Look[]
  readonly weightsKg: readonly Measured[]
  readonly withersCm: readonly Measured[]
  readonly carries: readonly Carried[]
}

const MOUTH_DAYS = 365

const upTo = (all: readonly Measured[], day: Day): number | null =>
  all.findLast(({ on }) => on <= day)?.value ?? null

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** Since when it wears the saddle it wears; nothing where none was told. */
const saddleSince = (worn: readonly Worn[]): Day | null => {
  const saddled = worn.filter(({ saddle }) => saddle !== '')
  const now = saddled.at(-1)
  if (!now) return null
  const before = saddled.findLastIndex(({ saddle }) => !sameName(saddle, now.saddle))
  return before === -1 ? null : saddled[before + 1]!.on
}

/** Carries of one day are one. */
const byDay = (carries: readonly Carried[]): readonly Carried[] => {
  const days = new Map<Day, Carried>()
  for (const one of carries) {
    const known = days.get(one.day)
    days.set(one.day, {
      day: one.day,
      minutes: one.minutes + (known?.minutes ?? 0),
      quietMinutes: one.quietMinutes + (known?.quietMinutes ?? 0),
    })
  }
  return [...days.values()].sort((a, b) => a.day.localeCompare(b.day))
}

/** Whether the check of the saddle it wears still holds, and whether its mouth is ready for a contact. */
export const tackBook = (told: TackTold, { on, ageLowMonths }: { on: Day; ageLowMonths: number }) => {
  const since = saddleSince(told.worn)
  // Another saddle was never checked.
  const look = told.saddleLooks.findLast((one) => one.on <= on && (since === null || one.on >= since))
  const holes = told.worn.flatMap(({ on: day, girthHole }) =>
    girthHole === null ? [] : [{ on: day, value: girthHole }],
  )
  const thenAndNow = (all: readonly Measured[]): readonly [number | null, number | null] => [
    look ? upTo(all, look.on) : null,
    upTo(all, on),
  ]
  const mouth = told.mouthLooks.findLast((one) => one.on <= on)
  return {
    saddle: tackDue({
      on,
      ageLowMonths,
      checkedOn: look?.on ?? null,
      passed: look?.passed ?? false,
      kg: thenAndNow(told.weightsKg),
      withersCm: thenAndNow(told.withersCm),
      girthHole: thenAndNow(holes),
    }),
    isNewSaddle: since !== null && look === undefined && told.saddleLooks.length > 0,
    contact: bitContact(
      ageLowMonths,
      mouth !== undefined && mouth.passed && daysBetween(mouth.on, on) <= MOUTH_DAYS,
      byDay(told.carries),
    ),
  }
}
