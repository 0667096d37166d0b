import { describe, expect, it } from 'vitest'
import { MANNER_PARTS, type MannerPart } from '../manner'
import { stepOf, stepsMeeting, type Program } from '../program'
import { STAGES } from '../step'
import { flawsOf } from '../validate'
import { DISPUTES, FEET_FIRST, LIGHT_AIDS, MARK_AND_REWARD, SCHOOLS, STAND_FIRST } from './index'

/** Every step that must have been worked before this one opens; of a role, those that all its ways share. */
const before = (program: Program, key: string, seen = new Set<string>()): ReadonlySet<string> => {
  for (const need of stepOf(program, key)!.needs) {
    const ways = stepsMeeting(program, need)
    if (ways.length !== 1 || seen.has(ways[0]!.key)) continue
    seen.add(ways[0]!.key)
    before(program, ways[0]!.key, seen)
  }
  return seen
}

const opensAfter = (program: Program, later: string, ...earlier: string[]): void => {
  const all = before(program, later)
  for (const step of earlier) expect(all.has(step), `${later} after ${step} in ${program.name}`).toBe(true)
}

describe.each(SCHOOLS.map((school) => [school.name, school] as const))('%s', (_name, school) => {
  it('is whole: no flaw, all nine stages, all twelve gates', () => {
    expect(flawsOf(school)).toEqual([])
    expect(new Set(school.steps.map(({ stage }) => stage)).size).toBe(STAGES.length)
    expect(school.gates).toHaveLength(12)
  })

  it('says what it does and why, for every part', () => {
    for (const part of Object.keys(MANNER_PARTS) as MannerPart[]) {
      expect(school.manner[part].words.length, part).toBeGreaterThan(8)
      expect(school.manner[part].why?.length, part).toBeGreaterThan(15)
    }
  })
})

describe('the order of each school', () => {
  it('has the feet before things and noises in Feet First', () => {
    for (const { key } of FEET_FIRST.steps.filter(({ stage }) => stage === 3))
      opensAfter(FEET_FIRST, key, 'loose-direction', 'yield-hind')
    opensAfter(FEET_FIRST, 'halter-on', 'draw')
  })

  it('has the head and the catch rope before any moving in Stand First, and chases nothing', () => {
    const moving = STAND_FIRST.steps.filter(({ kind, key }) => kind === 'ask' && key !== 'face-up')
    for (const { key } of moving) opensAfter(STAND_FIRST, key, 'head-rub', 'catch-rope')
    expect(stepOf(STAND_FIRST, 'loose-direction')).toBeUndefined()
    opensAfter(STAND_FIRST, 'tie', 'stand')
  })

  it('has draw, stand and target before the halter in Mark and Reward', () => {
    opensAfter(MARK_AND_REWARD, 'halter-on', 'draw', 'stand', 'target')
    expect(MARK_AND_REWARD.gates.find(({ key }) => key === 'first-bit')!.leastMonths).toBe(36)
  })

  it('has the stick before any tap, and stop before go before turn before yield, in Light Aids', () => {
    opensAfter(LIGHT_AIDS, 'give-to-halter', 'stick-string')
    opensAfter(LIGHT_AIDS, 'lead-up', 'step-back')
    opensAfter(LIGHT_AIDS, 'yield-shoulder', 'lead-up')
    opensAfter(LIGHT_AIDS, 'yield-hind', 'yield-shoulder')
  })

  it('has food only where food is used', () => {
    for (const school of SCHOOLS)
      expect(Boolean(stepOf(school, 'food-manners'))).toBe(school === MARK_AND_REWARD)
  })
})

it('tells both sides of a dispute and what is done here', () => {
  expect(DISPUTES).toHaveLength(2)
  for (const { one, other, here } of DISPUTES)
    for (const text of [one.says, one.because, other.says, other.because, here])
      expect(text.length).toBeGreaterThan(10)
})
