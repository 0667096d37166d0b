import { describe, expect, it } from 'vitest'
import { SIGNS } from '../answer'
import { approachesOf, heatWords, leaveOffNow, mindNow, signOf } from './advice'
import { heat, type SeenSign } from './stop-now'

const at = (minute: number, ...signs: SeenSign[]) => ({
  minute,
  seen: signs.map((sign, i) => ({ sign, minute: minute - i / 2 })),
  approaches: [],
})

describe('leaving off', () => {
  it('knows every sign of worry and tiredness by its words', () => {
    for (const words of [...SIGNS.worry, ...SIGNS.tired]) expect(signOf(words)).not.toBeNull()
    expect(SIGNS.ease.map(signOf)).toEqual(SIGNS.ease.map(() => null))
  })

  it('ends at two signs of tiredness, looks at a new flinch, asks less of a horse that worries', () => {
    expect(leaveOffNow(at(9, 'forges', 'trips'))).toMatchObject({
      kind: 'leave',
      reason: '2 signs (forges, trips): end, with one easy thing it knows.',
    })
    expect(leaveOffNow(at(9, 'new-flinch'))?.kind).toBe('danger')
    expect(leaveOffNow(at(9, 'head-up', 'wide-eye', 'frozen'))?.kind).toBe('smaller')
    expect(leaveOffNow(at(9, 'head-up', 'wide-eye'))).toBeNull()
    expect(leaveOffNow(at(9, 'forges'))).toBeNull()
    expect(mindNow(at(9, 'forges'))?.headline).toBe('It begins to tire')
  })

  it('reads approaches from when each settled and how long it took', () => {
    const settled = [10, 12, 15, 19, 24].map((seconds, i) => ({ at: 40_000 * (i + 1), seconds }))
    const approaches = approachesOf(settled)
    expect(approaches[1]).toEqual({ settleSeconds: 12, awaySeconds: 28 })
    // Five in rising order: one of 5! orders is as great.
    expect(leaveOffNow({ minute: 4, seen: [], approaches })).toMatchObject({
      headline: 'It takes longer each time',
      reason: 'Over its last 5 approaches it settled later and later (1 in 120 by chance): a smaller ask.',
    })
    expect(mindNow({ minute: 4, seen: [], approaches })).toBeNull()
    const hurried = approachesOf([
      { at: 10_000, seconds: 5 },
      { at: 16_000, seconds: 4.5 },
    ])
    expect(mindNow({ minute: 1, seen: [], approaches: hurried })?.reason).toMatch(/^1 of 2 approaches/)
  })

  it('says what heat leaves, by air and humidity', () => {
    expect(heatWords(heat(20, 40, true))).toBeNull()
    expect(heatWords(heat(37.8, 20, true))).toBe('WBGT 31 °C in the sun, hot: walk only.')
    expect(heatWords(heat(36, 70, true))).toMatch(/too hot/)
  })
})
