import type { Visit, WeekAsked } from './asked'
import { inOrder, partAt, weekOf, type Week } from './columns'
import { minutesAt, timeAt } from './grid'
import {
  firstDayLeaves,
  isHardVisit,
  isHeld,
  isLeftAlone,
  isLoadVisit,
  isTooLong,
  loadDaysLeft,
  loadWindow,
  sparesSecondDay,
  visitsMost,
  wantedOf,
} from './rules'
import { conditionsOn, keepsBy, lateBy, misses, savedBy, type Told } from './worth'

interface Job {
  readonly horse: number
  readonly due: number | null
  readonly option: number | null
  readonly minutes: number
  readonly use: string
  readonly roles: readonly string[]
  readonly isLoad: boolean
  readonly isHard: boolean
}

interface Seat {
  readonly job: Job
  readonly day: number
  readonly part: number
  readonly slot: number
  readonly slots: number
  readonly lead: number
  readonly helper: number | null
  readonly place: number
}

const WORST = -1e9

/** What is taken so far, slot by slot, and what each horse does on each day. */
class Board {
  readonly seats: Seat[] = []
  private readonly people: Uint8Array[][]
  private readonly places: Uint8Array[][]
  private readonly horses: Uint8Array[][]
  private readonly used: number[][]
  private readonly load: Uint8Array[]
  private readonly hard: Uint8Array[]
  private readonly work: Uint8Array[]

  constructor(readonly week: Week) {
    const { asked, grid } = week
    const taken = (all: readonly unknown[]): Uint8Array[][] =>
      all.map(() => grid.days.map(() => new Uint8Array((24 * 60) / grid.slotMinutes)))
    const byDay = (): Uint8Array[] => asked.horses.map(() => new Uint8Array(grid.days.length))
    this.people = taken(asked.people)
    this.places = taken(asked.places)
    this.horses = taken(asked.horses)
    this.used = asked.people.map(() => grid.days.map(() => 0))
    this.load = byDay()
    this.hard = byDay()
    this.work = byDay()
  }

  visitsOf(horse: number): number {
    return this.work[horse]!.reduce((sum, one) => sum + one, 0)
  }

  /** Whether the rules leave this horse such work on a day, after what is on the board already. */
  allows({ horse: h, option, minutes, isLoad, isHard }: Job, day: number): boolean {
    const { asked, grid } = this.week
    const horse = asked.horses[h]!
    const on = grid.days[day]!
    if (option === null) return true
    const { days } = horse.options[option]!
    if (days && !days.includes(on)) return false
    if (isLeftAlone(horse) || isHeld(horse, on) || isTooLong(horse, on, minutes)) return false
    if (this.work[h]![day] || this.visitsOf(h) >= visitsMost(horse, grid.days)) return false
    if (day === 0) {
      const leaves = firstDayLeaves(asked, horse)
      if (!leaves.work || (isLoad && !leaves.load)) return false
    }
    return (!isLoad || this.allowsLoad(h, day)) && this.restsRight(h, day, { isLoad, isHard })
  }

  private allowsLoad(h: number, day: number): boolean {
    const { asked, grid } = this.week
    const horse = asked.horses[h]!
    for (let end = day; end < grid.days.length; end++) {
      const window = loadWindow(grid.days, end)
      if (!window.includes(day)) break
      const already = window.reduce((sum, one) => sum + this.load[h]![one]!, 0)
      if (already + 1 > loadDaysLeft(horse, asked.firstDay, grid.days[end]!)) return false
    }
    const next = grid.days[day + 1]
    const before = day > 0 && this.load[h]![day - 1] && sparesSecondDay(asked, horse, grid.days[day]!)
    const after = next !== undefined && this.load[h]![day + 1] && sparesSecondDay(asked, horse, next)
    return !before && !after
  }

  private restsRight(h: number, day: number, { isLoad, isHard }: Pick<Job, 'isLoad' | 'isHard'>): boolean {
    const rest = this.week.asked.rules.restAfterHardDay
    if (rest === 'none') return true
    const spares = rest === 'untouched' ? this.work[h]! : this.load[h]!
    const isSpared = rest === 'untouched' || isLoad
    const before = day > 0 && this.hard[h]![day - 1] && isSpared
    const after = isHard && day + 1 < spares.length && spares[day + 1]
    return !before && !after
  }

  private isFree(
    taken: Uint8Array,
    free: readonly boolean[],
    { slot, slots }: { slot: number; slots: number },
  ): boolean {
    for (let at = slot; at < slot + slots; at++) if (!free[at] || taken[at]) return false
    return true
  }

