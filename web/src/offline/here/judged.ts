import type { Line } from '@still-pine/contract'
import { judgedFrom, lineFrom, loadDaysIn, weekBefore } from '@still-pine/contract/line'
import type { Day } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { offWork } from '@still-pine/core/blocks'
import type { Program } from '@still-pine/core/program'
import { recordsWith, replayHorse, viewsOf, type Facts, type Records } from '@still-pine/core/readiness'
import type { Carried, Waiting } from '../device'
import type { AnswerHere } from './history'
import { workedHere } from './worked'

/** All that is known here of one horse. */
export interface HorseHere {
  readonly carried: Carried
  readonly waiting: readonly Waiting[]
  readonly program: Program
  readonly history: readonly AnswerHere[]
}

/** Tracks from a history, left off where the server's answers end so that one logged here costs one update. */
export class Replays {
  private readonly known = new Map<string, { readonly ids: string; readonly records: Records }>()

  constructor(private readonly most = 12) {}

  of({ carried, program, history }: HorseHere, on: Day): Records {
    const upTo = history.filter(({ day }) => day <= on)
    const firstHere = upTo.findIndex(({ waits }) => waits)
    const base = firstHere === -1 ? upTo : upTo.slice(0, firstHere)
    // An answer never changes under its id, so the ids say which history this is.
    const ids = [carried.horse.programId, ...base.map(({ id }) => id)].join()
    const records = new Map(this.baseOf(carried.horseId, ids, program, base))
    for (const answer of upTo.slice(base.length)) recordsWith(STANDARD_MODEL, program, records, answer)
    return records
  }

  private baseOf(horseId: string, ids: string, program: Program, base: readonly AnswerHere[]): Records {
    const found = this.known.get(horseId)
    if (found?.ids === ids) return found.records
    const records = replayHorse(STANDARD_MODEL, program, base)
    this.known.delete(horseId)
    this.known.set(horseId, { ids, records })
    const [oldest] = this.known.keys()
    if (this.known.size > this.most) this.known.delete(oldest!)
    return records
  }
}

/** What the stops read, with what was recorded here and has not been sent. */
export const factsHere = ({ carried, waiting }: HorseHere, on: Day): Facts => {
  const incidents = waiting.flatMap(({ item, refused }) =>
    item.do === 'incident' && !refused ? [{ ...item.incident, id: item.id }] : [],
  )
  const known = new Set(incidents.map(({ id }) => id))
  const said = waiting
    .map(({ item }) => item)
    .filter((item) => item.do === 'confirm' && item.day === on)
    .at(-1)
  return {
    born: carried.horse.born,
    checks: carried.checks,
    incidents: [...carried.incidents.filter(({ id }) => !known.has(id)), ...incidents],
    confirmed: said?.do === 'confirm' ? said.confirmed : carried.day === on ? carried.confirmed : [],
    handOver: carried.horse.handOver,
    // What was carried before these were told has neither.
    known: carried.known ?? [],
    offWork: offWork(carried.block ?? null),
  }
}

/** Load days among the six before a day. */
export const loadDaysHere = ({ carried, program, history }: HorseHere, on: Day): number => {
  const from = weekBefore(on)
  const week = history.filter(({ day }) => day >= from && day < on)
  return loadDaysIn(program, workedHere(week, []), carried.horse, on)
}

/** A horse's Line from what lies on this device. */
export const lineHere = (horse: HorseHere, on: Day, replays: Replays): Line => {
  const { carried, program, history } = horse
  const facts = factsHere(horse, on)
  const loadDays = loadDaysHere(horse, on)
  const views = viewsOf(STANDARD_MODEL, program, replays.of(horse, on), on)
  return lineFrom({
    horse: carried.horse,
    facts,
    overrules: carried.day === on ? carried.overrules : [],
    workDays: new Set(history.map(({ day }) => day).filter((day) => day <= on)).size,
    loadDays,
    judged: judgedFrom({ program, views, facts, loadDays, on }),
    on,
  })
}
