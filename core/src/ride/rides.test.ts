import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays } from '../answer'
import { rideCaps } from './book'
import { rideBook, type ToldRide } from './rides'

const FIRST = '2026-03-01'
const ageOn = () => 60

const ridden = (on: string, change: Partial<ToldRide> = {}): ToldRide => ({
  on,
  beganAt: null,
  rows: [{ rein: 'straight', gait: 'walk', minutes: 3 }],
  groundMinutes: 10,
  helper: 'Orm',
  went: 'well',
  ...change,
})

describe('the ride book', () => {
  it('gives the first ride three minutes of walk, and none to a horse that is too young or of no known age', () => {
    expect(rideBook([], { on: FIRST, ageOn }).next).toMatchObject({
      number: 1,
      totalMinutes: 3,
      says: 'first',
    })
    expect(rideBook([], { on: FIRST, ageOn: () => 30 }).next).toMatchObject({
      totalMinutes: 0,
      says: 'too-young',
    })
    expect(rideBook([], { on: FIRST, ageOn: () => null }).next.says).toBe('too-young')
  })

  it('counts rides, whatever day they were on, in the order they were ridden', () => {
    const { rides, next } = rideBook([ridden('2026-03-09'), ridden(FIRST), ridden('2026-03-04')], {
      on: '2026-03-10',
      ageOn,
    })
    expect(rides.map(({ number, told }) => `${number} ${told.on}`)).toEqual([
      '1 2026-03-01',
      '2 2026-03-04',
      '3 2026-03-09',
    ])
    // The third was three minutes of five; the fourth may be a little longer.
    expect(next).toMatchObject({ number: 4, totalMinutes: 4, grows: 'total', says: 'longer' })
  })

  it('keeps ninety minutes on the third ride, and says that it was too much', () => {
    const long = ridden('2026-03-03', { rows: [{ rein: 'straight', gait: 'walk', minutes: 90 }] })
    const { rides } = rideBook([ridden(FIRST), ridden('2026-03-02'), long], { on: '2026-03-03', ageOn })
    expect(rides[2]!.judged).toMatchObject({ warns: ['total'], says: 'get-down' })
  })

  it('tells rides that overlap', () => {
    const at = (minutes: number) => ({ beganAt: minutes * 60_000 })
    const { rides } = rideBook([ridden(FIRST, at(0)), ridden(FIRST, at(2)), ridden(FIRST, at(60))], {
      on: FIRST,
      ageOn,
    })
    expect(rides.map((one) => one.overlaps)).toEqual([true, true, false])
  })

  it('never lets a ride that follows it go over a cap, thirty rides on, however they went', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('well' as const, 'so-so' as const, 'badly' as const), {
          minLength: 30,
          maxLength: 30,
        }),
        fc.integer({ min: 36, max: 90 }),
        (how, months) => {
          const told: ToldRide[] = []
          how.forEach((went, i) => {
            const on = addDays(FIRST, 2 * i)
            const { next } = rideBook(told, { on, ageOn: () => months })
            const most = rideCaps(i + 1, months)
            expect(next.number).toBe(i + 1)
            expect(next.totalMinutes).toBeLessThanOrEqual(most.totalMinutes + 1e-9)
            expect(next.trotMinutes).toBeLessThanOrEqual(most.trotMinutes + 1e-9)
            expect(next.canterMinutes).toBeLessThanOrEqual(most.canterMinutes + 1e-9)
            const { totalMinutes: total, trotMinutes: trot, canterMinutes: canter } = next
            told.push(
              ridden(on, {
                went,
                rows: [
                  { rein: 'straight', gait: 'walk', minutes: total - trot - canter },
                  { rein: 'left', gait: 'trot', minutes: trot / 2 },
                  { rein: 'right', gait: 'trot', minutes: trot / 2 },
                  { rein: 'left', gait: 'canter', minutes: canter },
                ],
              }),
            )
          })
          const { rides } = rideBook(told, { on: addDays(FIRST, 60), ageOn: () => months })
          for (const { judged } of rides)
            expect(judged.warns.filter((warn) => ['total', 'trot', 'canter'].includes(warn))).toEqual([])
        },
      ),
      { numRuns: 60 },
    )
  })
})
