import { PutIncident, type BatchItem, type Incident, type Line } from '@still-pine/contract'
import {
  factsFrom,
  judgedFrom,
  lastClosed,
  lineFrom,
  loadDaysIn,
  weekBefore,
} from '@still-pine/contract/line'
import type { Day } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { offLeadFrom } from '@still-pine/core/counters'
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

type Item<Kind extends BatchItem['do']> = Extract<BatchItem, { do: Kind }>

const waitingItems = <Kind extends BatchItem['do']>(
  waiting: readonly Waiting[],
  kind: Kind,
): readonly Item<Kind>[] =>
  waiting.flatMap(({ item, refused }) => (item.do === kind && !refused ? [item as Item<Kind>] : []))

/** The incidents of a horse, as the server knows them and as they were recorded or corrected here since. */
export const incidentsHere = ({
  carried,
  waiting,
}: Pick<HorseHere, 'carried' | 'waiting'>): readonly Incident[] => {
  const known = new Map(carried.incidents.map((one) => [one.id, one]))
  for (const { id, incident } of waitingItems(waiting, 'incident')) {
    const { because: _because, withdrawn, ...wording } = PutIncident.parse(incident)
    known.set(id, {
      id,
      ...wording,
      withdrawn:
        withdrawn === null ? null : { at: new Date(0).toISOString(), byName: '', because: withdrawn },
      earlier: known.get(id)?.earlier ?? [],
    })
  }
  return [...known.values()]
}

const ridesHere = (program: Program, history: readonly AnswerHere[], since: Day | null): number => {
  const offLead = new Map(offLeadFrom(program).map(({ step, mark }) => [step, mark]))
  const days = history
    .filter(({ uncued, step, rung }) => !uncued && rung >= (offLead.get(step) ?? Infinity))
    .map(({ day }) => day)
  return new Set(days.filter((day) => since === null || day > since)).size
}

/** What is known of a horse beside its tracks, with what was recorded here and has not been sent. */
export const factsHere = (here: HorseHere, on: Day): Facts => {
  const { carried, waiting, program, history } = here
  const incidents = incidentsHere(here)
  const said = waitingItems(waiting, 'confirm')
    .filter(({ day }) => day === on)
    .at(-1)
  const from = weekBefore(on)
  return factsFrom({
    horse: carried.horse,
    program,
    checks: carried.checks,
    incidents,
    confirmed: said ? said.confirmed : carried.day === on ? carried.confirmed : [],
    overrules: carried.day === on ? carried.overrules : [],
    known: carried.known ?? [],
    block: carried.block ?? null,
    rides: ridesHere(program, history, lastClosed(incidents)),
    week: workedHere(
      history.filter(({ day }) => day >= from && day < on),
      [],
    ),
    on,
  })
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
  const loadDays = facts.loadDays ?? 0
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
