import { describe, expect, it } from 'vitest'
import { addDays, PLAIN, type Answer } from '../answer'
import { STANDARD_MODEL } from '../judgement'
import { FEET_FIRST, stepOf } from '../program'
import { judge, trackAlone } from '../readiness'
import { askOnce, type Future } from './future'
import { judgeTable } from './judge-table'
import { pathTo } from './path'
import { isSolidTonight, morningOf } from './seen'
import { standingAt } from './standing'

const FROM = '2026-05-04'
const STEP = stepOf(FEET_FIRST, 'step-back')!
const OWN = STANDARD_MODEL.own

const path = pathTo(FEET_FIRST, 'first-time-up', ([one]) => one!)
const track = path.tracks.findIndex(({ key }) => key === 'step-back/none')

/** A horse that answers every warm ask light and watchful: it stands where that is likeliest, and learns nothing. */
const steady = (): Future => {
  const believed = {
    model: STANDARD_MODEL,
    talent: OWN.talent,
    calmTalent: OWN.ease,
    logSpeed: { mean: 0, sd: OWN.speed.sd / OWN.speed.mean },
  }
  const at = standingAt(path, believed, { tracks: [], from: FROM })
  return {
    path,
    model: STANDARD_MODEL,
    judge: judgeTable(STANDARD_MODEL),
    law: { ...STANDARD_MODEL.law, speed: 0, worry: 0 },
    own: { talent: 3.4, calmTalent: 1.7, logSpeed: 0, stiffness: 0 },
    newTracks: { abilitySd: 0, calmSd: 0 },
    tickets: path.tracks.map((_, i) => i),
    luck: { between: () => 0.5, normal: () => 0 },
    at,
    dayNames: new Map(),
  }
}

const DAYS = [0, 2, 4]
const ASKS = 5

describe('what the hand of a forecast sees', () => {
  const future = steady()
  const answers: Answer[] = []
  for (const day of DAYS)
    for (let k = 1; k <= ASKS; k++) {
      const { requiredRung: rung } = STEP
      const given = askOnce(future, { track, rung, k, day, place: null, moving: false })
      const on = addDays(FROM, day)
      answers.push({ ...PLAIN, day: on, at: `${on}T08:0${k}:00Z`, rung, ...given } as Answer)
    }

  it('is near what the judge says of the same answers', () => {
    expect(answers.map(({ grade }) => grade)).toEqual(answers.map(() => 1))
    expect(answers.map(({ calm }) => calm)).toEqual(answers.map(() => 1))
    const on = addDays(FROM, 5)
    const view = judge(STANDARD_MODEL, STEP, { ...trackAlone(STANDARD_MODEL, STEP, answers), on })
    const seen = morningOf(future, { day: 5, on }).views[track]!
    // The readiness page's second row: Solid, 0.906 and 0.827 the day after.
    expect(view.chance).toBeCloseTo(0.906, 2)
    // A mean and a spread are not the whole of a density: near it, and on the side of too little.
    expect(Math.abs(seen.chance - view.chance)).toBeLessThan(0.02)
    expect(Math.abs(seen.low - view.low)).toBeLessThan(0.075)
    expect(Math.abs(seen.calmChance - view.calmChance)).toBeLessThan(0.03)
    expect(seen).toMatchObject({
      state: view.state,
      answers: view.answers,
      daysWorked: view.daysWorked,
      hardest: view.hardest,
      lastDay: view.lastDay,
      openAt: view.openAt,
    })
    expect(isSolidTonight(future, track, 4)).toBe(true)
  })

  it('wears with rest as the judge has it, and is rusty then', () => {
    future.at.solidAtEnd[track] = 1
    const on = addDays(FROM, 64)
    const view = judge(STANDARD_MODEL, STEP, { ...trackAlone(STANDARD_MODEL, STEP, answers), on })
    const seen = morningOf(future, { day: 64, on }).views[track]!
    expect(view.state).toBe('rusty')
    expect(seen.state).toBe('rusty')
    expect(Math.abs(seen.chance - view.chance)).toBeLessThan(0.04)
  })
})
