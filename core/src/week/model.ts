import { addDays, type Day } from '../answer'
import type { LinearModel, Row, Variable } from '../solver'
import type { Pin, Wish } from './asked'
import { isPinned, toldOf, type Column, type Week } from './columns'
import { stretchesIn, type Free } from './grid'
import {
  loadDaysLeft,
  loadWindow,
  PLACE_RULE,
  ruleId,
  sparesSecondDay,
  untouchedRuns,
  visitsMost,
  wantedOf,
} from './rules'
import { conditionsOn, fits, misses, undoneCosts, UNFAIR, UNTOUCHED } from './worth'

/** What must be so: a visit put there by hand, or a wish of that weight. */
export type Must = { readonly id: string } & ({ readonly pin: Pin } | { readonly wish: Wish })

/** A visit that a variable stands for: its column, and where its part is modelled slot by slot its place and slot. */
export interface Ticked {
  readonly column: Column
  readonly place: number | null
  readonly slot: number | null
}

export interface WeekModel {
  readonly model: LinearModel
  /** What the objective is beside the sum of the variables: dues left undone. */
  readonly constant: number
  readonly visits: readonly Ticked[]
}

/** A part of a day, as the sets of parts know it. */
export const partKey = (day: number, part: number): string => `${day}/${part}`

/** Collects rows; a row without terms that holds by itself is left out. */
class Rows {
  readonly rows: Row[] = []

  most(terms: Row['terms'], most: number): void {
    if (terms.length > 0) this.rows.push({ least: null, most, terms })
  }

  /** Kept without terms too: then nothing can meet it. */
  least(terms: Row['terms'], least: number): void {
    this.rows.push({ least, most: null, terms })
  }
}

type Term = readonly [number, number]

class Builder {
  readonly variables: Variable[] = []
  readonly visits: Ticked[] = []
  readonly rows = new Rows()
  constant = 0

  constructor(
    private readonly week: Week,
    columns: readonly Column[],
    private readonly exact: ReadonlySet<string>,
  ) {
    for (const column of columns)
      if (exact.has(partKey(column.day, column.part)))
        column.places.forEach((place, i) => {
          for (const slot of column.starts[i]!) this.addVisit({ column, place, slot })
        })
      else this.addVisit({ column, place: null, slot: null })
  }

  private addVisit(visit: Ticked): void {
    const { saved, late, wishes, keep, due } = visit.column
    const undone = due === null ? 0 : this.undone(due)
    this.visits.push(visit)
    this.variables.push({ worth: saved + late + wishes + keep - undone, upper: 1, isWhole: true })
  }

  private undone(due: number): number {
    const { days } = this.week.grid
    const lastDay = days.at(-1)!
    return undoneCosts(this.week.asked.dues[due]!, { lastDay, dayAfter: addDays(lastDay, 1) })
  }

  /** A variable that counts a miss. */
  slack(worth: number, upper: number): number {
    return this.variables.push({ worth, upper, isWhole: false }) - 1
  }

  terms(of: (visit: Ticked) => number): readonly Term[] {
    return this.visits.flatMap((visit, i): Term[] => {
      const coefficient = of(visit)
      return coefficient === 0 ? [] : [[i, coefficient]]
    })
  }

  count(which: (visit: Ticked) => boolean): readonly Term[] {
    return this.terms((visit) => Number(which(visit)))
  }

  /** A horse works once a day, a due visit is once, and no more of it than its block has left. */
  once(): void {
    const { asked, grid, off } = this.week
    asked.horses.forEach((horse, h) => {
      const work = ({ column }: Ticked): boolean => column.horse === h && column.due === null
      grid.days.forEach((_, day) =>
        this.rows.most(
          this.count((one) => work(one) && one.column.day === day),
          1,
        ),
      )
      if (!off.has(ruleId('visitsAtMost', horse.id)))
        this.rows.most(this.count(work), visitsMost(horse, grid.days))
    })
    asked.dues.forEach((_, d) => {
      this.rows.most(
        this.count(({ column }) => column.due === d),
        1,
      )
      this.constant += this.undone(d)
    })
  }

  /** One thing at a time, by slots where a part is modelled so, and otherwise by what fits its free stretches. */
  private room(
    free: readonly Free[],
    isOf: (visit: Ticked, which: number) => boolean,
    which: readonly number[],
  ): void {
    const { days, parts } = this.week.grid
    days.forEach((_, day) =>
      parts.forEach((_, part) => {
        const here = (visit: Ticked, one: number): boolean =>
          visit.column.day === day && visit.column.part === part && isOf(visit, one)
        if (this.exact.has(partKey(day, part))) {
          for (const one of which)
            this.slotBySlot((visit) => here(visit, one), free[one]![day]![part]!.length)
          return
        }
        for (const one of which)
          this.stretches((visit) => here(visit, one), stretchesIn(free[one]![day]![part]!))
      }),
    )
  }

