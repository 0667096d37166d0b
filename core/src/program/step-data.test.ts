import { describe, expect, it } from 'vitest'
import { CATALOGUE, FEET_FIRST, stepServing, withSafety, type Program } from '.'
import { rungsDataFrom } from './step-data'

const SECONDS_IN: Readonly<Record<string, number>> = { s: 1, min: 60 }

/** What the words of a rung say of time and distance: the check reads them, the product does not. */
const told = (words: string) => {
  const [, time, unit] = /(\d+) (s|min)\b/.exec(words) ?? []
  const [, metres] = /(\d+) m\b/.exec(words) ?? []
  return {
    ...(time && unit ? { seconds: Number(time) * SECONDS_IN[unit]! } : {}),
    ...(metres ? { metres: Number(metres) } : {}),
  }
}

describe('the data of a rung', () => {
  it('is what its words say, on every rung that ships', () => {
    for (const { does, rungs } of CATALOGUE)
      rungs.forEach((words, i) => expect({ words, ...does![i] }).toMatchObject(told(words)))
  })

  it('says canter wherever a rung exposes to it and its words name no other pace', () => {
    for (const { does, exposures, rungs } of CATALOGUE)
      rungs.forEach((words, i) => {
        if (exposures![i]!.includes('canter') && /^canter|strides/.test(words))
          expect(does![i]!.pace).toBe('canter')
      })
  })

  it('is read for one rung, some, or all from one on', () => {
    expect(rungsDataFrom('30s@2 3m@2 trot@2-3 loads@3- cheek@1 ear@1', 4)).toEqual([
      { bears: ['cheek', 'ear'] },
      { seconds: 30, metres: 3, pace: 'trot' },
      { pace: 'trot', loads: true },
      { loads: true },
    ])
  })
})

describe('a school from before its steps told their data', () => {
  const before = (program: Program): Program => ({
    ...program,
    school: 'our-own',
    copyOf: 'feet-first',
    steps: program.steps.map(
      ({ does: _does, serves: _serves, use: _use, shows: _shows, newInWind: _new, ...step }) => step,
    ),
  })

  it('reads as the one it was copied from', () => {
    const read = withSafety(before(FEET_FIRST))
    for (const [i, step] of FEET_FIRST.steps.entries()) {
      const { does, serves, use, shows, newInWind } = read.steps[i]!
      expect({ does, serves, use, shows, newInWind }).toEqual({
        does: step.does,
        serves: step.serves,
        use: step.use,
        shows: step.shows,
        newInWind: step.newInWind,
      })
    }
    expect(stepServing(read, 'steps-back')?.key).toBe('step-back')
  })

  it('has a step of its own judged by where it stands', () => {
    const {
      does: _does,
      serves: _serves,
      newInWind: _new,
      ...old
    } = FEET_FIRST.steps.find(({ key }) => key === 'bend')!
    const own = { ...old, key: 'our-own-bend', exposures: [] }
    const program = before({ ...FEET_FIRST, steps: [...FEET_FIRST.steps, own] })
    const read = withSafety(program).steps.at(-1)!
    expect([read.serves, read.newInWind]).toEqual([['refreshes'], false])
  })
})
