import { CHANGES, MOST_DAYS, PLANNER_NAMES, type Change, type PlannerName, type Row } from './shard'

/** How one planner did over a herd. */
export interface Told {
  readonly planner: PlannerName
  readonly horses: number
  readonly reached: number
  /** Of all horses; one that never came counts the most days there were. */
  readonly meanWorkDays: number
  readonly medianWorkDays: number
  readonly meanLoadDays: number
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN

export const isOf = (change: Change) => (row: Row) =>
  row.change.constant === change.constant && row.change.by === change.by

export const standardRows = (rows: readonly Row[]): readonly Row[] => rows.filter(isOf(CHANGES[0]!))

/** Work and load days to the gate under the law itself. */
export const herdTold = (rows: readonly Row[]): readonly Told[] =>
  PLANNER_NAMES.map((planner) => {
    const of = standardRows(rows).map((row) => row[planner])
    const days = of.map(({ workDays }) => workDays ?? MOST_DAYS)
    return {
      planner,
      horses: of.length,
      reached: of.filter(({ workDays }) => workDays !== null).length,
      meanWorkDays: mean(days),
      medianWorkDays: median(days),
      meanLoadDays: mean(of.map(({ loadDays }) => loadDays)),
    }
  })

/** The misses that the gate said were likely, and those that came, a horse. */
export interface MissesTold {
  readonly horses: number
  readonly asks: number
  readonly said: number
  readonly came: number
  /** The sampling error of what came less what was said. */
  readonly error: number
}

export const missesTold = (rows: readonly Row[]): MissesTold => {
  const first = standardRows(rows).flatMap(({ composer: { firstAsks } }) => firstAsks ?? [])
  const apart = first.map(({ misses, likelyMisses }) => misses - likelyMisses)
  const middle = mean(apart)
  const variance = apart.reduce((sum, one) => sum + (one - middle) ** 2, 0) / Math.max(1, apart.length - 1)
  return {
    horses: first.length,
    asks: mean(first.map(({ asks }) => asks)),
    said: mean(first.map(({ likelyMisses }) => likelyMisses)),
    came: mean(first.map(({ misses }) => misses)),
    error: Math.sqrt(variance / Math.max(1, apart.length)),
  }
}

/** Under one changed constant: how often the composer came first, and how often another one did. */
export interface RacesTold {
  readonly change: Change
  readonly horses: number
  readonly medianWorkDays: number
  readonly first: number
  readonly notFirst: number
}

export const racesTold = (rows: readonly Row[]): readonly RacesTold[] =>
  CHANGES.slice(1).map((change) => {
    const of = rows.filter(isOf(change))
    const isBeaten = ({ composer, greedy, plain }: Row): boolean =>
      [greedy, plain].some(({ workDays }) => workDays !== null && workDays <= (composer.workDays ?? Infinity))
    const notFirst = of.filter(isBeaten).length
    return {
      change,
      horses: of.length,
      medianWorkDays: median(of.map(({ composer }) => composer.workDays ?? MOST_DAYS)),
      first: of.filter((row) => row.composer.workDays !== null && !isBeaten(row)).length,
      notFirst,
    }
  })
