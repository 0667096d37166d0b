import { describe, expect, it } from 'vitest'
import { addDays } from '../answer'
import { tackBook, type TackTold } from './tack-book'

const ON = '2026-05-14'
const ago = (days: number) => addDays(ON, -days)
const TOLD: TackTold = {
  worn: [{ on: ago(90), saddle: 'Old leather', girthHole: 3 }],
  saddleLooks: [{ on: ago(30), passed: true }],
  mouthLooks: [{ on: ago(100), passed: true }],
  weightsKg: [
    { on: ago(40), value: 420 },
    { on: ago(2), value: 430 },
  ],
  withersCm: [],
  carries: [],
}
const book = (change: Partial<TackTold>) => tackBook({ ...TOLD, ...change }, { on: ON, ageLowMonths: 40 })

describe('the tack of a horse', () => {
  it('is checked for sixty days while it grows, and less where it grew', () => {
    expect(book({}).saddle).toMatchObject({ holdsToOn: '2026-06-13', reasons: [], says: 'ok' })
    const heavier = { weightsKg: [TOLD.weightsKg[0]!, { on: ago(2), value: 445 }] }
    expect(book(heavier).saddle).toMatchObject({ reasons: ['weight'], says: 'due' })
    const looser = { worn: [...TOLD.worn, { on: ago(1), saddle: 'old leather ', girthHole: 5 }] }
    expect(book(looser).saddle.reasons).toEqual(['girth'])
  })

  it('was never checked with another saddle', () => {
    const other = book({ worn: [...TOLD.worn, { on: ago(5), saddle: 'New one', girthHole: null }] })
    expect(other).toMatchObject({ isNewSaddle: true, saddle: { reasons: ['never'], says: 'stop' } })
  })

  it('counts the carries of one day as one, and asks for a mouth that was looked at', () => {
    const carries = Array.from({ length: 12 }, (_, i) => ({
      day: ago(26 - 2 * i),
      minutes: 20,
      quietMinutes: 19,
    }))
    expect(book({ carries }).contact).toMatchObject({
      days: 12,
      quietMinutes: 228,
      says: 'contact-may-begin',
    })
    expect(book({ carries: [...carries, carries.at(-1)!] }).contact.days).toBe(12)
    expect(book({ carries, mouthLooks: [{ on: ago(400), passed: true }] }).contact.says).toBe('stop')
  })
})
