import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/logs'
import { FEET_FIRST } from '../program'
import { calendarOf } from './calendar'

const dayOf = (gates: ReturnType<typeof calendarOf>, gate: string) =>
  gates.find((one) => one.gate === gate)!.workDays

describe('the calendar of a made-up horse', () => {
  it('comes to the early gates first, tells each day it has worked, and is the same with the same draws', () => {
    const heard: number[] = []
    const once = calendarOf(FEET_FIRST, seeded(11), { most: 40, heard: (day) => heard.push(day) })
    const saddle = dayOf(once, 'first-saddle')
    expect(saddle).toBeGreaterThan(10)
    expect(dayOf(once, 'first-time-up') ?? Infinity).toBeGreaterThan(saddle!)
    expect(dayOf(once, 'off-the-lead')).toBeNull()
    expect(heard).toEqual(Array.from({ length: 40 }, (_, i) => i + 1))
    expect(calendarOf(FEET_FIRST, seeded(11), { most: 40 })).toEqual(once)
  })
})
