import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Answer } from '../answer'
import { STANDARD_MODEL, type Chances } from '../belief'
import { judge } from './judge'
import type { JudgedStep } from '../program'
import { replay } from './record'

interface Case {
  name: string
  step: JudgedStep
  judgedOn: string
  answers: (Partial<Answer> & Pick<Answer, 'rung' | 'grade' | 'calm'> & { at: string })[]
  expect: Record<string, unknown> & { byRung: Chances[]; predicted: number[] }
}

const file = new URL('../../tests/vectors/readiness.json', import.meta.url)
const vectors = JSON.parse(readFileSync(file, 'utf8')) as { tolerance: number; cases: Case[] }

const toAnswer = ({ at, ...rest }: Case['answers'][number]): Answer => ({
  byChance: false,
  recalled: false,
  uncued: false,
  place: null,
  moving: false,
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
  } else expect(actual, path).toEqual(expected)
}

describe('the readiness check cases', () => {
  it('holds all 54 of them', () => expect(vectors.cases).toHaveLength(54))

  it.each(vectors.cases)('$name', ({ step, judgedOn, answers, expect: expected }) => {
    const asked = answers.map(toAnswer).filter(({ day }) => day <= judgedOn)
    const { record, predicted } = replay(STANDARD_MODEL, step, { answers: asked })
    expectNear({ ...judge(STANDARD_MODEL, step, { record, on: judgedOn }), predicted }, expected, 'case')
  })
})
