import { addDays } from '../answer'
import type { Column, Week } from './columns'
import { visitsMost, wantedOf } from './rules'
import { undoneCosts, UNFAIR } from './worth'

const worthOf = ({ saved, late, wishes, keep }: Column): number => saved + late + wishes + keep

/** Worth of the best visit on each day, the best day first. */
const bestByDay = (columns: readonly Column[]): readonly number[] => {
  const best = new Map<number, number>()
  for (const column of columns) {
    const worth = worthOf(column)
    if (worth > (best.get(column.day) ?? -Infinity)) best.set(column.day, worth)
  }
  return [...best.values()].toSorted((a, b) => b - a)
}

const unfairBy = (missing: number): number => -(UNFAIR * missing * (missing - 1)) / 2

/**
 * What a week could be worth if each horse were alone in the yard, its load days left out: no week is worth more. It is
 * said until the solver has a nearer bound.
 */
export const aloneBound = ({ asked, grid }: Week, columns: readonly Column[]): number => {
  const lastDay = grid.days.at(-1)!
  const horses = asked.horses.map((horse, h) => {
    const best = bestByDay(columns.filter((one) => one.horse === h && one.due === null))
    const wanted = wantedOf(horse, grid.days)
    const most = Math.min(best.length, visitsMost(horse, grid.days))
    const withVisits = Array.from({ length: most + 1 }, (_, count) => {
      const worth = best.slice(0, count).reduce((sum, one) => sum + one, 0)
      return worth + unfairBy(Math.max(0, wanted - count))
    })
    return Math.max(...withVisits)
  })
  const dues = asked.dues.map((due, d) =>
    Math.max(
      undoneCosts(due, { lastDay, dayAfter: addDays(lastDay, 1) }),
      ...columns.filter((one) => one.due === d).map(worthOf),
    ),
  )
  return [...horses, ...dues].reduce((sum, one) => sum + one, 0)
}
