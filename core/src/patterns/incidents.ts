import { atLeast, over } from '../arithmetic'

export interface Level {
  readonly level: string
  readonly asks: number
  readonly incidents: number
}

export interface Factor {
  /** Side, step, place, weather, minute or handler. */
  readonly factor: string
  readonly levels: readonly Level[]
}

const ENOUGH_INCIDENTS = 5
const ENOUGH_AT_LEVEL = 3
const SURE = 0.05

interface Row extends Level {
  readonly factor: string
  readonly expected: number | null
  readonly p: number | null
}

const rowsOf = ({ factor, levels }: Factor): readonly Row[] => {
  const asked = levels.filter(({ asks }) => asks > 0)
  const asks = asked.reduce((all, level) => all + level.asks, 0)
  const incidents = asked.reduce((all, level) => all + level.incidents, 0)
  const isTested = incidents >= ENOUGH_INCIDENTS && asked.length >= 2
  return levels.map((level) => {
    const share = level.asks / asks
    const isHere = level.asks > 0
    return {
      factor,
      ...level,
      expected: isHere ? incidents * share : null,
      p: isHere && isTested ? atLeast(incidents, level.incidents, share) : null,
    }
  })
}

/** Guards many tests at once (Holm 1979): each p by what it would have to be, in the order of the p. */
const guardedBy = (ps: readonly number[]): ReadonlyMap<number, number> => {
  const guarded = new Map<number, number>()
  let least = 0
  ;[...ps]
    .sort((a, b) => a - b)
    .forEach((p, i) => {
      least = Math.max(least, Math.min(1, (ps.length - i) * p))
      if (!guarded.has(p)) guarded.set(p, least)
    })
  return guarded
}

const saysOf = ({ asks, incidents, p }: Row, pGuarded: number | null) => {
  if (asks === 0) return 'no-asks-there' as const
  if (p === null || pGuarded === null) return 'too-few' as const
  return !over(pGuarded, SURE) && incidents >= ENOUGH_AT_LEVEL
    ? ('more-than-its-share' as const)
    : ('as-usual' as const)
}

/** Whether incidents gather at a side, a step, a place: more than the share of asks there would have it. */
export const incidentPatterns = (factors: readonly Factor[]) => {
  const rows = factors.flatMap(rowsOf)
  const ps = rows.flatMap(({ p }) => (p === null ? [] : [p]))
  const guarded = guardedBy(ps)
  const told = rows.map((row) => {
    const { factor, level, asks, incidents, expected, p } = row
    const pGuarded = p === null ? null : guarded.get(p)!
    return {
      factor,
      level,
      incidents,
      per100: asks === 0 ? null : (100 * incidents) / asks,
      expected,
      p,
      pGuarded,
      says: saysOf(row, pGuarded),
    }
  })
  const says =
    ps.length === 0
      ? ('too-few' as const)
      : told.some((row) => row.says === 'more-than-its-share')
        ? ('found' as const)
        : ('nothing-stands-out' as const)
  return { tested: ps.length, rows: told, says }
}
