import type { Solution, Solver } from '../solver'
import type { Visit, WeekAsked } from './asked'
import { everyColumn, inOrder, toldOf, weekOf, type Column, type Week } from './columns'
import { timeAt } from './grid'
import { aloneBound } from './alone'
import { greedyWeek } from './greedy'
import { mustsModel, partKey, timedParts, weekModel, type Must, type Ticked } from './model'
import { keptMusts, type Clash } from './musts'
import { termsOf, worthOf, type Terms } from './score'
import { timesOf, type Timed } from './times'

/** A week as it is planned: what is done when, what it is worth, and how far it may be from the best. */
export interface WeekPlan {
  readonly visits: readonly Visit[]
  readonly objective: number
  readonly terms: Terms
  /** No week is worth more than this. */
  readonly bound: number
  readonly status: Exclude<Solution['status'], 'infeasible'>
  readonly clashes: readonly Clash[]
  /** What the plan at once was worth, before the solver looked. */
  readonly first: { readonly objective: number }
}

const TICKED = 0.5

const tickedIn = (visits: readonly Ticked[], values: readonly number[]): readonly Ticked[] =>
  visits.filter((_, i) => (values[i] ?? 0) > TICKED)

const byPart = (ticked: readonly Ticked[]): ReadonlyMap<string, readonly Ticked[]> => {
  const parts = new Map<string, Ticked[]>()
  for (const one of ticked) {
    const key = partKey(one.column.day, one.column.part)
    parts.set(key, [...(parts.get(key) ?? []), one])
  }
  return parts
}

/** Places and times for every visit, and the parts in which none were found. */
const timed = (
  week: Week,
  ticked: readonly Ticked[],
  exact: ReadonlySet<string>,
): { readonly visits: readonly Timed[]; readonly without: readonly string[] } => {
  const visits: Timed[] = []
  const without: string[] = []
  for (const [key, inPart] of byPart(ticked)) {
    const found = exact.has(key)
      ? inPart.map(({ column, place, slot }) => ({ column, place: place!, slot: slot! }))
      : timesOf(
          week,
          inPart.map(({ column }): Column => column),
        )
    if (found) visits.push(...found)
    else without.push(key)
  }
  return { visits, without }
}

const visitOf = (week: Week, { column, place, slot }: Timed): Visit => {
  const { horse, day, part, due, use, lead, helper, place: at } = toldOf(week, column, place)
  return {
    horse,
    day,
    start: timeAt(slot * week.grid.slotMinutes),
    slots: column.slots,
    part,
    option: column.option,
    due,
    use,
    lead,
    helper,
    place: at,
  }
}

const inTime = (a: Visit, b: Visit): number =>
  a.day.localeCompare(b.day) || a.start.localeCompare(b.start) || a.horse.localeCompare(b.horse)

interface Solved {
  readonly visits: readonly Timed[]
  readonly bound: number
  readonly status: WeekPlan['status']
}

/** The plan at once as the model's visits, for the solver to begin from. */
const startFrom = (week: Week, visits: readonly Ticked[], greedy: readonly Visit[]): readonly number[] => {
  const keyOf = ({
    horse,
    day,
    part,
    option,
    due,
    lead,
    helper,
  }: Omit<Visit, 'start' | 'slots' | 'use' | 'place'>) =>
    [horse, day, part, option, due, lead, helper].join(' ')
  const planned = new Map(greedy.map((visit) => [keyOf(visit), visit]))
  return visits.map(({ column, place, slot }) => {
    const told = toldOf(week, column, place ?? column.places[0]!)
    const visit = planned.get(keyOf({ ...told, option: column.option }))
    if (!visit) return 0
    const at = week.asked.places.findIndex(({ id }) => id === visit.place)
    const isThere = place === null ? column.places.includes(at) : place === at
    const isThen = slot === null || timeAt(slot * week.grid.slotMinutes) === visit.start
    return Number(isThere && isThen)
  })
}

/**
 * Solves the week by parts of days first: what fits their free stretches. A part whose visits find no places and times
 * is modelled slot by slot from then on, and the week is solved again; such parts are exact, so this ends, and the bound
 * of the first model stands, for it only ever promises too much.
 */
const solved = (
  week: Week,
  { musts, greedy }: { musts: readonly Must[]; greedy: readonly Visit[] },
  solve: Solver,
): Solved => {
  const columns = everyColumn(week)
  const alone = aloneBound(week, columns)
  let exact = timedParts(week, musts)
  for (;;) {
    const { model, constant, visits } = weekModel(week, columns, { musts, exact })
    const solution = solve(model, week.asked.limits, startFrom(week, visits, greedy))
    const status = solution.status === 'infeasible' ? 'stopped' : solution.status
    const found = timed(week, tickedIn(visits, solution.values), exact)
    const told = { bound: Math.min(solution.bound + constant, alone), status }
    if (found.without.length === 0) return { visits: found.visits, ...told }
    // A solver that the clock stopped is not asked again: half of its week would lose what must be.
    if (status === 'stopped') return { visits: [], ...told }
    exact = new Set([...exact, ...found.without])
  }
}

/** The musts by themselves, with their places and times. */
const mustVisits = (week: Week, musts: readonly Must[], solve: Solver): readonly Visit[] => {
  if (musts.length === 0) return []
  const { model, visits } = mustsModel(week, everyColumn(week), musts)
  return tickedIn(visits, solve(model, week.asked.limits).values).map(({ column, place, slot }) =>
    visitOf(week, { column, place: place!, slot: slot! }),
  )
}

/** Plans a week: the musts that can be had, and round them the visits that are worth most. */
export const planWeek = (given: WeekAsked, solve: Solver): WeekPlan => {
  const asked = inOrder(given)
  const { kept, clashes } = keptMusts(asked, solve)
  const week = weekOf(asked)
  const greedy = greedyWeek(asked, mustVisits(week, kept, solve))
  const first = { objective: worthOf(termsOf(asked, greedy)) }
  const { visits: found, bound, status } = solved(week, { musts: kept, greedy }, solve)
  const better = found.map((one) => visitOf(week, one)).toSorted(inTime)
  // Stopped early it may have found nothing yet: the plan at once stays.
  const hasFound = status !== 'stopped' || found.length > 0
  const isBetter = hasFound && worthOf(termsOf(asked, better)) >= first.objective
  const visits = isBetter ? better : greedy
  const terms = termsOf(asked, visits)
  return { visits, objective: worthOf(terms), terms, bound, status, clashes, first }
}
