import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gaitPresses, SPEEDS, type Press } from '../load'
import { ride, rideCaps } from './book'
import { riddenRows, ridingWarnings } from './riding'

const press = (at: number, key: Press['key']): Press => ({ at, key })

describe('a ride from two buttons', () => {
  it('is told stretch by stretch, so that the walk before the trot is the warm-up', () => {
    const presses = [
      press(0, 'forward'),
      press(120, 'forward'),
      press(180, 'side'),
      press(240, 'back'),
      press(300, 'back'),
    ]
    expect(riddenRows({ rein: 'left', presses, endAt: 330 })).toEqual([
      { rein: 'left', gait: 'walk', minutes: 2 },
      { rein: 'left', gait: 'trot', minutes: 1 },
      { rein: 'right', gait: 'trot', minutes: 1 },
      { rein: 'right', gait: 'walk', minutes: 1.5 },
    ])
  })

  it('has the minutes that the lunge would have from the same presses, standing told as walk', () => {
    const key = fc.constantFrom<Press['key']>('forward', 'back', 'side')
    const gap = fc.integer({ min: 0, max: 90 })
    fc.assert(
      fc.property(fc.array(fc.tuple(gap, key), { minLength: 1, maxLength: 40 }), (told) => {
        let at = 0
        const presses = told.map(([after, key]) => press((at += after), key))
        const endAt = at + 30
        const { seconds } = gaitPresses('left', presses, endAt)
        const rows = riddenRows({ rein: 'left', presses, endAt })
        for (const rein of ['left', 'right'] as const) {
          const of = (gait: string): number =>
            60 *
            rows
              .filter((row) => row.rein === rein && row.gait === gait)
              .reduce((sum, { minutes }) => sum + minutes, 0)
          expect(of('walk')).toBeCloseTo(seconds[rein].walk + seconds[rein].stand, 6)
          expect(of('trot')).toBeCloseTo(seconds[rein].trot, 6)
          expect(of('canter')).toBeCloseTo(seconds[rein].canter, 6)
        }
      }),
    )
  })
})

describe('what is said while it is ridden', () => {
  const GROWN = 72
  const said = (
    minutes: { walk?: number; trot?: number; canter?: number },
    { helper = true, number = 5 } = {},
  ) =>
    ridingWarnings(
      ride({
        rideNumber: number,
        ageLowMonths: GROWN,
        groundMinutes: 10,
        helper,
        rows: (['walk', 'trot', 'canter'] as const).map((gait) => ({
          rein: 'left' as const,
          gait,
          minutes: minutes[gait] ?? 0,
        })),
        speeds: SPEEDS,
      }),
      rideCaps(number, GROWN),
    )

  it('comes before the end, and at it', () => {
    expect(said({ walk: 8 })).toEqual([])
    expect(said({ walk: 9.4 })).toEqual(['0.5 minutes left: begin to end it well.'])
    expect(said({ walk: 10 })).toEqual(['That is the ride: slack rein, get down, five minutes walked.'])
  })

  it('brings it back to walk when the trot is used, and from any canter there is none of', () => {
    expect(said({ walk: 2, trot: 3.1 })).toEqual(['3 minutes of trot are enough: back to walk.'])
    expect(said({ walk: 2, canter: 0.1 })).toEqual(['No canter on this ride: back to walk.'])
  })

  it('gets the rider down where nobody is on the ground', () => {
    expect(said({ walk: 1 }, { helper: false })).toEqual(['Nobody is on the ground: get down.'])
  })
})
