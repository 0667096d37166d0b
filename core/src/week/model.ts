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

/** The list of a key, made when it is first asked for. */
const listed = <Key>(lists: Map<Key, number[]>, key: Key): number[] => {
  const known = lists.get(key) ?? []
  lists.set(key, known)
  return known
}

class Builder {
  readonly variables: Variable[] = []
  readonly visits: Ticked[] = []
  readonly rows = new Rows()
  constant = 0

  private readonly ofHorse = new Map<number, number[]>()
  private readonly inPart = new Map<string, number[]>()

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
    const { saved, late, wishes, keep, due, horse, day, part } = visit.column
    const i = this.visits.length
    listed(this.ofHorse, horse).push(i)
    listed(this.inPart, partKey(day, part)).push(i)
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

  /** What each of these visits counts for; a model has thousands, and a row speaks of a horse's or a part's. */
  private terms(among: readonly number[], of: (visit: Ticked) => number): readonly Term[] {
    return among.flatMap((i): Term[] => {
      const coefficient = of(this.visits[i]!)
      return coefficient === 0 ? [] : [[i, coefficient]]
    })
  }

  private count(among: readonly number[], which: (visit: Ticked) => boolean): readonly Term[] {
    return this.terms(among, (visit) => Number(which(visit)))
  }

  private horseVisits(h: number): readonly number[] {
    return this.ofHorse.get(h) ?? []
  }

  private workVisits(h: number): readonly number[] {
    return this.horseVisits(h).filter((i) => this.visits[i]!.column.due === null)
  }

  private partVisits(day: number, part: number): readonly number[] {
    return this.inPart.get(partKey(day, part)) ?? []
  }

  private dayVisits(day: number): readonly number[] {
    return this.week.grid.parts.flatMap((_, part) => this.partVisits(day, part))
  }

  /** A horse works once a day, a due visit is once, and no more of it than its block has left. */
  once(): void {
    const { asked, grid, off } = this.week
    asked.horses.forEach((horse, h) => {
      const work = this.workVisits(h)
      grid.days.forEach((_, day) =>
        this.rows.most(
          this.count(work, ({ column }) => column.day === day),
          1,
        ),
      )
      if (!off.has(ruleId('visitsAtMost', horse.id)))
        this.rows.most(
          this.count(work, () => true),
          visitsMost(horse, grid.days),
        )
    })
    asked.dues.forEach(({ horse }, d) => {
      const h = asked.horses.findIndex(({ id }) => id === horse)
      this.rows.most(
        this.count(this.horseVisits(h), ({ column }) => column.due === d),
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
        const isExact = this.exact.has(partKey(day, part))
        for (const one of which) {
          const here = this.partVisits(day, part).filter((i) => isOf(this.visits[i]!, one))
          const slots = free[one]![day]![part]!
          if (isExact) this.slotBySlot(here, slots.length)
          else this.stretches(here, stretchesIn(slots))
        }
      }),
    )
  }

  private slotBySlot(here: readonly number[], slots: number): void {
    for (let at = 0; at < slots; at++)
      this.rows.most(
        this.count(here, ({ slot, column }) => slot! <= at && at < slot! + column.slots),
        1,
      )
  }

  /** Rounded rows for each length of visit (Chvátal 1973): they keep fractions from packing what whole visits cannot. */
  private stretches(here: readonly number[], lengths: readonly number[]): void {
    const terms = this.terms(here, ({ column }) => column.slots)
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
          this.terms(this.dayVisits(day), (visit) => (isWith(visit, p) ? visit.column.slots : 0)),
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
        const here = this.partVisits(day, part)
        const placesOf = (i: number): readonly number[] => this.visits[i]!.column.places
        if (this.exact.has(partKey(day, part))) {
          asked.places.forEach((_, l) =>
            this.slotBySlot(
              here.filter((i) => this.visits[i]!.place === l),
              places[l]![day]![part]!.length,
            ),
          )
          return
        }
        const sets = new Map(here.map((i) => [placesOf(i).join(' '), placesOf(i)]))
        for (const set of sets.values())
          this.stretches(
            here.filter((i) => placesOf(i).every((l) => set.includes(l))),
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
      const visits = this.workVisits(h)
      const work =
        (day: number, which: (column: Column) => boolean) =>
        ({ column }: Ticked): boolean =>
          column.day === day && which(column)
      const isLoad = (column: Column): boolean => column.isLoad
      grid.days.forEach((on, day) => {
        if (!off.has(ruleId('loadDays', horse.id))) {
          const window = loadWindow(grid.days, day)
          this.rows.most(
            this.count(visits, ({ column }) => column.isLoad && window.includes(column.day)),
            loadDaysLeft(horse, asked.firstDay, on),
          )
        }
        if (day === 0) return
        const pair = (
          before: (column: Column) => boolean,
          after: (column: Column) => boolean,
        ): readonly Term[] =>
          this.count(visits, (visit) => work(day - 1, before)(visit) || work(day, after)(visit))
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
      const work = this.workVisits(h)
      const wanted = wantedOf(horse, grid.days)
      if (wanted > 0) {
        const missing = Array.from({ length: wanted }, (_, k): Term => [this.slack(-UNFAIR * k, 1), 1])
        this.rows.least([...this.count(work, () => true), ...missing], wanted)
      }
      for (const run of untouchedRuns(asked, horse, grid.days))
        this.rows.least(
          [...this.count(work, ({ column }) => run.includes(column.day)), [this.slack(-UNTOUCHED, 1), 1]],
          1,
        )
    })
  }

  private fitting(wish: Wish): readonly Term[] {
    return this.count([...this.visits.keys()], ({ column, place }) => {
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
    const h = this.week.asked.horses.findIndex(({ id }) => id === pin.horse)
    this.rows.least(
      this.count(this.horseVisits(h), ({ column, place, slot }) =>
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
