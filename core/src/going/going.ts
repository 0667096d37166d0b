import { median, over, signTest, under } from '../arithmetic'

/** What is marked of a way of going, 0 to 3, and whether more of it is better. */
export const FEATURES = {
  stretch: 'more',
  swing: 'more',
  rhythm: 'more',
  behindVertical: 'less',
  hollow: 'less',
  braces: 'less',
  secondsToStretch: 'less',
} as const
export type Feature = keyof typeof FEATURES

/** A mark, or seconds; nothing where no stretch was seen, which is longer than any. */
export type Mark = number | null

const known = (mark: Mark): number => mark ?? Infinity
const toldAs = (value: number): number | null => (value === Infinity ? null : value)

const LAST = 8
const ENOUGH_SESSIONS = 6
const ENOUGH_MARKS = 4
const SURE = 0.05

/** On which rein a horse goes better, by a sign test of the sessions in which they differ. */
export const goingReins = (feature: Feature, sessions: readonly { left: Mark; right: Mark }[]) => {
  const last = sessions.slice(-LAST).map(({ left, right }) => ({ left: known(left), right: known(right) }))
  const isBetter = (a: number, b: number): boolean => (FEATURES[feature] === 'more' ? a > b : a < b)
  const leftBetter = last.filter(({ left, right }) => isBetter(left, right)).length
  const rightBetter = last.filter(({ left, right }) => isBetter(right, left)).length
  const p = signTest(leftBetter, rightBetter)
  const n = last.length
  const says =
    n < ENOUGH_SESSIONS
      ? ('too-few' as const)
      : over(p, SURE)
        ? ('even' as const)
        : leftBetter > rightBetter
          ? ('left-better' as const)
          : ('right-better' as const)
  return {
    n,
    leftMiddle: toldAs(median(last.map(({ left }) => left))),
    rightMiddle: toldAs(median(last.map(({ right }) => right))),
    leftBetter,
    rightBetter,
    p,
    says,
  }
}

/** The ranks of values, those of equals shared between them. */
const midRanks = (values: readonly number[]): readonly number[] =>
  values.map((value) => {
    const below = values.filter((one) => one < value).length
    const equal = values.filter((one) => one === value).length
    return below + (equal + 1) / 2
  })

/** Sums of every choice of so many of the ranks, each told once. */
const eachSplit = (ranks: readonly number[], size: number, told: (rankSum: number) => void): void => {
  const go = (from: number, left: number, sum: number): void => {
    if (left === 0) return told(sum)
    for (let i = from; i <= ranks.length - left; i++) go(i + 1, left - 1, sum + ranks[i]!)
  }
  go(0, size, 0)
}

/** Whether a horse goes better than some weeks ago, by a rank sum over all splits (Wilcoxon 1945). */
export const goingWeeks = (feature: Feature, before: readonly Mark[], now: readonly Mark[]) => {
  const values = [...before, ...now].map(known)
  const ranks = midRanks(values)
  const rankSum = ranks.slice(before.length).reduce((all, rank) => all + rank, 0)
  const mean = (now.length * (values.length + 1)) / 2
  let [all, asFar] = [0, 0]
  eachSplit(ranks, now.length, (one) => {
    all += 1
    if (!under(Math.abs(one - mean), Math.abs(rankSum - mean))) asFar += 1
  })
  const p = asFar / all
  const isMore = rankSum > mean
  const isBetter = (FEATURES[feature] === 'more') === isMore
  const says =
    Math.min(before.length, now.length) < ENOUGH_MARKS
      ? ('too-few' as const)
      : over(p, SURE)
        ? ('same' as const)
        : isBetter
          ? ('better' as const)
          : ('worse' as const)
  return {
    beforeMiddle: toldAs(median(before.map(known))),
    nowMiddle: toldAs(median(now.map(known))),
    p,
    says,
  }
}

export interface SwingNoted {
  readonly minute: number
  readonly swing: number
}

const NEXT_SHARE = 0.8

/** The first note from which the swing stays a mark below its best: two notes at least. */
const minuteSwingWent = (notes: readonly SwingNoted[]): number | null => {
  for (let i = 1; i < notes.length - 1; i++) {
    const best = Math.max(...notes.slice(0, i).map(({ swing }) => swing))
    if (notes.slice(i).every(({ swing }) => swing <= best - 1)) return notes[i]!.minute
  }
  return null
}

/** The minute from which a horse tires, and how long next time. */
export const tiresAt = (notes: readonly SwingNoted[], tiredMinutes: readonly number[]) => {
  const swing = minuteSwingWent(notes)
  const sign = tiredMinutes.length === 0 ? null : Math.min(...tiredMinutes)
  if (sign !== null && (swing === null || !over(sign, swing)))
    return { minute: sign, nextMinutes: NEXT_SHARE * sign, says: 'sign' as const }
  return swing === null
    ? { minute: null, nextMinutes: null, says: 'not-seen' as const }
    : { minute: swing, nextMinutes: NEXT_SHARE * swing, says: 'swing' as const }
}
