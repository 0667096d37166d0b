import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { loadSolver, type Solver } from '../solver'
import type { WeekAsked } from './asked'
import type { Clash } from './musts'
import { planWeek } from './plan'

interface Case {
  readonly name: string
  readonly input: WeekAsked
  readonly expect: {
    readonly objective: number
    readonly terms: Record<string, number>
    readonly visits: number
    readonly clashes: readonly { must: string; with: readonly string[] }[]
  }
}

const { tolerance, cases } = JSON.parse(
  readFileSync(new URL('../../tests/vectors/week.json', import.meta.url), 'utf8'),
) as { tolerance: number; cases: readonly Case[] }

const LIMITS = { relativeGap: 0, nodes: 2_000, seconds: 30 }

const asIds = ({ must, with: others }: Clash) => ({
  must: must.id,
  with: others.map((one) => (typeof one === 'string' ? one : one.id)),
})

describe('a week', () => {
  let solve: Solver
  beforeAll(async () => {
    solve = await loadSolver()
  })

  it.each(cases.map((one) => [one.name, one] as const))('%s', (_, { input, expect: wanted }) => {
    const asked = { ...input, previous: input.previous ?? [], limits: { ...LIMITS, ...input.limits } }
    const plan = planWeek(asked, solve)
    for (const [term, value] of Object.entries(wanted.terms))
      expect([
        term,
        Math.abs(plan.terms[term as keyof typeof plan.terms] - value) <= tolerance,
        plan.terms,
      ]).toEqual([term, true, plan.terms])
    expect(plan.objective).toBeCloseTo(wanted.objective, 6)
    expect(plan.bound).toBeCloseTo(wanted.objective, 5)
    expect(plan.visits.length).toBe(wanted.visits)
    expect(plan.clashes.map(asIds)).toEqual(wanted.clashes)
  })
})