  /** The earliest seat of a job in a part of a day, with the least busy lead; nothing where there is none. */
  seat(job: Job, day: number, part: number): Seat | null {
    const { asked, grid } = this.week
    const { first, end } = grid.parts[part]!
    const [leadRole, helperRole] = job.roles as [string, string | undefined]
    const leads = this.inRole(leadRole, day)
    const helpers: readonly (number | null)[] =
      helperRole === undefined ? [null] : this.inRole(helperRole, day)
    const places = asked.places.flatMap(({ id, suits }, l) =>
      (job.due === null ? suits.includes(job.use) : this.mayBeAt(job.due, id)) ? [l] : [],
    )
    for (const lead of leads)
      for (const helper of helpers) {
        if (helper === lead) continue
        for (const place of places) {
          const minutes = job.minutes + asked.changeoverMinutes + 2 * asked.places[place]!.travelMinutes
          const slots = Math.ceil(minutes / grid.slotMinutes)
          if (!this.hasMinutes(lead, day, slots) || (helper !== null && !this.hasMinutes(helper, day, slots)))
            continue
          for (let slot = first; slot + slots <= end; slot++) {
            const seat: Seat = { job, day, part, slot, slots, lead, helper, place }
            if (this.fits(seat) && !this.misses(seat)) return seat
          }
        }
      }
    return null
  }

  private mayBeAt(due: number, place: string): boolean {
    const { places } = this.week.asked.dues[due]!
    return places.length === 0 || places.includes(place)
  }

  private inRole(role: string, day: number): readonly number[] {
    return this.week.asked.people
      .flatMap(({ roles }, p) => (roles.includes(role) ? [p] : []))
      .toSorted((a, b) => this.used[a]![day]! - this.used[b]![day]! || a - b)
  }

  private hasMinutes(person: number, day: number, slots: number): boolean {
    const { mostMinutesPerDay } = this.week.asked.people[person]!
    const { slotMinutes } = this.week.grid
    return mostMinutesPerDay === null || (this.used[person]![day]! + slots) * slotMinutes <= mostMinutesPerDay
  }

  private fits(seat: Seat): boolean {
    const { job, day, part, lead, helper, place } = seat
    const { week } = this
    const check = (taken: Uint8Array[][], free: Week['people'], which: number): boolean =>
      this.isFree(taken[which]![day]!, free[which]![day]![part]!, seat)
    return (
      check(this.horses, week.horses, job.horse) &&
      check(this.people, week.people, lead) &&
      (helper === null || check(this.people, week.people, helper)) &&
      check(this.places, week.places, place)
    )
  }

  told({ job, day, part, lead, helper, place }: Seat): Told {
    const { asked, grid } = this.week
    return {
      horse: asked.horses[job.horse]!.id,
      day: grid.days[day]!,
      part: grid.parts[part]!.id,
      due: job.due === null ? null : asked.dues[job.due]!.id,
      use: job.use,
      lead: asked.people[lead]!.id,
      helper: helper === null ? null : asked.people[helper]!.id,
      place: asked.places[place]!.id,
    }
  }

  private misses(seat: Seat): boolean {
    const { asked } = this.week
    const told = this.told(seat)
    return asked.wishes.some(
      (wish) => wish.weight === 'must' && misses(wish, told, conditionsOn(asked, told.day)),
    )
  }

  /** What a seat is worth by itself. */
  worth(seat: Seat): number {
    const { asked, grid } = this.week
    const told = this.told(seat)
    const horse = asked.horses[seat.job.horse]!
    const conditions = conditionsOn(asked, told.day)
    const was = asked.previous.find(
      (one) => one.horse === told.horse && one.day === told.day && (one.due ?? null) === told.due,
    )
    const wished = asked.wishes.reduce(
      (sum, wish) => sum + (wish.weight !== 'must' && misses(wish, told, conditions) ? wish.weight : 0),
      0,
    )
    const saved =
      seat.job.due === null
        ? savedBy(horse.options[seat.job.option!]!.savedDays, horse, seat.day)
        : lateBy(asked.dues[seat.job.due]!, told.day)
    return saved - wished + keepsBy(was && { ...was, part: partAt(grid, was.start) }, told)
  }

