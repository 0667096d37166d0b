import { describe, expect, it } from 'vitest'
import { FEET_FIRST, stepOf } from '../program'
import { partsOf } from './parts'
import { chooseWithinRide, minutesInSaddle } from './ride-minutes'
import type { Candidate, Way } from './ways'

/** One visit of six asks at a rung, or more visits: two minutes each by the seconds of an ask. */
const way = (rung: number, visits: number, worth: number): Way => ({
  kind: 'learn',
  visits,
  sides: Array.from({ length: visits }, () => [{ side: 'none', rung, asks: 6, places: [] }]),
  minutes: 3 * visits,
  worth,
  endsWell: true,
  first: [],
  isLoad: true,
})

const candidate = (key: string, ...ways: Way[]): Candidate =>
  ({ open: { step: stepOf(FEET_FIRST, key)!, tracks: [], permits: [] }, ways }) as unknown as Candidate

/** Everything that is offered, each in its longest way. */
const all = (candidates: readonly Candidate[]) => ({
  parts: candidates.flatMap((one) => partsOf(one, one.ways.at(-1)!, { role: 'learn' })),
})

const GROUND = candidate('send', way(2, 1, 9))
const RIDDEN = [
  candidate('ride-go-stop', way(2, 1, 3), way(2, 2, 5)),
  candidate('ride-bend', way(2, 1, 4), way(2, 2, 6)),
]

const within = (most: number | null) => chooseWithinRide([GROUND, ...RIDDEN], most, all).parts

describe('what is ridden in a session', () => {
  it('is counted burst by burst: what is asked from the ground is none of it', () => {
    expect(minutesInSaddle(within(null))).toBe(8)
    expect(minutesInSaddle(all([GROUND]).parts)).toBe(0)
  })

  it('keeps to the minutes of the next ride, the burst worth least left out first', () => {
    expect(minutesInSaddle(within(8))).toBe(8)
    const shorter = within(5)
    expect(minutesInSaddle(shorter)).toBe(4)
    expect(new Set(shorter.map(({ step }) => step))).toEqual(new Set(['send', 'ride-bend']))
  })

  it('takes a shorter way of the same step before it leaves the step out', () => {
    const short = within(2)
    expect(short.map(({ step }) => step)).toEqual(['send', 'ride-bend'])
    expect(minutesInSaddle(short)).toBe(2)
  })

  it('leaves riding out where the next ride is nothing, and the ground as it was', () => {
    expect(within(0).map(({ step }) => step)).toEqual(['send'])
  })
})
