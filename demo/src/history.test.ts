import { daysBetween, gradeFromPace } from '@still-pine/core/answer'
import { FEET_FIRST, stepOf } from '@still-pine/core/program'
import { describe, expect, it } from 'vitest'
import { seededDraw } from './draw'
import { historyOf } from './history'
import { demoHorses } from './scenario'

const TODAY = '2026-05-14'
const horses = demoHorses(TODAY)
const told = new Map(horses.map((horse) => [horse, historyOf(horse, TODAY)]))

describe('the made-up histories', () => {
  it('are the same every time they are made', () => {
    for (const horse of horses.slice(4)) expect(historyOf(horse, TODAY)).toEqual(told.get(horse))
  })

  it('end before today, run forward, and lie behind the horse’s arrival', () => {
    for (const horse of horses.filter(({ spells }) => spells.length > 0)) {
      const days = told.get(horse)!.map(({ day }) => day)
      expect(daysBetween(days.at(-1)!, TODAY)).toBe(horse.spells.at(-1)!.endsBefore)
      expect([horse.form.name, days[0]! > horse.form.arrived]).toEqual([horse.form.name, true])
      expect([...new Set(days)].sort()).toEqual(days)
    }
  })

  it('hold only answers that their program can hold', () => {
    for (const horse of horses)
      for (const { answers } of told.get(horse)!)
        for (const { step: key, side, rung, grade, seconds } of answers) {
          const step = stepOf(FEET_FIRST, key)!
          expect(rung).toBeGreaterThanOrEqual(1)
          expect(rung).toBeLessThanOrEqual(step.rungs.length)
          expect(side === 'none').toBe(!step.sided)
          if (step.kind === 'ask' && grade < 4) expect(gradeFromPace(FEET_FIRST.pace, seconds)).toBe(grade)
        }
  })

  it('run forward in minutes within a session', () => {
    for (const horse of horses)
      for (const { answers } of told.get(horse)!) {
        const minutes = answers.map(({ minute }) => minute)
        expect(minutes).toEqual([...minutes].sort((a, b) => a - b))
      }
  })

  it('tell the same story from any day', () => {
    const later = demoHorses('2027-11-02')
    const shape = (list: typeof horses, today: string) =>
      list
        .filter(({ form }) => ['Sedge', 'Snipe', 'Teal'].includes(form.name))
        .map((horse) => historyOf(horse, today).map(({ answers }) => answers.map(({ grade }) => grade)))
    expect(shape(later, '2027-11-02')).toEqual(shape(horses, TODAY))
  })
})

describe('seeded draws', () => {
  it('lie in [0, 1) and differ by seed', () => {
    const draw = seededDraw(1)
    const values = Array.from({ length: 500 }, draw)
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...values)).toBeLessThan(1)
    expect(seededDraw(2)()).not.toBe(seededDraw(1)())
  })
})
