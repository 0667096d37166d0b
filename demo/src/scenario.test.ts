import { PLAIN } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { FEET_FIRST } from '@still-pine/core/program'
import { gateVerdict, replayHorse, viewsOf } from '@still-pine/core/readiness'
import { describe, expect, it } from 'vitest'
import { historyOf } from './history'
import { demoHorses } from './scenario'

const judged = (name: string, today: string) => {
  const horse = demoHorses(today).find(({ form }) => form.name === name)!
  const answers = historyOf(horse, today).flatMap(({ day, answers }) =>
    answers.map((answer) => ({
      ...answer,
      day,
      ...PLAIN,
    })),
  )
  const views = viewsOf(STANDARD_MODEL, FEET_FIRST, replayHorse(STANDARD_MODEL, FEET_FIRST, answers), today)
  const facts = { born: horse.form.born, checks: [], incidents: [], confirmed: [], handOver: [] }
  return { views, answers, halter: gateVerdict(FEET_FIRST, FEET_FIRST.gates[0]!, views, facts, today) }
}

describe.each(['2026-05-14', '2027-02-28'])('the demo yard told from %s', (today) => {
  it('has Whin, all New', () => {
    const { views, answers } = judged('Whin', today)
    expect(answers).toHaveLength(0)
    expect([...views.values()].every(({ state }) => state === 'new')).toBe(true)
  })

  it('has Sedge on the way, the right side lagging', () => {
    const { views, halter } = judged('Sedge', today)
    expect(halter.verdict).toBe('not-yet')
    const left = views.get('first-touch/left')!
    const right = views.get('first-touch/right')!
    expect(left.answers).toBeGreaterThanOrEqual(4)
    expect(right.answers).toBeGreaterThanOrEqual(4)
    expect(left.chance - right.chance).toBeGreaterThan(0.15)
  })

  it('has Lapwing at Go for the halter', () => {
    expect(judged('Lapwing', today).halter.verdict).toBe('go')
  })
})
