import type { Line } from '@still-pine/contract'
import { NOTHING_NOTED, type Circumstances } from '@still-pine/core/circumstances'
import {
  NO_WISHES,
  ORDINARY,
  type Burst,
  type Outlook,
  type SessionPlan,
  type Wishes,
} from '@still-pine/core/plan'

/** What a person has said of one horse's session today, and the bursts it came to, for the pen. */
export interface Arrangement {
  readonly minutes: number | null
  /** How the day is, as far as it was said; hands and weather are planned for. */
  readonly said: Circumstances
  readonly wishes: Wishes
  readonly bursts: readonly Burst[] | null
}

export const AS_PLANNED: Arrangement = {
  minutes: null,
  said: NOTHING_NOTED,
  wishes: NO_WISHES,
  bursts: null,
}

/** What is so of a person and the yard, and not of one horse: the next horse of the day is begun with it. */
type OfTheDay = Pick<Circumstances, 'watching' | 'handler'>

const OF_THE_DAY = 'said today'

const ofTheDay = (day: string): Partial<OfTheDay> => {
  try {
    const kept = JSON.parse(localStorage.getItem(OF_THE_DAY) ?? 'null') as (OfTheDay & { day: string }) | null
    return kept?.day === day ? { watching: kept.watching, handler: kept.handler } : {}
  } catch {
    return {}
  }
}

/** What was arranged for this horse today, on whichever device; by another school it begins anew. */
export const arrangementOf = ({
  arranged,
  day,
  horse,
}: Pick<Line, 'arranged' | 'day' | 'horse'>): Arrangement =>
  arranged?.programId === horse.programId
    ? (arranged as Arrangement)
    : { ...AS_PLANNED, said: { ...NOTHING_NOTED, ...ofTheDay(day) } }

/** Whatever order the keys of its objects come in. */
const textOf = (value: unknown): string =>
  JSON.stringify(value, (_key, part: unknown) =>
    part !== null && typeof part === 'object' && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  )

export const isSame = (one: Arrangement, other: Arrangement): boolean => {
  const said = ({ minutes, said, wishes, bursts }: Arrangement): string =>
    textOf({ minutes, said, wishes, bursts })
  return said(one) === said(other)
}

/** The plan as it was arranged, until it is made anew here. */
export const asSaved = (plan: SessionPlan, { bursts, minutes }: Arrangement): SessionPlan =>
  bursts === null ? plan : { ...plan, bursts, minutes: minutes ?? plan.minutes }

/** Remembers what is so of the whole day, for the next horse that nothing was said of yet. */
export const rememberOfTheDay = (day: string, { watching, handler }: OfTheDay): void => {
  try {
    if (watching ?? handler) localStorage.setItem(OF_THE_DAY, JSON.stringify({ day, watching, handler }))
  } catch {
    // Then it is asked of the next horse again.
  }
}

/** The hands and the weather a session is planned for: as on an ordinary day where nothing was said. */
export const plannedFor = ({ said }: Pick<Arrangement, 'said'>): Pick<Outlook, 'helper' | 'weather'> => ({
  helper: said.hands === null ? ORDINARY.helper : said.hands === 'two',
  weather: said.weather ?? ORDINARY.weather,
})

/** Whether anything was said that the plan of an ordinary day does not reckon with. */
export const isTouched = ({ minutes, said, wishes }: Arrangement): boolean => {
  const { helper, weather } = plannedFor({ said })
  const isOrdinary = helper === ORDINARY.helper && weather === ORDINARY.weather
  return minutes !== null || !isOrdinary || wishes.pinned.length + wishes.without.length > 0
}

/** The bursts as they stand, with one of them moved: it is pinned where it was put. */
export const moved = (
  bursts: readonly Burst[],
  { pinned, without }: Wishes,
  { from, to }: { from: number; to: number },
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
  { at, asks }: { at: number; asks: number | null },
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
  withPin(bursts, wishes, { at, asks: Math.max(1, Math.round((asksIn(bursts[at]!) * 2) / 3)) })

/** A step taken out for today, with another in its place where one is given. */
export const swapped = (
  bursts: readonly Burst[],
  { pinned, without }: Wishes,
  { at, other }: { at: number; other: string | null },
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