  take(seat: Seat): void {
    const { job, day, slot, slots, lead, helper, place } = seat
    this.seats.push(seat)
    const users = [
      this.horses[job.horse]!,
      this.people[lead]!,
      this.places[place]!,
      ...(helper === null ? [] : [this.people[helper]!]),
    ]
    for (const user of users) user[day]!.fill(1, slot, slot + slots)
    this.used[lead]![day]! += slots
    if (helper !== null) this.used[helper]![day]! += slots
    if (job.due !== null) return
    this.work[job.horse]![day] = 1
    this.load[job.horse]![day] = Number(job.isLoad)
    this.hard[job.horse]![day] = Number(job.isHard)
  }

  best(jobs: readonly Job[], days: readonly number[]): Seat | null {
    let best: { seat: Seat; worth: number } | null = null
    for (const day of days)
      for (const job of jobs) {
        if (!this.allows(job, day)) continue
        for (const part of this.week.grid.parts.keys()) {
          const seat = this.seat(job, day, part)
          const worth = seat === null ? WORST : this.worth(seat)
          if (seat !== null && worth > (best?.worth ?? WORST)) best = { seat, worth }
        }
      }
    return best?.seat ?? null
  }
}

const workOf = ({ asked }: Week, h: number): readonly Job[] =>
  asked.horses[h]!.options.map((option, o) => ({
    horse: h,
    due: null,
    option: o,
    minutes: option.minutes,
    use: option.use,
    roles: option.roles,
    isLoad: isLoadVisit(option),
    isHard: isHardVisit(option),
  }))

/** Due visits by date, each on the first day from which it may be done that is least late. */
const takeDues = (board: Board): void => {
  const { asked, grid } = board.week
  const byDate = asked.dues
    .map((due, d) => ({ due, d }))
    .toSorted((a, b) => a.due.dueDay.localeCompare(b.due.dueDay))
  for (const { due, d } of byDate) {
    const horse = asked.horses.findIndex(({ id }) => id === due.horse)
    if (horse < 0 || board.seats.some(({ job }) => job.due === d)) continue
    const job: Job = {
      horse,
      due: d,
      option: null,
      minutes: due.minutes,
      use: due.kind,
      roles: due.roles,
      isLoad: false,
      isHard: false,
    }
    const days = grid.days.flatMap((day, i) => (day >= due.earliestDay ? [i] : []))
    const seat = board.best([job], days)
    if (seat) board.take(seat)
  }
}

/** Visits that a small solve has found for the musts, as they are. */
const takeMusts = (board: Board, musts: readonly Visit[]): void => {
  const { asked, grid } = board.week
  const at = <T extends { readonly id: string }>(list: readonly T[], id: string | null): number =>
    list.findIndex((one) => one.id === id)
  for (const visit of musts) {
    const horse = at(asked.horses, visit.horse)
    const due = visit.due === null ? null : at(asked.dues, visit.due)
    const job =
      due === null
        ? workOf(board.week, horse)[visit.option!]!
        : {
            horse,
            due,
            option: null,
            minutes: asked.dues[due]!.minutes,
            use: visit.use,
            roles: asked.dues[due]!.roles,
            isLoad: false,
            isHard: false,
          }
    board.take({
      job,
      day: grid.days.indexOf(visit.day),
      part: grid.parts.findIndex(({ id }) => id === visit.part),
      slot: minutesAt(visit.start) / grid.slotMinutes,
      slots: visit.slots,
      lead: at(asked.people, visit.lead),
      helper: visit.helper === null ? null : at(asked.people, visit.helper),
      place: at(asked.places, visit.place),
    })
  }
}

/**
 * A week at once, good but not the best: the musts, then dues by date, then round after round the horse that misses
 * most, its best day and option that fit, with the least busy lead.
 */
export const greedyWeek = (given: WeekAsked, musts: readonly Visit[] = []): readonly Visit[] => {
  const week = weekOf(inOrder(given))
  const { asked, grid } = week
  const board = new Board(week)
  takeMusts(board, musts)
  takeDues(board)
  const days = grid.days.map((_, i) => i)
  const open = new Set(asked.horses.keys())
  while (open.size > 0) {
    const missing = (h: number): number => wantedOf(asked.horses[h]!, grid.days) - board.visitsOf(h)
    const [most] = [...open].toSorted((a, b) => missing(b) - missing(a) || a - b)
    const seat = board.best(workOf(week, most!), days)
    if (seat === null) open.delete(most!)
    else board.take(seat)
  }
  return board.seats
    .map((seat): Visit => {
      const { slot, slots, job } = seat
      return { ...board.told(seat), start: timeAt(slot * grid.slotMinutes), slots, option: job.option }
    })
    .toSorted(
      (a, b) =>
        a.day.localeCompare(b.day) || a.start.localeCompare(b.start) || a.horse.localeCompare(b.horse),
    )
}
