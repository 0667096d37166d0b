import { beforeAll, describe, expect, it } from 'vitest'
import { randomYard } from '../../tests/random-yard'
import { brokenRules } from '../../tests/week-checker'
import { loadSolver, type Solver } from '../solver'
import type { WeekAsked } from './asked'
import { everyColumn, inOrder, weekOf } from './columns'
import { greedyWeek } from './greedy'
import { allParts, weekModel } from './model'
import { keptMusts } from './musts'
import { planWeek } from './plan'
import { termsOf, worthOf } from './score'

const SAME = 1e-6

let solve: Solver
beforeAll(async () => {
  solve = await loadSolver()
})

/** The best there is by one model with every place and start. */
const bestOf = (given: WeekAsked): number => {
  const asked = inOrder(given)
  const week = weekOf(asked)
  const { kept } = keptMusts(asked, solve)
  const { model, constant } = weekModel(week, everyColumn(week), { musts: kept, exact: allParts(week) })
  return solve(model, asked.limits).objective + constant
}

describe('a planned week', () => {
  it(
    'obeys every rule in 300 made-up yards, and is no worse than the plan at once',
    { timeout: 240_000 },
    () => {
      for (let seed = 1; seed <= 300; seed++) {
        const asked = randomYard(seed, { horses: 2 + (seed % 4) })
        const plan = planWeek({ ...asked, limits: { ...asked.limits, relativeGap: 0.02 } }, solve)
        expect([seed, brokenRules(asked, plan.visits)]).toEqual([seed, []])
        expect([seed, plan.objective <= plan.bound + SAME]).toEqual([seed, true])
        expect([seed, plan.first.objective <= plan.bound + SAME]).toEqual([seed, true])
      }
    },
  )

  it('is as good as one model with every start', { timeout: 240_000 }, () => {
    for (let seed = 1; seed <= 25; seed++) {
      const asked = randomYard(1_000 + seed, { horses: 2 + (seed % 3), days: 4 })
      const plan = planWeek(asked, solve)
      expect([seed, Math.abs(plan.objective - bestOf(asked)) < SAME]).toEqual([seed, true])
      expect(plan.status).toBe('proved')
    }
  })

  it('is the same for the same yard, however it is listed', { timeout: 60_000 }, () => {
    for (const seed of [3, 8]) {
      const asked = randomYard(seed, { horses: 5 })
      const turned = {
        ...asked,
        horses: asked.horses.toReversed(),
        people: asked.people.toReversed(),
        places: asked.places.toReversed(),
      }
      const plan = planWeek(asked, solve)
      expect(planWeek(asked, solve)).toEqual(plan)
      expect(planWeek(turned, solve).visits).toEqual(plan.visits)
    }
  })
})

describe('the checker of these tests', () => {
  it('sees two horses with one person at one time, and a visit when nobody is there', () => {
    const asked = randomYard(4, { horses: 4 })
    const { visits } = planWeek(asked, solve)
    const [a, b] = visits.filter(({ due }) => due === null)
    expect(brokenRules(asked, [a!, { ...b!, day: a!.day, start: a!.start, lead: a!.lead }])).not.toEqual([])
    expect(brokenRules(asked, [{ ...a!, start: '06:00' }])).not.toEqual([])
  })
})

describe('the plan at once', () => {
  it('obeys every rule as well', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const asked = { ...randomYard(seed, { horses: 3 + (seed % 6) }), pins: [] }
      const visits = greedyWeek(asked)
      expect([seed, brokenRules(asked, visits)]).toEqual([seed, []])
      expect(Number.isFinite(worthOf(termsOf(asked, visits)))).toBe(true)
    }
  })
})
