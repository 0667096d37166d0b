import { NO_WISHES, type Burst, type Weather, type Wishes } from '@still-pine/core/plan'

/** What a person has said of one horse's session today. */
export interface Arrangement {
  readonly minutes: number | null
  readonly helper: boolean
  readonly weather: Weather
  readonly wishes: Wishes
  /** The bursts it came to, for the pen. */
  readonly bursts: readonly Burst[] | null
}

export const AS_PLANNED: Arrangement = {
  minutes: null,
  helper: true,
  weather: 'fair',
  wishes: NO_WISHES,
  bursts: null,
}

interface Kept extends Arrangement {
  readonly day: string
  readonly programId: string
}

const keyOf = (horseId: string): string => `arranged ${horseId}`

/** What was arranged for this horse on this day, on this device; another day or another school begins anew. */
export const arrangedFor = (horseId: string, day: string, programId: string): Arrangement => {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(horseId)) ?? 'null') as Kept | null
    return kept?.day === day && kept.programId === programId ? { ...AS_PLANNED, ...kept } : AS_PLANNED
  } catch {
    return AS_PLANNED
  }
}

export const keepArranged = (
  horseId: string,
  day: string,
  programId: string,
  arrangement: Arrangement,
): void => {
  try {
    localStorage.setItem(keyOf(horseId), JSON.stringify({ ...arrangement, day, programId }))
  } catch {
    // A device that keeps nothing plans the day as it is.
  }
}

export const isTouched = ({ minutes, helper, weather, wishes }: Arrangement): boolean =>
  minutes !== null || !helper || weather !== 'fair' || wishes.pinned.length + wishes.without.length > 0

/** The bursts as they stand, with one of them moved: it is pinned where it was put. */
export const moved = (
  bursts: readonly Burst[],
  { pinned, without }: Wishes,
  from: number,
  to: number,
): Wishes => {
  const order = [...bursts]
  const [taken] = order.splice(from, 1)
  order.splice(to, 0, taken!)
  const isPinned = (burst: Burst): boolean => burst.pinned || burst === taken
  const asksOf = (burst: Burst): { asks?: number } => {
    const pin = pinned.find(({ step, at }) => step === burst.step && bursts[at] === burst)
    return pin?.asks === undefined ? {} : { asks: pin.asks }
  }
  return {
    pinned: order.flatMap((burst, at) =>
      isPinned(burst) ? [{ step: burst.step, at, ...asksOf(burst) }] : [],
    ),
    without,
  }
}

const asksIn = ({ sides }: Burst): number => sides.reduce((sum, { asks }) => sum + asks, 0)

/** One burst pinned where it stands, with so many asks, or let go again. */
export const withPin = (
  bursts: readonly Burst[],
  { pinned, without }: Wishes,
  at: number,
  asks: number | null,
): Wishes => ({
  pinned: [
    ...pinned.filter((pin) => pin.at !== at),
    { step: bursts[at]!.step, at, ...(asks === null ? {} : { asks }) },
  ],
  without,
})

export const unpinned = ({ pinned, without }: Wishes, at: number): Wishes => ({
  pinned: pinned.filter((pin) => pin.at !== at),
  without,
})

/** About two thirds of the asks, at least one. */
export const shorter = (bursts: readonly Burst[], wishes: Wishes, at: number): Wishes =>
  withPin(bursts, wishes, at, Math.max(1, Math.round((asksIn(bursts[at]!) * 2) / 3)))

/** A step taken out for today, with another in its place where one is given. */
export const swapped = (
  bursts: readonly Burst[],
  { pinned, without }: Wishes,
  at: number,
  other: string | null,
): Wishes => {
  const { step } = bursts[at]!
  return {
    pinned: [
      ...pinned.filter((pin) => pin.step !== step && pin.at !== at),
      ...(other ? [{ step: other, at }] : []),
    ],
    without: [...without.filter((key) => key !== other), step],
  }
}
