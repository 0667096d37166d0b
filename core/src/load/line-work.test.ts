import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { strideWords } from './strides'
import { lineWarnings, lineWork, reinToEven } from './line-work'
import type { Press } from './presses'

const KEYS = ['forward', 'back', 'side'] as const

const stream = fc
  .array(fc.record({ wait: fc.double({ min: 0, max: 200, noNaN: true }), key: fc.constantFrom(...KEYS) }), {
    minLength: 1,
    maxLength: 60,
  })
  .map((gaps) => {
    let at = 0
    return gaps.map(({ wait, key }): Press => ({ at: (at += wait), key }))
  })

const total = (work: ReturnType<typeof lineWork>): number => work.leftMinutes + work.rightMinutes

const worked = (presses: readonly Press[], endAt: number, ageLowMonths: number | null = 40) =>
  lineWork({ rein: 'left', presses, endAt, diameterM: 18 }, ageLowMonths)

describe('strides to an answer', () => {
  it('is one measure at every gait, and a small horse takes more of them', () => {
    expect(strideWords(2.1, 'trot', null)).toBe('2.8 strides of trot: in time')
    expect(strideWords(2.1, 'walk', null)).toBe('1.9 strides of walk: prompt')
    expect(strideWords(2.1, 'canter', 162.56)).toBe('3.8 strides of canter: late')
    expect(strideWords(2.1, 'trot', 121.92)).toBe('3.2 strides of trot: late')
  })
})

describe('work on the line', () => {
  it('comes to the same however often a reload cuts the stream of presses', () => {
    fc.assert(
      fc.property(stream, fc.nat(59), fc.double({ min: 0, max: 300, noNaN: true }), (presses, cut, more) => {
        const endAt = presses.at(-1)!.at + more
        const whole = worked(presses, endAt)
        // What a page leaves behind when it is reloaded, and goes on from.
        const kept = JSON.parse(JSON.stringify(presses.slice(0, cut + 1))) as Press[]
        const before = worked(kept, kept.at(-1)!.at)
        expect(worked([...kept, ...presses.slice(cut + 1)], endAt)).toEqual(whole)
        expect(total(before)).toBeLessThanOrEqual(total(whole) + 1e-9)
      }),
    )
  })

  it('warns of a cap before it is reached, by age', () => {
    const trot = (minutes: number, months: number | null) =>
      worked(
        [
          { at: 0, key: 'forward' },
          { at: 1, key: 'forward' },
        ],
        60 * minutes,
        months,
      )
    expect(lineWarnings(trot(8, 30), 0)).toContain('This circle is small for a trot: give it room.')
    expect(lineWarnings(trot(8, 40), 0)).toEqual([])
    expect(lineWarnings(trot(11.4, 40), 0)[0]).toBe('0.5 minutes left to the left.')
    expect(lineWarnings(trot(12.1, 40), 0)[0]).toMatch(/^Change the rein or end: 12 minutes/)
    expect(lineWarnings(trot(1, 20), 0)).toEqual(['Under two years: handling only. No work on the line.'])
    // Of an age nobody knows, the caps of a two-year-old.
    expect(lineWarnings(trot(9.2, null), 0)[0]).toBe('0.5 minutes left to the left.')
  })

  it('warns of the canter while there is time to come down', () => {
    const canter = worked(
      [0, 1, 2].map((at) => ({ at, key: 'forward' as const })),
      2 + 110,
    )
    expect(lineWarnings(canter, 0)[0]).toBe('Come down soon: its canter for today is nearly used.')
  })

  it('says how much trot makes the reins even', () => {
    const presses: Press[] = [
      { at: 0, key: 'forward' },
      { at: 0.5, key: 'forward' },
      { at: 300, key: 'side' },
    ]
    expect(reinToEven(worked(presses, 420))).toBe('3 minutes of trot to the right make the reins even.')
    expect(reinToEven(worked(presses, 590))).toBeNull()
  })
})