  private slotBySlot(isHere: (visit: Ticked) => boolean, slots: number): void {
    const here = this.visits.flatMap((visit, i) => (isHere(visit) ? [{ i, ...visit }] : []))
    for (let at = 0; at < slots; at++)
      this.rows.most(
        here.flatMap(({ i, slot, column }): Term[] =>
          slot! <= at && at < slot! + column.slots ? [[i, 1]] : [],
        ),
        1,
      )
  }

  /** Rounded rows for each length of visit (Chvátal 1973): they keep fractions from packing what whole visits cannot. */
  private stretches(isHere: (visit: Ticked) => boolean, lengths: readonly number[]): void {
    const terms = this.terms((visit) => (isHere(visit) ? visit.column.slots : 0))
    this.rows.most(
      terms,
      lengths.reduce((sum, one) => sum + one, 0),
    )
    for (const k of new Set(terms.map(([, slots]) => slots)))
      if (k > 1)
        this.rows.most(
          terms.flatMap(([i, slots]): Term[] => (slots >= k ? [[i, Math.floor(slots / k)]] : [])),
          lengths.reduce((sum, one) => sum + Math.floor(one / k), 0),
        )
  }

  people(): void {
    const { asked, grid, off, people } = this.week
    const isWith = ({ column }: Ticked, person: number): boolean =>
      column.lead === person || column.helper === person
    this.room(
      people,
      isWith,
      asked.people.map((_, p) => p),
    )
    asked.people.forEach(({ id, mostMinutesPerDay }, p) => {
      if (mostMinutesPerDay === null || off.has(ruleId('mostMinutes', id))) return
      grid.days.forEach((_, day) =>
        this.rows.most(
          this.terms((visit) => (visit.column.day === day && isWith(visit, p) ? visit.column.slots : 0)),
          Math.floor(mostMinutesPerDay / grid.slotMinutes),
        ),
      )
    })
  }

  horses(): void {
    const { asked, horses } = this.week
    const due = asked.horses.flatMap(({ id }, h) => (asked.dues.some(({ horse }) => horse === id) ? [h] : []))
    this.room(horses, ({ column }, h) => column.horse === h, due)
  }

  places(): void {
    const { asked, grid, off, places } = this.week
    if (off.has(PLACE_RULE)) return
    grid.days.forEach((_, day) =>
      grid.parts.forEach((_, part) => {
        const here = this.visits.filter(({ column }) => column.day === day && column.part === part)
        if (this.exact.has(partKey(day, part))) {
          asked.places.forEach((_, l) =>
            this.slotBySlot(
              (visit) => visit.column.day === day && visit.column.part === part && visit.place === l,
              places[l]![day]![part]!.length,
            ),
          )
          return
        }
        const sets = new Map(here.map(({ column }) => [column.places.join(' '), column.places]))
        for (const set of sets.values())
          this.stretches(
            ({ column }) =>
              column.day === day && column.part === part && column.places.every((l) => set.includes(l)),
            set.flatMap((l) => stretchesIn(places[l]![day]![part]!)),
          )
      }),
    )
  }

  /** Load days in any seven running; after a hard day none, or nothing; no two running while it is young. */
  load(): void {
    const { asked, grid, off } = this.week
    const { restAfterHardDay } = asked.rules
    asked.horses.forEach((horse, h) => {
      const work = (day: number, which: (column: Column) => boolean) => (visit: Ticked) => {
        const { column } = visit
        return column.horse === h && column.due === null && column.day === day && which(column)
      }
      const isLoad = (column: Column): boolean => column.isLoad
      grid.days.forEach((on, day) => {
        if (!off.has(ruleId('loadDays', horse.id))) {
          const window = loadWindow(grid.days, day)
          this.rows.most(
            this.count((visit) => window.some((one) => work(one, isLoad)(visit))),
            loadDaysLeft(horse, asked.firstDay, on),
          )
        }
        if (day === 0) return
        const pair = (
          before: (column: Column) => boolean,
          after: (column: Column) => boolean,
        ): readonly Term[] => this.count((visit) => work(day - 1, before)(visit) || work(day, after)(visit))
        if (restAfterHardDay !== 'none' && !off.has(ruleId('hardDay', horse.id)))
          this.rows.most(
            pair(({ isHard }) => isHard, restAfterHardDay === 'noLoad' ? isLoad : () => true),
            1,
          )
        if (sparesSecondDay(asked, horse, on) && !off.has(ruleId('twoLoadDays', horse.id)))
          this.rows.most(pair(isLoad, isLoad), 1)
      })
    })
  }

