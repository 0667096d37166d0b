import type { BatchReply, Horse, Me, PromisedAsk, TodayRow } from '@still-pine/contract'
import type { Circumstances } from '@still-pine/core/circumstances'
import { SCHOOLS, type Program } from '@still-pine/core/program'
import type { Api } from './api'
import { arrangeWeeks } from './arranged'
import { detailsFor } from './details'
import { circumstancesOf } from './circumstances'
import { idMaker, startOf } from './ids'
import { historyOf, type DemoSession } from './history'
import { measuredOf } from './measured'
import { toldOf } from './told'
import { promisedBy } from './promised'
import { DEMO_PLACES, demoHorses, type DemoHorse } from './scenario'

const MINUTE_MS = 60_000

const PLACES_SEED = 7

interface SessionItems {
  readonly sessionId: string
  readonly items: readonly object[]
}

const itemsOf = (
  horseId: string,
  session: DemoSession,
  {
    order,
    makeId,
    program,
    told,
  }: {
    order: number
    makeId: (at: number) => string
    program: Program
    told: { readonly circumstances: Circumstances; readonly promised: readonly PromisedAsk[] }
  },
): SessionItems => {
  const start = startOf(session.day, order)
  const sessionId = makeId(start)
  const answers = session.answers.map(({ minute, ...answer }, nth) => {
    const at = start + Math.round(minute * MINUTE_MS)
    return {
      do: 'add',
      answer: {
        ...answer,
        ...detailsFor({ minute, ...answer }, nth, program),
        id: makeId(at),
        horseId,
        sessionId,
        at: new Date(at).toISOString(),
      },
    }
  })
  return {
    sessionId,
    items: [
      {
        do: 'session',
        session: {
          id: sessionId,
          horseId,
          startedAt: new Date(start).toISOString(),
          place: DEMO_PLACES[0]!.name,
          ...told,
        },
      },
      ...answers,
    ],
  }
}

const refusals = (reply: BatchReply): string[] =>
  reply.items.flatMap(({ status, reason }) => (status === 'refused' ? [reason ?? 'refused'] : []))

/** The most items that one batch takes. */
const BATCH = 500

const inBatches = (sessions: readonly SessionItems[]): readonly (readonly object[])[] =>
  sessions.reduce<object[][]>((batches, { items }) => {
    const last = batches.at(-1)
    if (last && last.length + items.length <= BATCH) last.push(...items)
    else batches.push([...items])
    return batches
  }, [])

const keep = async (api: Api, items: readonly object[], me: Me): Promise<void> => {
  if (items.length === 0) return
  const reply = await api.ask<BatchReply>('POST', '/answers/batch', { sentAt: me.now, items })
  const [refused] = refusals(reply)
  if (refused) throw new Error(`The demo yard was refused something: ${refused}`)
}

const send = async (api: Api, sessions: readonly SessionItems[], me: Me): Promise<void> => {
  for (const items of inBatches(sessions)) await keep(api, items, me)
}

/** The starter works most sessions, and the helper one in so many. */
const HELPER_ONE_IN = 3

const loadSessions = async (
  { starter, helper }: Hands,
  sessions: readonly SessionItems[],
  me: Me,
): Promise<void> => {
  const isHelpers = (nth: number): boolean => nth % HELPER_ONE_IN === HELPER_ONE_IN - 1
  await send(
    starter,
    sessions.filter((_, nth) => !isHelpers(nth)),
    me,
  )
  await send(
    helper,
    sessions.filter((_, nth) => isHelpers(nth)),
    me,
  )
  const confirmed = sessions.map(({ sessionId }) => ({
    do: 'note',
    id: sessionId,
    sessionId,
    note: '',
    at: me.now,
  }))
  await keep(starter, confirmed, me)
}

/** Who is signed in for whom the yard is loaded. */
export interface Hands {
  readonly starter: Api
  readonly helper: Api
}

const loadHorse = async (
  hands: Hands,
  horse: DemoHorse,
  { order, me }: { order: number; me: Me },
): Promise<void> => {
  const api = hands.starter
  const makeId = idMaker(horse.seed)
  const horseId = makeId(startOf(horse.form.arrived, order))
  const kept = await api.ask<Horse>('PUT', `/horses/${horseId}`, {
    ...horse.form,
    school: horse.school,
    version: 0,
  })
  const program = SCHOOLS.find(({ school }) => school === horse.school)!
  const history = historyOf(horse, me.today, program)
  const sessions = history.map((session, nth) =>
    itemsOf(horseId, session, {
      order,
      makeId,
      program,
      told: {
        circumstances: circumstancesOf(session.day, me.today, horse.seed),
        promised: promisedBy(history, nth),
      },
    }),
  )
  await loadSessions(hands, sessions, me)
  for (const check of horse.checks)
    await api.ask('PUT', `/horses/${horseId}/checks/${makeId(startOf(check.on, order))}`, check)
  const incidents = horse.incidents.map((incident) => ({
    do: 'incident',
    id: makeId(startOf(incident.on, order)),
    horseId,
    incident,
  }))
  const measured = measuredOf(horse, me.today).map((measurement) => ({
    do: 'measure',
    id: makeId(startOf(measurement.on, order)),
    horseId,
    measurement,
  }))
  const told = toldOf(horse, me.today).map((entry) => ({
    do: 'enter',
    id: makeId(startOf(entry.on, order)),
    horseId,
    entry,
  }))
  await keep(api, [...incidents, ...measured, ...told], me)
  for (const block of horse.blocks)
    await api.ask('PUT', `/horses/${horseId}/blocks/${makeId(startOf(block.from, order))}`, {
      ...block,
      version: 0,
    })
  if (horse.handOver.length > 0)
    await api.ask('PUT', `/horses/${horseId}/hand-over`, { steps: horse.handOver, version: kept.version })
}

/** Whether the made-up yard is all there already. */
const isFilled = async (api: Api, horses: readonly DemoHorse[]): Promise<boolean> => {
  const { rows } = await api.ask<{ rows: TodayRow[] }>('GET', '/today')
  return rows.some(({ horse }) => horse.name === horses.at(-1)!.form.name)
}

/** Fills an empty yard with the made-up one, horse by horse; one that is filled stays as it is. */
export const fill = async (
  hands: Hands,
  me: Me,
  told: (done: number, of: number) => void = () => undefined,
): Promise<void> => {
  const horses = demoHorses(me.today)
  if (await isFilled(hands.starter, horses)) return
  told(0, horses.length)
  const makeId = idMaker(PLACES_SEED)
  for (const place of DEMO_PLACES)
    await hands.starter.ask('PUT', `/places/${makeId(startOf(me.today, 0))}`, { ...place, version: 0 })
  for (const [order, horse] of horses.entries()) {
    await loadHorse(hands, horse, { order, me })
    told(order + 1, horses.length)
  }
  await arrangeWeeks(hands.starter, me)
}
