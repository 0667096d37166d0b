import { over } from '../arithmetic'
import { wilson } from '../evidence'

export interface Repair {
  readonly repair: string
  readonly tried: number
  /** Times the fault was gone in the next three asks. */
  readonly worked: number
}

const ENOUGH = 5

/** How it went after each repair of a fault: after, never because, for later repairs meet harder cases. */
export const faultRepairs = (fault: string, repairs: readonly Repair[]) => {
  const rows = repairs.map(({ repair, tried, worked }) => {
    const { low, high } = wilson(worked, tried)
    return { repair, tried, worked, share: tried === 0 ? null : worked / tried, low, high }
  })
  const apart = rows.find(
    (row) => row.tried >= ENOUGH && rows.every((other) => other === row || over(row.low, other.high)),
  )
  const isOne = rows.length === 1
  const best = isOne || !apart ? null : apart.repair
  const isFew = rows.some(({ tried }) => tried < ENOUGH)
  const says =
    best !== null
      ? ('apart' as const)
      : isOne
        ? ('only-one' as const)
        : isFew
          ? ('too-few' as const)
          : ('overlap' as const)
  return { fault, rows, best, says }
}
