import { describe, expect, it } from 'vitest'
import { answer, ASK, day, everyOtherDay, judged, light, seeded, times } from '../../tests/logs'
import type { Answer, Grade, PlaceByHorse } from '../answer'
import { askedOn, STANDARD_MODEL } from '../judgement'
import type { JudgedStep } from '../program'
import { judge } from './judge'
import { recordWith, trackAlone } from './record'

const HOLD: JudgedStep = { kind: 'hold', requiredRung: 4, allRound: false }
const ALL_ROUND: JudgedStep = { kind: 'accept', requiredRung: 3, allRound: true }

const threeDays = (calm: 0 | 1 | 2): Answer[] =>
  everyOtherDay(
    3,
    times(5, () => light(calm)),
  )

describe('what a log is worth', () => {
  it('is New with no answers, at a chance of 0.088', () => {
    const view = judged([], day(0))
    expect(view.state).toBe('new')
    expect(view.chance).toBeCloseTo(0.088, 3)
    expect(view.calmChance).toBeCloseTo(0.281, 3)
    expect(view.openAt).toBe(1)
    expect(view.asksNeeded).toBeNull()
  })

  it('is Solid after three days of five light, watchful answers', () => {
    const view = judged(threeDays(1), day(5))
    expect(view.state).toBe('solid')
    expect(view.chance).toBeCloseTo(0.906, 3)
    expect(view.low).toBeCloseTo(0.827, 3)
  })

  it('turns Rusty after 21 days off, with one ask to tell', () => {
    const view = judged(threeDays(1), day(25))
    expect([view.state, view.asksNeeded]).toEqual(['rusty', 1])
  })

  it('needs two asks after 60 days off', () => {
    const view = judged(threeDays(1), day(64))
    expect([view.state, view.asksNeeded]).toEqual(['rusty', 2])
    expect(view.chance).toBeCloseTo(0.815, 3)
  })

  it('is only Coming, and reactive, when every answer was tight', () => {
    const view = judged(threeDays(2), day(5))
    expect([view.state, view.temper, view.openAt]).toEqual(['coming', 'reactive', 1])
    expect(view.calmChance).toBeCloseTo(0.019, 3)
  })

  it.each([
    ['firm', { grade: 2 }],
    ['tight', { calm: 2 }],
    ['on the easiest rung', { rung: 1 }],
  ] as const)('is not Solid when the first ask of each day was %s', (_, first) => {
    const log = everyOtherDay(5, [{ ...light(), ...first }, ...times(5, () => light())])
    expect(judged(log, day(10)).state).not.toBe('solid')
  })

  it('is Slipped by one fight until two clean days', () => {
    const good = everyOtherDay(
      5,
      times(6, () => light()),
    )
    const fight = [...times(3, () => light()), { grade: 4 as Grade, calm: 0 as const }, light()].map((one) =>
      answer({ day: day(10), ...one }),
    )
    const clean = (n: number) => times(6, () => answer({ day: day(n) }))
    expect(judged([...good, ...fight], day(11)).state).toBe('slipped')
    expect(judged([...good, ...fight, ...clean(12)], day(13)).state).toBe('slipped')
    expect(judged([...good, ...fight, ...clean(12), ...clean(14)], day(15)).state).toBe('solid')
  })

  it('is Solid as a hold after two days at the required rung, not after one', () => {
    const rungs = [1, 2, 3, 4, 4]
    const log = rungs.map((rung, i) => answer({ day: day(i), rung }))
    expect(judged(log.slice(0, 4), day(4), HOLD).state).toBe('coming')
    expect(judged(log, day(5), HOLD).state).toBe('solid')
  })

  it('is Solid all round only from all five places and moving', () => {
    const from = (places: readonly PlaceByHorse[]) =>
      everyOtherDay(
        4,
        places.map((place) => ({ ...light(), place, moving: true })),
      )
    const front = judged(from([1, 1, 1, 1, 1]), day(7), ALL_ROUND)
    expect(front.state).toBe('coming')
    expect(front.placesMissing).toEqual([2, 3, 4, 5])
    const round = judged(from([1, 2, 3, 4, 5]), day(7), ALL_ROUND)
    expect([round.state, round.placesMissing, round.movingMissing]).toEqual(['solid', [], 0])
    expect(judged(from([1, 2, 3, 4, 5]), day(68), ALL_ROUND).placesMissing).toEqual([1, 2, 3, 4, 5])
  })

  it('leaves an uncued answer out of everything', () => {
    const log = threeDays(1)
    const uncued = answer({ day: day(4), grade: 4, calm: 2, uncued: true })
    expect(judged([...log, uncued], day(5))).toEqual(judged(log, day(5)))
  })

  it('says what is missing, rule by rule', () => {
    const rules = judged([answer({ calm: 2 })], day(1)).misses.map(({ rule }) => rule)
    expect(rules).toEqual(['chance', 'low', 'calm', 'days', 'answers', 'cold'])
  })
})

describe('how often it says Solid', () => {
  const HORSES = 120

  /** A horse whose true rate of light answers never changes: six loose answers a day, every other day. */
  const solidDays = (rate: number, seed: number): boolean[] => {
    const draw = seeded(seed)
    const grade = (): Grade => {
      if (draw() < rate) return draw() < 0.2 ? 0 : 1
      return draw() < 0.75 ? 2 : 3
    }
    let track = trackAlone(STANDARD_MODEL, ASK, [])
    return times(10, (i) => {
      for (let ask = 0; ask < 6; ask++)
        track = recordWith(STANDARD_MODEL, ASK, {
          record: track.record,
          horse: askedOn(STANDARD_MODEL, track.horse, { track: '', day: day(2 * i) }),
          answer: answer({ day: day(2 * i), grade: grade() }),
        })
      return judge(STANDARD_MODEL, ASK, { ...track, on: day(2 * i + 2) }).state === 'solid'
    }).slice(2)
  }

  // The product's own operating character, worked out apart from this code.
  it.each([
    [0.5, 0.01, 0.08],
    [0.6, 0.06, 0.27],
    [0.7, 0.25, 0.8],
    [0.8, 0.51, 0.98],
    [0.9, 0.84, 1],
    [0.95, 0.94, 1],
  ])(
    'at a true rate of %f calls %f of the days Solid, and %f of the horses on some day',
    (rate, ofDays, ofHorses) => {
      const horses = times(HORSES, (i) => solidDays(rate, 1000 * rate + i))
      const share = horses.flat().filter(Boolean).length / (HORSES * 8)
      expect(Math.abs(share - ofDays)).toBeLessThan(0.06)
      const everSolid = horses.filter((days) => days.some(Boolean)).length / HORSES
      // Three standard errors of the difference of two shares, the figure’s own from 60 horses, and its rounding.
      expect(Math.abs(everSolid - ofHorses)).toBeLessThan(
        3 * Math.sqrt(ofHorses * (1 - ofHorses) * (1 / HORSES + 1 / 60)) + 0.01,
      )
    },
  )
})
