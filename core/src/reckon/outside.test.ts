import fc from 'fast-check'
import { jStat } from 'jstat'
import { describe, expect, it } from 'vitest'
import { atLeast, signTest } from '../arithmetic'
import { bodyWeight, growth, hands, weightShare } from '../body'
import { careEvent } from '../care-calendar'
import { goingWeeks } from '../going'
import { newThing } from '../jumping'
import { heat, settleTrend } from '../leave-off'
import { gaitPresses, type Press } from '../load'

describe('weight by a tape', () => {
  // Carroll and Huntington, Equine Veterinary Journal 20 (1988): girth² × length ÷ 11 877, centimetres to kilograms.
  it('is what Carroll and Huntington’s formula says of grown horses', () => {
    const { kg } = bodyWeight({ girth: 190, length: 170, unit: 'cm', kind: 'adult' })
    expect(kg).toBeCloseTo((190 * 190 * 170) / 11_877, 9)
  })

  // The worked example of extension leaflets, from memory: 70 in round, 65 in long, 965 lb.
  it('is what extension leaflets work out in inches, and nearly the same in centimetres', () => {
    const inches = bodyWeight({ girth: 70, length: 65, unit: 'in', kind: 'adult' })
    expect(Math.round(inches.lb)).toBe(965)
    const cm = bodyWeight({ girth: 70 * 2.54, length: 65 * 2.54, unit: 'cm', kind: 'adult' })
    expect(Math.abs(cm.kg / inches.kg - 1)).toBeLessThan(0.005)
  })

  it('asks whether girth and length were swapped: no horse is longer than round', () => {
    expect(bodyWeight({ girth: 160, length: 180, unit: 'cm', kind: 'adult' }).says).toBe('swapped?')
  })
})

describe('growth', () => {
  // NRC 2007, Nutrient Requirements of Horses, table 16-3: a horse of 500 kg grown, kilograms by month (from memory).
  it.each([
    [4, 168],
    [6, 216],
    [12, 321],
    [18, 387],
    [24, 429],
  ])('puts a horse of 500 kg grown at %i months to %i kg', (months, kg) =>
    expect(Math.round(500 * weightShare(months))).toBe(kg),
  )

  it('leaves a grown horse nothing to grow, and calls its high croup its build', () => {
    const grown = growth({
      ageLowMonths: 96,
      ageHighMonths: null,
      withersCm: 150,
      croupCm: 154,
      weightKg: null,
    })
    expect([grown.remainingCmMost, grown.says]).toEqual([0, 'built-so'])
  })
})

describe('hands', () => {
  // Four inches of 2.54 cm (common practice, no source).
  it.each([
    ['14.2', 147.32],
    ['16.0', 162.56],
  ])('%s are %f cm', (told, cm) => {
    const [whole, rest] = told.split('.').map(Number) as [number, number]
    expect(hands({ inches: 4 * whole + rest }).cm).toBeCloseTo(cm, 9)
    expect(hands({ cm }).hands).toBe(told)
  })
})

describe('exact tests', () => {
  it('agree with a statistics library on the binomial', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.integer({ min: 0, max: 200 }),
        (n, p, at) => {
          const k = Math.min(at, n)
          const theirs = k === 0 ? 1 : 1 - jStat.binomial.cdf(k - 1, n, p)
          expect(atLeast(n, k, p)).toBeCloseTo(theirs, 8)
        },
      ),
    )
  })

  // Tables of the sign test: 9 of 10, 0.0215; 6 of 6, 0.03125 (Dixon and Mood 1946, from memory).
  it('give the sign test’s tabled values', () => {
    expect(signTest(9, 1)).toBeCloseTo(0.021484375, 12)
    expect(signTest(6, 0)).toBeCloseTo(0.03125, 12)
  })

  it('agree with a statistics library on the spread of a chance', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (good, not) => {
        const { low, high } = newThing(good + not, good)
        expect(low).toBeCloseTo(jStat.beta.inv(0.1, good + 1, not + 1), 5)
        expect(high).toBeCloseTo(jStat.beta.inv(0.9, good + 1, not + 1), 5)
      }),
    )
  })

  // Kendall’s S of five, all rising: one order of 120 (Mann 1945).
  it('give a rising five by chance once in 120', () => {
    const rising = [1, 2, 3, 4, 5].map((settleSeconds) => ({ settleSeconds, awaySeconds: null }))
    expect(settleTrend(rising).pLonger).toBeCloseTo(1 / 120, 12)
  })

  // Wilcoxon 1945: four against four, all apart, 2 of 70.
  it('give four weeks apart from four before by chance twice in 70', () => {
    expect(goingWeeks('swing', [0, 0, 1, 1], [2, 2, 3, 3]).p).toBeCloseTo(2 / 70, 12)
  })
})

