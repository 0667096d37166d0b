import { describe, expect, it } from 'vitest'
import { FEET_FIRST, SCHOOLS } from '../program'
import { pathTo } from './path'

const first = <T>([one]: readonly T[]): T => one!

describe('the path of a forecast', () => {
  const path = pathTo(FEET_FIRST, 'first-time-up', first)
  const stepNamed = (key: string) => path.steps.find(({ step }) => step.key === key)!

  it('has what the gate asks for, what comes before it, and the gates that are passed', () => {
    expect(path.gates.map(({ key }) => key)).toEqual(['first-saddle', 'first-weight', 'first-time-up'])
    expect(stepNamed('bend')).toMatchObject({ must: 'solid', rung: 4 })
    expect(stepNamed('give-to-halter')).toMatchObject({ must: 'met' })
    // Nothing beyond the gate, and nothing that only another gate asks for.
    expect(path.steps.map(({ step }) => step.key)).not.toContain('lie-over')
    expect(path.steps.map(({ step }) => step.key)).not.toContain('foot-front')
  })

  it('keeps a girth shut behind its gate and its age, and knows what loads', () => {
    const { openings } = stepNamed('surcingle')
    expect(openings[0]).toMatchObject({ gates: [0], leastMonths: 30 })
    const { openings: saddle } = stepNamed('saddle-move')
    expect(saddle.map(({ isLoad }) => isLoad)).toContain(true)
    expect(stepNamed('stand').openings.every(({ isLoad }) => !isLoad)).toBe(true)
  })

  it('carries over from the same side alone', () => {
    const track = (key: string) => path.tracks.find((one) => one.key === key)!
    const names = track('saddle-on/left').sources.map(({ tracks }) => tracks.map((i) => path.tracks[i]!.key))
    expect(names).toEqual([['surcingle/none']])
    expect(track('bend/right').sources).toEqual([])
  })

  it('is found for every gate of every school that is not ticked', () => {
    for (const school of SCHOOLS)
      for (const gate of school.gates.filter(({ ticked }) => !ticked)) {
        const { steps, gates } = pathTo(school, gate.key, first)
        expect(gates.at(-1)!.key).toBe(gate.key)
        expect(steps.length, `${school.school} ${gate.key}`).toBeGreaterThan(0)
        expect(steps.every(({ askedBy }) => askedBy.includes(gates.length - 1))).toBe(true)
      }
  })
})
