import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { PLAIN, type Side } from '../answer'
import { STANDARD_MODEL, type Estimate } from '../judgement'
import { replayPredicting } from '../evidence'
import { FEET_FIRST, stepOf, type CarryOver, type Program, type Step } from '../program'
import { viewsOf, type TrackedAnswer } from './horse'
import { trackKey } from './track-key'

interface Case {
  name: string
  program: {
    steps: Pick<Step, 'key' | 'kind' | 'requiredRung' | 'sided' | 'allRound' | 'need'>[]
    carryOver: CarryOver[]
  }
  judgedOn: string
  answers: (Partial<TrackedAnswer> &
    Pick<TrackedAnswer, 'step' | 'side' | 'rung' | 'grade' | 'calm'> & { at: string })[]
  expect: Record<'talent' | 'ease' | 'speed', { mean: number; sd: number }> & {
    tracks: (Record<string, unknown> & {
      step: string
      side: Side
      predicted: number[]
      predictedCalm: number[]
    })[]
  }
}

const file = new URL('../../tests/vectors/readiness.json', import.meta.url)
const vectors = JSON.parse(readFileSync(file, 'utf8')) as { tolerance: number; cases: Case[] }

const MODEL_STEP = stepOf(FEET_FIRST, 'settle-in-pen')!

/** A program of these steps alone: no gates, no needs, a rung for each up to the required one. */
const programOf = ({ steps, carryOver }: Case['program']): Program => ({
  ...FEET_FIRST,
  carryOver,
  gates: [],
  steps: steps.map((step) => {
    const rungs = Array.from({ length: step.requiredRung }, (_, i) => `rung ${i + 1}`)
    return { ...MODEL_STEP, ...step, rungs, rungCount: rungs.length, needs: [], does: rungs.map(() => ({})) }
  }),
})

const toAnswer = ({ at, ...rest }: Case['answers'][number]): TrackedAnswer => ({
  ...PLAIN,
  ...rest,
  day: at.slice(0, 10),
})

const expectNear = (actual: unknown, expected: unknown, path: string): void => {
  if (typeof expected === 'number' && !Number.isInteger(expected)) {
    expect(Math.abs((actual as number) - expected), path).toBeLessThanOrEqual(vectors.tolerance)
  } else if (Array.isArray(expected)) {
    expect((actual as unknown[]).length, path).toBe(expected.length)
    expected.forEach((item, i) => expectNear((actual as unknown[])[i], item, `${path}[${i}]`))
  } else if (expected !== null && typeof expected === 'object') {
    for (const [key, value] of Object.entries(expected))
      expectNear((actual as Record<string, unknown>)[key], value, `${path}.${key}`)
  } else if (typeof expected === 'number') expect(actual, path).toBeCloseTo(expected, 2)
  else expect(actual, path).toEqual(expected)
}

const spreadOf = ({ mean, variance }: Estimate) => ({ mean, sd: Math.sqrt(variance) })

describe('the readiness check cases', () => {
  it('holds all 56 of them', () => expect(vectors.cases).toHaveLength(56))

  it.each(vectors.cases)('$name', ({ program: told, judgedOn, answers, expect: expected }) => {
    const program = programOf(told)
    const asked = answers
      .filter(({ at }) => at.slice(0, 10) <= judgedOn)
      .map((answer, n) => ({ ...answer, n }))
      .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.n - b.n))
      .map(toAnswer)
    const { records, predictions } = replayPredicting(STANDARD_MODEL, program, asked)
    const { talent, ease, speed } = records.horse
    expectNear(
      { talent: spreadOf(talent), ease: spreadOf(ease), speed: spreadOf(speed) },
      { talent: expected.talent, ease: expected.ease, speed: expected.speed },
      'own',
    )
    const views = viewsOf(STANDARD_MODEL, program, { records, on: judgedOn })
    for (const track of expected.tracks) {
      const { step, side, ...told } = track
      const ofTrack = predictions.filter((one) => one.step === step && one.side === side)
      expectNear(
        {
          ...views.get(trackKey(step, side)),
          predicted: ofTrack.map(({ chance }) => chance),
          predictedCalm: ofTrack.map(({ calmChance }) => calmChance),
        },
        told,
        `${step} ${side}`,
      )
    }
  })
})
