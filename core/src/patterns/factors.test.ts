import { describe, expect, it } from 'vitest'
import { incidentFactors, type AskCounted, type IncidentPlaced } from './factors'
import { incidentPatterns } from './incidents'

const DAY = '2026-05-14'
const at = (minute: number): string => new Date(Date.UTC(2026, 4, 14, 8, minute)).toISOString()

const ask = (told: Partial<AskCounted>): AskCounted => ({
  sessionId: 'a',
  at: at(0),
  day: DAY,
  step: 'send',
  side: 'left',
  personName: 'Ylva',
  ...told,
})

const happened = (told: Partial<IncidentPlaced>): IncidentPlaced => ({
  kind: 'kick',
  on: DAY,
  at: null,
  step: 'send',
  side: 'right',
  ...told,
})

const SESSIONS = [
  { id: 'a', place: 'pen', circumstances: { weather: 'wind' } },
  { id: 'b', place: 'yard', circumstances: { weather: null } },
] as const

const levelsOf = (factor: string, incidents: readonly IncidentPlaced[], asks: readonly AskCounted[]) =>
  incidentFactors({ asks, sessions: SESSIONS, incidents }).find((one) => one.factor === factor)!.levels

describe('where incidents and near misses gather', () => {
  const asks = [
    ask({}),
    ask({ at: at(12), side: 'right' }),
    ask({ at: at(31), side: 'none', step: 'stand' }),
    ask({ sessionId: 'b', at: at(200), personName: 'Ivo', step: 'stand' }),
  ]

  it('counts by what each was: a side only where there is one, a minute only where its moment is known', () => {
    const incidents = [happened({ at: at(13) }), happened({})]
    expect(levelsOf('side', incidents, asks)).toEqual([
      { level: 'left', asks: 2, incidents: 0 },
      { level: 'right', asks: 1, incidents: 2 },
    ])
    expect(levelsOf('minute', incidents, asks)).toEqual([
      { level: '0 to 5', asks: 2, incidents: 0 },
      { level: '10 to 15', asks: 1, incidents: 1 },
      { level: '20 on', asks: 1, incidents: 0 },
    ])
  })

  it('knows place, weather and handler by the session: by its moment, or by the only one that asked the step', () => {
    const places = (incident: IncidentPlaced) =>
      levelsOf('place', [incident], asks).filter(({ incidents }) => incidents > 0)
    expect(places(happened({ at: at(205), step: null }))).toEqual([{ level: 'yard', asks: 1, incidents: 1 }])
    expect(places(happened({}))).toEqual([{ level: 'pen', asks: 3, incidents: 1 }])
    // Two sessions of the day asked it: nobody knows which.
    expect(places(happened({ step: 'stand' }))).toEqual([])
    expect(levelsOf('weather', [happened({})], asks)).toEqual([{ level: 'wind', asks: 3, incidents: 1 }])
    expect(levelsOf('handler', [happened({})], asks)).toContainEqual({ level: 'Ylva', asks: 3, incidents: 1 })
  })

  it('counts one near miss a session, and every incident', () => {
    const missed = happened({ kind: 'attention-lost' })
    const steps = (incidents: readonly IncidentPlaced[]) =>
      levelsOf('step', incidents, asks).find(({ level }) => level === 'send')!.incidents
    expect(steps([missed, missed, happened({ kind: 'tack-slipped' })])).toBe(1)
    expect(steps([missed, happened({}), happened({})])).toBe(3)
    expect(steps([happened({ kind: 'tack-slipped', hurt: 'person' }), missed])).toBe(2)
  })

  it('finds the side that has more than its share, guarded for all that was looked at', () => {
    const many = [
      ...Array.from({ length: 200 }, (_, i) => ask({ at: at(i % 4) })),
      ...Array.from({ length: 180 }, (_, i) => ask({ at: at(i % 4), side: 'right' })),
    ]
    const incidents = [
      happened({ side: 'left' }),
      ...Array.from({ length: 9 }, () => happened({ side: 'right' })),
    ]
    const found = incidentPatterns(incidentFactors({ asks: many, sessions: [], incidents }))
    const right = found.rows.find(({ level }) => level === 'right')!
    expect(found.says).toBe('found')
    // P(Binomial(10, 180/380) ≥ 9), by hand: 10 p⁹q + p¹⁰.
    const p = 180 / 380
    expect(right.p).toBeCloseTo(10 * p ** 9 * (1 - p) + p ** 10, 12)
    expect(right.pGuarded).toBeCloseTo(2 * right.p!, 12)
  })
})
