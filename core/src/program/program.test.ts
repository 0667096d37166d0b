import { describe, expect, it } from 'vitest'
import { FEET_FIRST } from './schools'
import { gatesGuarding, postsAt, rungNeeded, stepOf, stepsMeeting, stepsOfRole } from './program'
import { rungName, sidesOf, STAGES } from './step'

const step = (key: string) => stepOf(FEET_FIRST, key)!
const keys = (steps: readonly { key: string }[]) => steps.map(({ key }) => key)

describe('looking things up in a program', () => {
  it('finds steps by key and by role, and none by a key it does not have', () => {
    expect(step('stand').name).toBe('Stand')
    expect(stepOf(FEET_FIRST, 'target')).toBeUndefined()
    // Food and target are no part of this school, so two steps go loose.
    expect(keys(stepsOfRole(FEET_FIRST, 'go-loose'))).toEqual(['loose-direction', 'draw'])
    expect(keys(stepsMeeting(FEET_FIRST, { role: 'stand-caught' }))).toEqual(['face-up', 'catch-rope'])
    expect(keys(stepsMeeting(FEET_FIRST, { step: 'bend', rung: 2 }))).toEqual(['bend'])
  })

  it('takes the required rung where a need names none', () => {
    expect(rungNeeded({ step: 'head-rub' }, step('head-rub'))).toBe(3)
    expect(rungNeeded({ step: 'head-rub', rung: 5 }, step('head-rub'))).toBe(5)
  })

  it('knows which rungs a gate closes', () => {
    const at = (key: string, rung: number) => keys(gatesGuarding(FEET_FIRST, key, rung))
    expect(at('halter-on', 3)).toEqual([])
    expect(at('halter-on', 4)).toEqual(['halter'])
    expect(at('tie', 5)).toEqual(['tie-fast'])
    // The farrier's gate guards a visit, not a rung.
    expect(at('foot-front', 7)).toEqual([])
    // Wherever an exposure stands on the path, its gate stands before it.
    expect(at('stand-to-mount', 1)).toEqual([])
    expect(at('stand-to-mount', 2)).toEqual(['first-saddle', 'first-time-up'])
    expect(at('over-from-fence', 1)).toEqual(['first-weight'])
    expect(at('saddle-move', 5)).toEqual(['first-saddle'])
    expect(at('ride-canter', 1)).toEqual(['first-saddle', 'first-time-up', 'off-the-lead', 'first-canter'])
    expect(at('poles', 4)).toEqual(['first-fence'])
  })

  it('hangs every gate’s post at one step', () => {
    const hung = FEET_FIRST.steps.flatMap(({ key }) => keys(postsAt(FEET_FIRST, key)))
    expect([...hung].sort()).toEqual(keys(FEET_FIRST.gates).sort())
    expect(keys(postsAt(FEET_FIRST, 'foot-hind'))).toEqual(['farrier'])
  })

  it('names stages, sides and rungs', () => {
    expect(STAGES).toHaveLength(9)
    expect(sidesOf(step('bend'))).toEqual(['left', 'right'])
    expect(sidesOf(step('draw'))).toEqual(['none'])
    expect(rungName(step('draw'), 2)).toBe('three steps')
    expect(rungName(step('draw'), 9)).toBe('rung 9')
  })

  it('grows the needs of a step with its later rungs only where it says so', () => {
    expect(step('sideways').needs.filter(({ fromRung }) => fromRung === 4)).toEqual([
      { step: 'stop-on-circle', fromRung: 4 },
    ])
  })
})
