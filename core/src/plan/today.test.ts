import { describe, expect, it } from 'vitest'
import { FEET_FIRST, stepOf } from '../program'
import { times } from '../../tests/logs'
import { todayFrom, type Given } from './today'

const given = (step: string, change: Partial<Given> = {}): Given => ({
  step,
  side: stepOf(FEET_FIRST, step)!.sided ? 'left' : 'none',
  rung: stepOf(FEET_FIRST, step)!.requiredRung,
  grade: 1,
  calm: 0,
  ...change,
})

const after = (...answers: Given[]) => todayFrom(FEET_FIRST, answers, 6)

describe('what a session’s answers say of the rest of it', () => {
  it('is nothing before the first', () => {
    expect(after()).toMatchObject({ minutes: 6, last: null })
    expect(after().visits.size).toBe(0)
  })

  it('counts visits: back to a step is one more, a first ask on either side is none', () => {
    const burst = (step: string) => times(3, () => given(step, { grade: 2 }))
    const today = after(
      given('send'),
      given('send', { side: 'right' }),
      ...burst('lead-up'),
      ...burst('stand'),
      ...burst('lead-up'),
    )
    expect([...today.visits]).toEqual([
      ['lead-up', 2],
      ['stand', 1],
    ])
    expect(today.last).toBe('lead-up')
  })

  it('makes what goes badly a rung smaller on that side, and leaves it at the smallest', () => {
    const hard = (rung: number) => times(2, () => given('send', { rung, grade: 3 }))
    expect([...after(...hard(3)).smaller]).toEqual([['send/left', 2]])
    expect(after(...hard(3)).over.size).toBe(0)
    expect([...after(...hard(1)).over]).toEqual([['send', 'left']])
    expect(
      after(given('send', { rung: 1, calm: 2 }), given('send', { rung: 1, calm: 2 })).over.get('send'),
    ).toBe('left')
  })

  it('is done with a step that was light and loose three times running where it has to be, on every side', () => {
    const good = (side: Given['side'], rung = 4) => times(3, () => given('send', { side, rung }))
    expect(after(...good('left')).over.size).toBe(0)
    expect(after(...good('left'), ...good('right')).over.get('send')).toBe('done')
    expect(after(...good('left', 3), ...good('right')).over.size).toBe(0)
    expect(after(...good('left'), ...good('right'), given('send', { grade: 2 })).over.size).toBe(0)
  })

  it('says nothing of a step the school does not have', () => {
    expect(after(given('send'), { ...given('send'), step: 'tango' }).over.size).toBe(0)
  })
})
