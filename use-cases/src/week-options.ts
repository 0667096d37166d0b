import { addDays, type Day } from '@still-pine/core/answer'
import { holdOn } from '@still-pine/core/facts'
import type { Program } from '@still-pine/core/program'
import type { Facts, Views } from '@still-pine/core/readiness'
import { optionsOf, type Option } from '@still-pine/core/week'

const WEEK_DAYS = 7

/** The first day of a week on which no hold forbids all work. */
const firstFreeDay = (facts: Facts, firstDay: Day): Day | null =>
  Array.from({ length: WEEK_DAYS }, (_, i) => addDays(firstDay, i)).find(
    (day) => holdOn(facts, day)?.leaves !== 'nothing',
  ) ?? null

export interface ToOption {
  readonly views: Views
  readonly facts: Facts
  /** The first day of the week, or of what is left of it. */
  readonly on: Day
}

/** What a horse may be worked at in a week, by the composer on the first day that it is free. */
export const weekOptionsOf = (program: Program, { views, facts, on }: ToOption): readonly Option[] => {
  const free = firstFreeDay(facts, on)
  return free === null ? [] : optionsOf(program, views, { facts, on: free })
}
