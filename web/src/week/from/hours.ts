import type { Hours } from '@still-pine/contract'

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const

const STRETCH = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d{2}))?$/i

const timeFrom = (hours: string, minutes = '00'): string | null => {
  const time = `${hours.padStart(2, '0')}:${minutes}`
  return /^(([01]\d|2[0-3]):[0-5]\d|24:00)$/.test(time) ? time : null
}

const joined = (stretches: readonly { from: string; to: string }[]): { from: string; to: string }[] => {
  const all: { from: string; to: string }[] = []
  for (const one of stretches.toSorted((a, b) => a.from.localeCompare(b.from))) {
    const last = all.at(-1)
    if (last && one.from <= last.to) last.to = one.to > last.to ? one.to : last.to
    else all.push({ ...one })
  }
  return all
}

/** "8-12, 13:30-17" as stretches, those that overlap as one; nothing where it cannot be read. */
export const stretchesIn = (
  text: string,
): readonly { readonly from: string; readonly to: string }[] | null => {
  const parts = text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean)
  const read = parts.map((part) => {
    const [, h1, m1, h2, m2] = STRETCH.exec(part) ?? []
    const from = h1 === undefined ? null : timeFrom(h1, m1)
    const to = h2 === undefined ? null : timeFrom(h2, m2)
    return from !== null && to !== null && from < to ? { from, to } : null
  })
  return read.some((one) => one === null) ? null : joined(read as { from: string; to: string }[])
}

const short = (time: string): string => time.replace(/^0/, '').replace(/:00$/, '')

/** Stretches of a weekday as they are typed. */
export const typedOf = (hours: readonly Hours[], weekday: number): string =>
  hours
    .filter((one) => one.weekday === weekday)
    .map(({ from, to }) => `${short(from)}-${short(to)}`)
    .join(', ')

/** "Monday to Friday 8-12, 13-17; Saturday 8-12" */
export const hoursWords = (hours: readonly Hours[]): string => {
  const perDay = WEEKDAYS.map((_, i) => typedOf(hours, i + 1))
  const runs: { first: number; last: number; text: string }[] = []
  perDay.forEach((text, i) => {
    const run = runs.at(-1)
    if (run?.text === text) run.last = i
    else runs.push({ first: i, last: i, text })
  })
  return runs
    .filter(({ text }) => text !== '')
    .map(
      ({ first, last, text }) =>
        `${first === last ? WEEKDAYS[first]! : `${WEEKDAYS[first]!} to ${WEEKDAYS[last]!}`} ${text}`,
    )
    .join('; ')
}
