import { daysBetween, type Day } from '../answer'
import { median } from '../arithmetic'
import { FEATURES, goingReins, goingWeeks, tiresAt, type Feature, type Mark } from './going'

type Rein = 'left' | 'right'

/** What was noted of a session's way of going. */
export interface GoingSession {
  readonly on: Day
  readonly going: readonly ({ readonly minute: number; readonly rein: Rein } & Readonly<
    Partial<Record<Exclude<Feature, 'secondsToStretch'>, number | null>>
  >)[]
  readonly stretchSeconds: Readonly<Record<Rein, number | null>>
  readonly signs: readonly { readonly minute: number }[]
}

/** The middle of what was marked on a rein; `undefined` where it was not looked at. */
const marked = (
  { going, stretchSeconds }: GoingSession,
  feature: Feature,
  rein: Rein | 'both',
): Mark | undefined => {
  if (feature === 'secondsToStretch') {
    const { left, right } = stretchSeconds
    if (left === null && right === null) return undefined
    return rein === 'both'
      ? left === null || right === null
        ? null
        : (left + right) / 2
      : stretchSeconds[rein]
  }
  const marks = going
    .filter((note) => rein === 'both' || note.rein === rein)
    .map((note) => note[feature])
    .filter((mark) => mark !== null && mark !== undefined)
  return marks.length === 0 ? undefined : median(marks)
}

const NOW_DAYS = 14
const MOST = 8

const reinsOf = (sessions: readonly GoingSession[], feature: Feature) => {
  const both = sessions.flatMap((one) => {
    const [left, right] = [marked(one, feature, 'left'), marked(one, feature, 'right')]
    return left === undefined || right === undefined ? [] : [{ left, right }]
  })
  return both.length === 0 ? null : goingReins(feature, both)
}

const weeksOf = (sessions: readonly GoingSession[], feature: Feature, on: Day) => {
  const seen = sessions.flatMap((one) => {
    const mark = marked(one, feature, 'both')
    return mark === undefined ? [] : [{ mark, isNow: daysBetween(one.on, on) < NOW_DAYS }]
  })
  const marksOf = (isNow: boolean): Mark[] =>
    seen
      .filter((one) => one.isNow === isNow)
      .map(({ mark }) => mark)
      .slice(-MOST)
  const [before, now] = [marksOf(false), marksOf(true)]
  return before.length === 0 || now.length === 0 ? null : goingWeeks(feature, before, now)
}

/** How a horse goes: rein against rein, and the last fortnight against the time before; sessions oldest first. */
export const goingOf = (sessions: readonly GoingSession[], on: Day) =>
  (Object.keys(FEATURES) as Feature[])
    .map((feature) => ({
      feature,
      reins: reinsOf(sessions, feature),
      weeks: weeksOf(sessions, feature, on),
    }))
    .filter(({ reins, weeks }) => reins !== null || weeks !== null)

/** When it tired in a session, and how long it may be next time. */
export const tiredIn = ({ going, signs }: GoingSession) => {
  const swings = new Map<number, number>()
  for (const { minute, swing } of going) if (swing !== null && swing !== undefined) swings.set(minute, swing)
  return tiresAt(
    [...swings].map(([minute, swing]) => ({ minute, swing })),
    signs.map(({ minute }) => minute),
  )
}

/** The minutes that its last session on the line leaves for the next; nothing where it did not tire, or was long ago. */
export const minutesBeforeTired = (sessions: readonly GoingSession[], on: Day): number | null => {
  const last = sessions.at(-1)
  return last && daysBetween(last.on, on) < NOW_DAYS ? tiredIn(last).nextMinutes : null
}
