import { describe, expect, it } from 'vitest'
import { reckonFile } from './permit-file'

const ON = '2026-06-20'

/** A file as the format has it, with what is of interest changed. */
const file = (change: Record<string, unknown> = {}) => ({
  on: ON,
  school: 'feet-first',
  horse: { born: '2021-05-01', sex: 'gelding', kind: 'horse', handled: true },
  asks: [{ step: 'settle-in-pen', rung: 1 }],
  ...change,
})

const faults = (change: Record<string, unknown>): readonly string[] => {
  const result = reckonFile(file(change))
  return result.ok ? [] : result.faults.map(({ field }) => field)
}

describe('a file of asks', () => {
  it('is answered ask by ask, with every reason', () => {
    const asks = [
      { step: 'settle-in-pen', rung: 1 },
      { step: 'lead-up', rung: 1 },
      { step: 'carry-bit', rung: 1 },
    ]
    expect(reckonFile(file({ asks, horse: { born: '2025-01-01' } }))).toMatchObject({
      ok: true,
      reply: [
        { step: 'settle-in-pen', rung: 1, permit: 'yes', because: [] },
        { step: 'lead-up', permit: 'no', because: [{ rule: 'needs' }] },
        {
          step: 'carry-bit',
          permit: 'no',
          because: [{ rule: 'age' }, { rule: 'mouth-check' }, { rule: 'needs' }],
        },
      ],
    })
  })

  it('may leave out all but its day', () => {
    expect(reckonFile({ on: ON })).toEqual({ ok: true, reply: [] })
  })

  it('names the gate it waits for', () => {
    const result = reckonFile(file({ asks: [{ step: 'surcingle', rung: 1 }] }))
    const [one] = result.ok ? (result.reply as { because: { rule: string; gate?: string }[] }[]) : []
    expect(one!.because.filter(({ rule }) => rule === 'gate')).toMatchObject([{ gate: 'first-saddle' }])
  })

  it('counts the load days of its answers', () => {
    const answers = [1, 3].map((day) => ({
      step: 'send',
      side: 'left',
      at: `2026-06-1${5 + day}T08:00:00Z`,
      rung: 4,
      grade: 1,
      calm: 0,
    }))
    const result = reckonFile(file({ horse: {}, answers, asks: [{ step: 'loose-direction', rung: 4 }] }))
    const [one] = result.ok ? (result.reply as { because: { rule: string }[] }[]) : []
    expect(one!.because.map(({ rule }) => rule)).toContain('load-days')
  })

  it.each([
    [{ on: 'tomorrow' }, 'on'],
    [{ school: 'elsewhere' }, 'school'],
    [{ horse: { born: '2027-01-01' } }, 'horse.born'],
    [{ horse: { age: { lowMonths: 60, highMonths: 36 } } }, 'horse.age.highMonths'],
    [{ checks: [{ kind: 'mood', on: ON }] }, 'checks[0].kind'],
    [{ checks: [{ kind: 'veterinary-hold', on: ON, until: '2026-06-01' }] }, 'checks[0].until'],
    [{ incidents: [{ kind: 'bolt', on: '2020-01-01' }] }, 'incidents[0].on'],
    [{ incidents: [{ kind: 'bolt', on: ON, step: 'whistle' }] }, 'incidents[0].step'],
    [{ confirmed: ['helper', 'angel'] }, 'confirmed[1]'],
    [{ answers: [{ step: 'bend', at: 'noon', rung: 1, grade: 1 }] }, 'answers[0].at'],
    [{ answers: [{ step: 'bend', at: ON, rung: 9, grade: 1 }] }, 'answers[0].rung'],
    [{ asks: [{ step: 'bend', rung: 0 }] }, 'asks[0].rung'],
    [{ rules: ['no-hats'] }, 'rules'],
    [{ horse: { hats: 1 } }, 'horse.hats'],
  ])('is refused with the field where it is wrong: %o', (change, field) => {
    expect(faults(change)).toEqual([field])
  })

  it('that is no record at all is refused', () => {
    expect(reckonFile([])).toMatchObject({ ok: false })
    expect(reckonFile(null)).toMatchObject({ ok: false })
  })
})
