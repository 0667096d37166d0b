import { partAt, type Column, type Week } from './columns'
import { minutesAt } from './grid'

/** A visit with its place and its slot. */
export interface Timed {
  readonly column: Column
  readonly place: number
  readonly slot: number
}

const MOST_STEPS = 3_000

type Busy = Map<string, boolean[]>

const usersOf = ({ horse, lead, helper }: Column, place: number): readonly string[] => [
  `h${horse}`,
  `p${lead}`,
  ...(helper === null ? [] : [`p${helper}`]),
  `l${place}`,
]

const isFree = (busy: Busy, { column, place, slot }: Timed): boolean =>
  usersOf(column, place).every((user) => {
    const taken = busy.get(user)
    if (!taken) return true
    for (let at = slot; at < slot + column.slots; at++) if (taken[at]) return false
    return true
  })

const take = (busy: Busy, { column, place, slot }: Timed, is: boolean): void => {
  for (const user of usersOf(column, place)) {
    const taken = busy.get(user) ?? []
    for (let at = slot; at < slot + column.slots; at++) taken[at] = is
    busy.set(user, taken)
  }
}

/** Where a visit of the plan before began, so that it is put near there again. */
const wasAt = ({ asked, grid }: Week, { horse, day, due }: Column): number | null => {
  const id = asked.horses[horse]!.id
  const dueId = due === null ? null : asked.dues[due]!.id
  const was = asked.previous.find(
    (one) => one.horse === id && one.day === grid.days[day] && (one.due ?? null) === dueId,
  )
  return was && partAt(grid, was.start) !== null ? minutesAt(was.start) / grid.slotMinutes : null
}

const waysOf = (week: Week, column: Column): readonly Timed[] => {
  const was = wasAt(week, column)
  return column.places
    .flatMap((place, i) => column.starts[i]!.map((slot) => ({ column, place, slot })))
    .toSorted((a, b) =>
      was === null ? a.slot - b.slot : Math.abs(a.slot - was) - Math.abs(b.slot - was) || a.slot - b.slot,
    )
}

/**
 * Places and starts for the visits of one part of a day: depth first, the visit with the fewest ways left first, the
 * earliest start first, or the one nearest to where it was. Nothing where so many steps find none.
 */
export const timesOf = (week: Week, columns: readonly Column[]): readonly Timed[] | null => {
  const busy: Busy = new Map()
  const ways = columns.map((column) => waysOf(week, column))
  const timed: (Timed | null)[] = columns.map(() => null)
  let steps = 0
  const next = (): boolean => {
    const open = columns.flatMap((_, i) =>
      timed[i] === null ? [{ i, left: ways[i]!.filter((way) => isFree(busy, way)) }] : [],
    )
    if (open.length === 0) return true
    const [fewest] = open.toSorted((a, b) => a.left.length - b.left.length || a.i - b.i)
    for (const way of fewest!.left) {
      if (++steps > MOST_STEPS) return false
      timed[fewest!.i] = way
      take(busy, way, true)
      if (next()) return true
      take(busy, way, false)
      timed[fewest!.i] = null
    }
    return false
  }
  return next() ? (timed as Timed[]) : null
}
