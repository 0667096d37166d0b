import { PutIncident, type BatchItem, type Me, type Session } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import { offLeadFrom } from '@still-pine/core/counters'
import type { Program } from '@still-pine/core/program'
import { byTime, changeOf, fold, type HorseFile, type Moment } from '@still-pine/use-cases'
import { dayInZone } from '../known'
import type { Carried, Waiting } from '../store'

export type AnswerHere = HorseFile['history'][number]

/** All that is known here of one horse: what the server had, and over it what waits on this device. */
export interface HorseHere extends HorseFile {
  readonly carried: Carried
  readonly program: Program
  /** Its sessions as the server told them. */
  readonly told: readonly Session[]
}

/** Answers put in on this device come after all that the server has numbered. */
const AFTER_ALL = Number.MAX_SAFE_INTEGER / 2

/** Not yet with the server. */
export const waits = ({ seq }: AnswerHere): boolean => seq >= AFTER_ALL

/** An item as it is written now: an older app on this device may have put in an incident as it was told then. */
const asNow = (item: BatchItem): BatchItem =>
  item.do === 'incident' ? { ...item, incident: PutIncident.parse(item.incident) } : item

interface Known {
  readonly carried: Carried
  readonly program: Program
  readonly told: readonly Session[]
  readonly waiting: readonly Waiting[]
}

/** A horse with what waits for it here: each item changes its file as it will change the server's. */
export const horseHere = ({ carried, program, told, waiting }: Known, me: Me, now: Date): HorseHere => {
  const dayIn = dayInZone(me.yard.timeZone)
  const moment: Moment = {
    who: { personId: me.person.id, role: me.person.role },
    now,
    today: me.today,
    dayIn: (at) => dayIn(at.getTime()),
    clockOffMs: 0,
  }
  const fromServer: HorseFile = {
    history: [...carried.answers].sort(byTime),
    incidents: carried.incidents,
    attachments: carried.attachments ?? [],
    measurements: carried.measurements ?? [],
    entries: carried.entries ?? [],
    // What was confirmed holds for its own day alone.
    confirmed: new Map([[carried.day, carried.confirmed]]),
    arranged: carried.arranged ? new Map([[carried.day, carried.arranged]]) : new Map(),
    sessions: new Map(told.map((session) => [session.id, session])),
  }
  const file = waiting
    .filter(({ refused }) => refused === undefined)
    .reduce(
      (so, { item, order }) =>
        fold(so, changeOf(asNow(item), moment), {
          personId: me.person.id,
          personName: me.person.name,
          seq: AFTER_ALL + order,
        }),
      fromServer,
    )
  return { ...file, carried, program, told }
}

/** Days on which a horse was ridden off the lead, after a day. */
export const ridesHere = ({ program, history }: HorseHere, since: Day | null): number => {
  const offLead = new Map(offLeadFrom(program).map(({ step, mark }) => [step, mark]))
  const days = history
    .filter(({ uncued, step, rung }) => !uncued && rung >= (offLead.get(step) ?? Infinity))
    .map(({ day }) => day)
  return new Set(days.filter((day) => since === null || day > since)).size
}
