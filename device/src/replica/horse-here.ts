import { PutIncident, type BatchItem, type Incident } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import { offLeadFrom } from '@still-pine/core/counters'
import type { Confirmation } from '@still-pine/core/facts'
import type { Program } from '@still-pine/core/program'
import type { Carried, Waiting } from '../store'
import type { AnswerHere } from './history'

/** All that is known here of one horse. */
export interface HorseHere {
  readonly carried: Carried
  readonly waiting: readonly Waiting[]
  readonly program: Program
  readonly history: readonly AnswerHere[]
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

/** Days on which a horse was ridden off the lead, after a day. */
export const ridesHere = (program: Program, history: readonly AnswerHere[], since: Day | null): number => {
  const offLead = new Map(offLeadFrom(program).map(({ step, mark }) => [step, mark]))
  const days = history
    .filter(({ uncued, step, rung }) => !uncued && rung >= (offLead.get(step) ?? Infinity))
    .map(({ day }) => day)
  return new Set(days.filter((day) => since === null || day > since)).size
}

/** What was confirmed at the pen on a day: the newest word given here, and the server's only on its own day. */
export const confirmedHere = ({ carried, waiting }: HorseHere, on: Day): readonly Confirmation[] => {
  const said = waitingItems(waiting, 'confirm').findLast(({ day }) => day === on)
  return said?.confirmed ?? (carried.day === on ? carried.confirmed : [])
}
