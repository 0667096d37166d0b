import { daysBetween, type Day } from '../answer'
import { coldChances, restedTo, type Model } from '../judgement'
import {
  rungNeeded,
  sidesOf,
  stepsMeeting,
  type Gate,
  type NeedRef,
  type Program,
  type Step,
} from '../program'
import { notItselfOn } from './itself'
import { MEETS_CALM, stateOn, WORK_CHANCE } from './judge'
import type { TrackRecord } from './record'
import { countedMisses } from './solid'
import type { Behind } from './tally'
import { trackKey, type Records } from './track-key'

/** Work behind a gate keeps it open for so many days. */
export const BEHIND_DAYS = 14

interface GateHistory {
  readonly model: Model
  readonly program: Program
  readonly gate: Gate
  readonly records: Records
  readonly on: Day
}

type Fits = (step: Step, record: TrackRecord, need: NeedRef) => boolean

const everySide = (
  { records }: GateHistory,
  need: NeedRef,
  { step, fits }: { step: Step; fits: Fits },
): boolean =>
  sidesOf(step).every((side) => {
    const record = records.tracks.get(trackKey(step.key, side))
    return record !== undefined && fits(step, record, need)
  })

const anyWay = (asked: GateHistory, need: NeedRef, fits: Fits): boolean =>
  stepsMeeting(asked.program, need).some((step) => everySide(asked, need, { step, fits }))

const isFresh = ({ gate, on }: GateHistory, step: Step, { belief, tally }: TrackRecord): boolean => {
  if (belief.lastDay === null || daysBetween(belief.lastDay, on) >= gate.freshDays) return false
  const today = tally.days.at(-1)
  return !gate.dueToday.includes(step.key) || (today?.day === on && today.coldPass === true)
}

interface SolidOn {
  readonly model: Model
  readonly step: Step
  readonly on: Day
  readonly solid: boolean
}

/** While a day's answers come in, all tracks but one stay as they were: what was last said of each is kept. */
const lastSolid = new WeakMap<TrackRecord, SolidOn>()

/** What only has to be counted is looked at first: most gates that are not Go fail by it. */
const isSolidOn = (model: Model, step: Step, { record, on }: { record: TrackRecord; on: Day }): boolean => {
  const last = lastSolid.get(record)
  if (last?.on === on && last.step === step && last.model === model) return last.solid
  const counted = { tally: record.tally, daysWorked: record.belief.daysWorked }
  const solid =
    countedMisses(model, step, counted).length === 0 && stateOn(model, step, { record, on }) === 'solid'
  lastSolid.set(record, { model, step, on, solid })
  return solid
}

const isSolid = (asked: GateHistory, step: Step, record: TrackRecord): boolean =>
  isFresh(asked, step, record) && isSolidOn(asked.model, step, { record, on: asked.on })

const isMet = (
  asked: GateHistory,
  step: Step,
  { record, need }: { record: TrackRecord; need: NeedRef },
): boolean => {
  const rung = rungNeeded(need, step)
  if (!isFresh(asked, step, record) || (record.tally.hardest ?? 0) < rung) return false
  const { chance, calmChance } = coldChances(asked.model, step, {
    rested: restedTo(asked.model, record.belief, asked.on),
    rung,
  })
  return chance >= WORK_CHANCE && calmChance >= MEETS_CALM
}

/** Whether the tracks of a gate are all that Go asks of them, on a day the horse is itself; its stops are not looked at. */
const isReady = (asked: GateHistory): boolean =>
  asked.gate.solid.every((need) => anyWay(asked, need, (step, record) => isSolid(asked, step, record))) &&
  asked.gate.met.every((need) =>
    anyWay(asked, need, (step, record) => isMet(asked, step, { record, need })),
  ) &&
  notItselfOn(asked.records, asked.on) === null

const isWorn = (asked: GateHistory): boolean =>
  [...asked.gate.solid, ...asked.gate.met].some(
    (need) =>
      !anyWay(
        asked,
        need,
        (step, record) =>
          !['slipped', 'started'].includes(stateOn(asked.model, step, { record, on: asked.on })),
      ),
  )

/** The newest work behind a gate on any track. */
export const newestBehind = (
  all: Iterable<Readonly<Record<string, Behind>> | undefined>,
  gate: string,
): Behind | null => {
  let newest: Behind | null = null
  for (const behind of all) {
    const one = behind?.[gate]
    if (one && (newest === null || one.last > newest.last)) newest = one
  }
  return newest
}

/**
 * What is to be remembered of going behind a gate with an ask on this day: gone through on a day it was Go, or gone on
 * with not too long after; `null` where the gate was neither.
 */
export const goneBehind = (asked: GateHistory): Behind | null => {
  const { gate, records, on } = asked
  const before = newestBehind(
    [...records.tracks.values()].map(({ tally }) => tally.behind),
    gate.key,
  )
  if (before?.last === on) return before
  if (isReady(asked)) return { went: on, last: on }
  const goesOn = before !== null && daysBetween(before.last, on) <= BEHIND_DAYS && !isWorn(asked)
  return goesOn ? { went: before.went, last: on } : null
}