  /** Visits that are wanted and missing, and runs of days that are too long without work. */
  fairness(): void {
    const { asked, grid } = this.week
    asked.horses.forEach((horse, h) => {
      const isWork = ({ column }: Ticked): boolean => column.horse === h && column.due === null
      const wanted = wantedOf(horse, grid.days)
      if (wanted > 0) {
        const missing = Array.from({ length: wanted }, (_, k): Term => [this.slack(-UNFAIR * k, 1), 1])
        this.rows.least([...this.count(isWork), ...missing], wanted)
      }
      for (const run of untouchedRuns(asked, horse, grid.days))
        this.rows.least(
          [
            ...this.count((visit) => isWork(visit) && run.includes(visit.column.day)),
            [this.slack(-UNTOUCHED, 1), 1],
          ],
          1,
        )
    })
  }

  private fitting(wish: Wish): readonly Term[] {
    return this.count(({ column, place }) => {
      const on: Day = this.week.grid.days[column.day]!
      return fits(
        wish.match,
        toldOf(this.week, column, place ?? column.places[0]!),
        conditionsOn(this.week.asked, on),
      )
    })
  }

  wish(wish: Wish, isMust: boolean): void {
    const weight = isMust || wish.weight === 'must' ? null : wish.weight
    const atLeast = (least: number): void => {
      const slack: readonly Term[] = weight === null ? [] : [[this.slack(-weight, least), 1]]
      this.rows.least([...this.fitting(wish), ...slack], least)
    }
    if (wish.kind === 'pin') atLeast(1)
    if (wish.kind !== 'count') return
    if (wish.least) atLeast(wish.least)
    if (wish.most === undefined || wish.most === null) return
    const slack: readonly Term[] = weight === null ? [] : [[this.slack(-weight, this.visits.length), -1]]
    this.rows.most([...this.fitting(wish), ...slack], wish.most)
  }

  pin(pin: Pin): void {
    this.rows.least(
      this.count(({ column, place, slot }) =>
        isPinned(this.week, column, { pin, place: place ?? column.places[0]!, slot }),
      ),
      1,
    )
  }
}

/** Columns that no must forbids. */
const allowedBy = (week: Week, columns: readonly Column[], musts: readonly Must[]): readonly Column[] =>
  columns.filter((column) =>
    musts.every(
      (must) =>
        !('wish' in must) ||
        !misses(
          must.wish,
          toldOf(week, column, column.places[0]!),
          conditionsOn(week.asked, week.grid.days[column.day]!),
        ),
    ),
  )

const isWanted = (week: Week, column: Column, must: Must): boolean => {
  if ('pin' in must)
    return column.places.some((place) => isPinned(week, column, { pin: must.pin, place, slot: null }))
  const { wish } = must
  return (
    (wish.kind === 'pin' || wish.kind === 'count') &&
    fits(
      wish.match,
      toldOf(week, column, column.places[0]!),
      conditionsOn(week.asked, week.grid.days[column.day]!),
    )
  )
}

/** Every part of every day: a model in which all of them are slot by slot has every place and start. */
export const allParts = ({ grid }: Week): ReadonlySet<string> =>
  new Set(grid.days.flatMap((_, day) => grid.parts.map((_, part) => partKey(day, part))))

/** Parts that a pinned time lies in: of these the time is part of what is asked. */
export const timedParts = (week: Week, musts: readonly Must[]): ReadonlySet<string> =>
  new Set(
    musts.flatMap((must) => {
      if (!('pin' in must) || !must.pin.start) return []
      const day = week.grid.days.indexOf(must.pin.day)
      return week.grid.parts.map((_, part) => partKey(day, part))
    }),
  )

interface Asking {
  readonly musts: readonly Must[]
  /** Parts of days that are modelled slot by slot. */
  readonly exact: ReadonlySet<string>
}

const ruled = (builder: Builder, musts: readonly Must[]): void => {
  builder.once()
  builder.people()
  builder.horses()
  builder.places()
  builder.load()
  for (const must of musts)
    if ('pin' in must) builder.pin(must.pin)
    else builder.wish(must.wish, true)
}

const modelFrom = (builder: Builder): WeekModel => ({
  model: { variables: builder.variables, rows: builder.rows.rows },
  constant: builder.constant,
  visits: builder.visits,
})

/** The whole week: what it is worth, what it must obey, and the musts that are kept. */
export const weekModel = (week: Week, columns: readonly Column[], { musts, exact }: Asking): WeekModel => {
  const builder = new Builder(week, allowedBy(week, columns, musts), exact)
  ruled(builder, musts)
  builder.fairness()
  for (const wish of week.asked.wishes) if (wish.weight !== 'must') builder.wish(wish, false)
  return modelFrom(builder)
}

/** The musts alone, slot by slot: only visits that one of them asks for. */
export const mustsModel = (week: Week, columns: readonly Column[], musts: readonly Must[]): WeekModel => {
  const wanted = allowedBy(week, columns, musts).filter((column) =>
    musts.some((must) => isWanted(week, column, must)),
  )
  const builder = new Builder(week, wanted, allParts(week))
  ruled(builder, musts)
  return modelFrom(builder)
}