describe('heat', () => {
  // Saturated vapour at 20 °C is 23.4 hPa (WMO-No. 8, from memory): half of it at 50 %.
  it('has half of the saturated vapour at half the humidity', () =>
    expect(heat(20, 50, true).vapourHpa).toBeCloseTo(11.7, 1))

  it('stops load on a day that the sum of degrees and humidity calls fine', () => {
    const { folkSum, says } = heat(41, 20, true)
    expect(folkSum).toBeLessThan(130)
    expect(says).toBe('not-today')
  })
})

describe('a session of two buttons', () => {
  const press = fc.record({
    wait: fc.double({ min: 0, max: 400, noNaN: true }),
    key: fc.constantFrom('forward', 'back', 'side') as fc.Arbitrary<Press['key']>,
  })

  it('adds up to the time it took, wherever it was cut by a reload', () => {
    fc.assert(
      fc.property(fc.array(press, { minLength: 1, maxLength: 60 }), fc.nat({ max: 60 }), (waits, cut) => {
        let at = 0
        const presses = waits.map(({ wait, key }) => ({ at: (at += wait), key }))
        const whole = gaitPresses('left', presses, at + 5)
        const all = Object.values(whole.seconds).flatMap((rein) => Object.values(rein))
        expect(all.reduce((sum, one) => sum + one, 0)).toBeCloseTo(at + 5 - presses[0]!.at, 6)
        expect(whole.ups + whole.downs + whole.changes + whole.ignored).toBe(presses.length)
        // What was kept up to the cut tells the same of it, whatever came after.
        const kept = presses.slice(0, Math.max(1, cut))
        const before = gaitPresses('left', kept, kept.at(-1)!.at)
        const told = gaitPresses('left', presses, at + 5)
        for (const rein of ['left', 'right'] as const)
          for (const gait of ['stand', 'walk', 'trot', 'canter'] as const)
            expect(before.seconds[rein][gait]).toBeLessThanOrEqual(told.seconds[rein][gait] + 1e-6)
      }),
    )
  })
})

describe('an event of a calendar', () => {
  // RFC 5545, 3.1: no line of more than 75 octets, and what is unfolded is what was folded.
  it('has no line that is too long, in any script', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 200, unit: 'grapheme' }), (horse) => {
        const { vevent } = careEvent({
          yardId: 'y',
          horseId: 'h',
          horse,
          kind: 'hooves',
          cycle: 1,
          sequence: 0,
          stampedAt: '2026-03-01T12:00:00Z',
          fromOn: '2026-05-13',
          byOn: '2026-05-27',
        })
        const lines = vevent.split('\r\n').slice(0, -1)
        for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
        const unfolded = vevent.replaceAll('\r\n ', '')
        const [, told] = /SUMMARY:(.*)\r\n/.exec(unfolded) ?? []
        const plain = told!.replace(/\\([\\;,n])/g, (_, one: string) => (one === 'n' ? '\n' : one))
        expect(plain).toBe(`Hooves: ${horse.replace(/\r\n|\r/g, '\n')}`)
      }),
    )
  })
})
