import type { Day } from '../answer'

const partsOf = (day: Day): readonly [year: number, month: number, date: number] =>
  day.split('-').map(Number) as [number, number, number]

/** Whole months from one day to a later one: a month is full on the same day of the month. */
export const wholeMonths = (from: Day, to: Day): number => {
  const [fromYear, fromMonth, fromDate] = partsOf(from)
  const [toYear, toMonth, toDate] = partsOf(to)
  return (toYear - fromYear) * 12 + toMonth - fromMonth - (toDate < fromDate ? 1 : 0)
}

/** How an age is known. */
export type KnownAge =
  | { readonly how: 'day'; readonly born: Day }
  | { readonly how: 'year'; readonly year: number }
  | { readonly how: 'teeth' | 'said'; readonly seenOn: Day; readonly months: number }
  | {
      readonly how: 'range'
      readonly seenOn: Day
      readonly lowMonths: number
      readonly highMonths: number
    }
  | { readonly how: 'unknown' }

/** By teeth an age is this much off (Richardson 1995, from memory); by hearsay a year. Months. */
const teethSpread = (months: number): number => (months < 60 ? 6 : months < 132 ? 24 : 48)
const SAID_SPREAD = 12

const spreadOn = (on: Day, seenOn: Day, { months, spread }: { months: number; spread: number }) => {
  const since = wholeMonths(seenOn, on)
  return { low: Math.max(0, months - spread) + since, high: months + spread + since }
}

const boundsOn = (on: Day, age: Exclude<KnownAge, { how: 'unknown' }>): { low: number; high: number } => {
  switch (age.how) {
    case 'day': {
      const months = wholeMonths(age.born, on)
      return { low: months, high: months }
    }
    case 'year': {
      const last = `${age.year}-12-31`
      return { low: wholeMonths(last > on ? on : last, on), high: wholeMonths(`${age.year}-01-01`, on) }
    }
    case 'range': {
      const since = wholeMonths(age.seenOn, on)
      return { low: age.lowMonths + since, high: age.highMonths + since }
    }
    default: {
      const spread = age.how === 'teeth' ? teethSpread(age.months) : SAID_SPREAD
      return spreadOn(on, age.seenOn, { months: age.months, spread })
    }
  }
}

/** The months from which each may be. */
const GATE_MONTHS = {
  bitCarried: 24,
  contact: 30,
  saddle: 30,
  firstTimeUp: 36,
  canter: 36,
  firstFence: 48,
} as const

type GateName = keyof typeof GATE_MONTHS
export type AgeVerdict = 'open' | 'in-doubt' | 'not-yet'

const gatesBy = (verdict: (months: number) => AgeVerdict): Record<GateName, AgeVerdict> =>
  Object.fromEntries(Object.entries(GATE_MONTHS).map(([gate, months]) => [gate, verdict(months)])) as Record<
    GateName,
    AgeVerdict
  >

const MOST_LOAD_DAYS = 5
const LOAD_FROM_MONTHS = 24
const LOAD_DAYS_UNKNOWN = 2

/** Load days a week by age: none below two years, then a day for each year, to five. */
export const loadDaysMost = (lowMonths: number): number =>
  lowMonths < LOAD_FROM_MONTHS ? 0 : Math.min(MOST_LOAD_DAYS, Math.floor(lowMonths / 12))

/** The least and the most a horse's age can be on a day, and what that opens: by the low bound, so that nothing is guessed. */
export const ageBounds = (on: Day, age: KnownAge) => {
  if (age.how === 'unknown')
    return {
      lowMonths: null,
      highMonths: null,
      loadDaysMost: LOAD_DAYS_UNKNOWN,
      gates: gatesBy(() => 'in-doubt'),
      says: 'unknown' as const,
    }
  const { low, high } = boundsOn(on, age)
  return {
    lowMonths: low,
    highMonths: high,
    loadDaysMost: loadDaysMost(low),
    gates: gatesBy((months) => (low >= months ? 'open' : high >= months ? 'in-doubt' : 'not-yet')),
    says: low === high ? ('known' as const) : ('between' as const),
  }
}
