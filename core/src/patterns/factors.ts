import type { Day, Side } from '../answer'
import type { Circumstances } from '../circumstances'
import { isNearMiss, type Incident } from '../facts'
import type { Factor, Level } from './incidents'

/** An ask as it is counted: when, where, by whom. */
export interface AskCounted {
  readonly sessionId: string
  /** ISO 8601 in UTC. */
  readonly at: string
  readonly day: Day
  readonly step: string
  readonly side: Side
  readonly personName: string
}

interface SessionNoted {
  readonly id: string
  /** The yard’s name for where it was. */
  readonly place: string | null
  readonly circumstances: Pick<Circumstances, 'weather'>
}

/** An incident with its moment and side, where they are known. */
export interface IncidentPlaced extends Incident {
  readonly at: string | null
  readonly side: Side | null
}

interface Logged {
  readonly asks: readonly AskCounted[]
  readonly sessions: readonly SessionNoted[]
  readonly incidents: readonly IncidentPlaced[]
}

const MINUTE_MS = 60_000
const BAND_MINUTES = 5
const LAST_BAND = 4
/** A session is still on for so long after its last ask. */
const AFTERWARDS_MS = 15 * MINUTE_MS

/** "0 to 5", "5 to 10", and one for all that is later. */
const bandOf = (minute: number): string => {
  const band = Math.min(LAST_BAND, Math.floor(minute / BAND_MINUTES))
  return band === LAST_BAND
    ? `${LAST_BAND * BAND_MINUTES} on`
    : `${band * BAND_MINUTES} to ${(band + 1) * BAND_MINUTES}`
}

interface Span {
  readonly id: string
  readonly day: Day
  readonly fromMs: number
  readonly toMs: number
  readonly asks: readonly AskCounted[]
}

const spansOf = (asks: readonly AskCounted[]): readonly Span[] => {
  const bySession = new Map<string, AskCounted[]>()
  for (const ask of asks) {
    const known = bySession.get(ask.sessionId)
    if (known) known.push(ask)
    else bySession.set(ask.sessionId, [ask])
  }
  return [...bySession].map(([id, ofSession]) => {
    const times = ofSession.map(({ at }) => Date.parse(at))
    return {
      id,
      day: ofSession[0]!.day,
      fromMs: Math.min(...times),
      toMs: Math.max(...times),
      asks: ofSession,
    }
  })
}

/** The session an incident was in: by its moment, else the only one of its day, or the only one that asked its step. */
const sessionOf = ({ on, at, step }: IncidentPlaced, spans: readonly Span[]): Span | null => {
  const ofDay = spans.filter(({ day }) => day === on)
  if (at !== null) {
    const ms = Date.parse(at)
    return ofDay.find(({ fromMs, toMs }) => ms >= fromMs - MINUTE_MS && ms <= toMs + AFTERWARDS_MS) ?? null
  }
  if (ofDay.length === 1) return ofDay[0]!
  const asked = ofDay.filter(({ asks }) => asks.some((ask) => ask.step === step))
  return asked.length === 1 ? asked[0]! : null
}

/** Of the near misses of a session one counts. */
const counted = (incidents: readonly IncidentPlaced[], spans: readonly Span[]) => {
  const missed = new Set<string>()
  return incidents.flatMap((incident) => {
    const session = sessionOf(incident, spans)
    const of = session?.id ?? incident.on
    if (isNearMiss(incident)) {
      if (missed.has(of)) return []
      missed.add(of)
    }
    return [{ incident, session }]
  })
}

type Counted = ReturnType<typeof counted>[number]

interface FactorOf {
  readonly factor: string
  readonly ofAsk: (ask: AskCounted, span: Span) => string | null
  readonly ofIncident: (one: Counted) => string | null
}

/** The one thing that all asks of a session had, where it had one. */
const only = (values: readonly (string | null)[]): string | null => {
  const known = new Set(values.filter((value) => value !== null))
  return known.size === 1 ? [...known][0]! : null
}

/** What was noted of a session. */
type Noted = (sessionId: string) => string | null

const factorsWith = ({ placeOf, weatherOf }: Record<'placeOf' | 'weatherOf', Noted>): readonly FactorOf[] => [
  {
    factor: 'side',
    ofAsk: ({ side }) => (side === 'none' ? null : side),
    ofIncident: ({ incident: { side } }) => (side === 'none' ? null : side),
  },
  { factor: 'step', ofAsk: ({ step }) => step, ofIncident: ({ incident: { step } }) => step },
  {
    factor: 'place',
    ofAsk: ({ sessionId }) => placeOf(sessionId),
    ofIncident: ({ session }) => session && placeOf(session.id),
  },
  {
    factor: 'weather',
    ofAsk: ({ sessionId }) => weatherOf(sessionId),
    ofIncident: ({ session }) => session && weatherOf(session.id),
  },
  {
    factor: 'minute',
    ofAsk: ({ at }, { fromMs }) => bandOf((Date.parse(at) - fromMs) / MINUTE_MS),
    ofIncident: ({ incident: { at }, session }) =>
      at === null || !session ? null : bandOf(Math.max(0, Date.parse(at) - session.fromMs) / MINUTE_MS),
  },
  {
    factor: 'handler',
    ofAsk: ({ personName }) => personName,
    ofIncident: ({ session }) => session && only(session.asks.map(({ personName }) => personName)),
  },
]

const tally = (values: readonly (string | null)[]): ReadonlyMap<string, number> => {
  const counts = new Map<string, number>()
  for (const value of values) if (value !== null) counts.set(value, (counts.get(value) ?? 0) + 1)
  return counts
}

/** How often a horse was asked, and how often something happened, by side, step, place, weather, minute and handler. */
export const incidentFactors = ({ asks, sessions, incidents }: Logged): readonly Factor[] => {
  const noted = new Map(sessions.map((session) => [session.id, session]))
  const spans = spansOf(asks)
  const happened = counted(incidents, spans)
  const factors = factorsWith({
    placeOf: (id) => noted.get(id)?.place ?? null,
    weatherOf: (id) => noted.get(id)?.circumstances.weather ?? null,
  })
  return factors.map(({ factor, ofAsk, ofIncident }) => {
    const asked = tally(spans.flatMap((span) => span.asks.map((ask) => ofAsk(ask, span))))
    const came = tally(happened.map(ofIncident))
    const levels = [...new Set([...asked.keys(), ...came.keys()])].sort().map((level): Level => ({
      level,
      asks: asked.get(level) ?? 0,
      incidents: came.get(level) ?? 0,
    }))
    return { factor, levels }
  })
}
