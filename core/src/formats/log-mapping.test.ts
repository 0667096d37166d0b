import { describe, expect, it } from 'vitest'
import { FEET_FIRST } from '../program'
import { faultInWords } from './answer-log'
import { dateStyleOf, instantIn } from './dates'
import { guessMapping, mapLog, type MappingOptions } from './log-mapping'
import { readTable } from './table'

describe('dates of files from elsewhere', () => {
  it('are told apart by what cannot be a month', () => {
    expect(dateStyleOf(['2026-05-03', '2026/5/14'])).toBe('year-first')
    expect(dateStyleOf(['03.05.2026', '14.05.2026'])).toBe('day-first')
    expect(dateStyleOf(['05/03/2026 8:30', '05/14/2026'])).toBe('month-first')
  })

  it('are left to a person where both can be', () => {
    expect(dateStyleOf(['03/05/2026', '04/05/2026'])).toBeNull()
    expect(dateStyleOf(['yesterday'])).toBeNull()
    expect(dateStyleOf(['13/05/2026', '05/14/2026'])).toBeNull()
  })

  it('are meant in the yard’s zone: summer and winter differ by an hour', () => {
    expect(instantIn('14/05/2026 08:30', 'day-first', 'Europe/Oslo')).toBe('2026-05-14T06:30:00.000Z')
    expect(instantIn('1/14/2026 8:30 pm', 'month-first', 'Europe/Oslo')).toBe('2026-01-14T19:30:00.000Z')
    expect(instantIn('2026-05-14', 'year-first', 'UTC')).toBe('2026-05-14T12:00:00.000Z')
    expect(instantIn('2026-05-14T08:30:00+02:00', 'day-first', 'UTC')).toBe('2026-05-14T06:30:00.000Z')
  })

  it('must be days of the calendar', () => {
    expect(instantIn('30/02/2026', 'day-first', 'UTC')).toBeNull()
    expect(instantIn('14/05/2026', 'month-first', 'UTC')).toBeNull()
    expect(instantIn('14/05/2026 25:00', 'day-first', 'UTC')).toBeNull()
  })
})

describe('a log from elsewhere', () => {
  const horses = [{ id: 'w', name: 'Whin', program: FEET_FIRST }]
  const options = (header: readonly string[], change: Partial<MappingOptions> = {}): MappingOptions => ({
    mapping: guessMapping(header),
    dateStyle: 'day-first',
    timeZone: 'Europe/Oslo',
    horses,
    ...change,
  })
  const read = (text: string) => {
    const table = readTable(text)
    return mapLog(table, options(table.header))
  }

  it('is guessed by its columns, whatever they are called', () => {
    expect(guessMapping(['Date', 'Horse name', 'Exercise', 'Side', 'Level', 'Score', 'Tension'])).toEqual({
      at: 0,
      horse: 1,
      step: 2,
      side: 3,
      rung: 4,
      grade: 5,
      calm: 6,
    })
    expect(guessMapping(['day', 'date', 'at'])).toEqual({ at: 2 })
  })

  it('is read with numbers or words', () => {
    const { answers, faults } = read(
      'Horse;Step;Date;Side;Rung;Grade;Calm;Recalled\n' +
        'whin;Front foot;14.05.2026;near;hand down the leg, foot stays;noticed;loose;yes\n' +
        'Whin;face-up;14.05.2026 9:00;;2;0;;\n',
    )
    expect(faults).toEqual([])
    expect(answers[0]).toMatchObject({
      step: 'foot-front',
      side: 'left',
      rung: 3,
      grade: 1,
      calm: 0,
      recalled: true,
      at: '2026-05-14T10:00:00.000Z',
    })
    expect(answers[1]).toMatchObject({ step: 'face-up', side: 'none', grade: 0, calm: null, line: 3 })
  })

  it('says of each row that cannot be read why not, and reads the others', () => {
    const { answers, faults } = read(
      'horse,step,at,side,rung,grade\n' +
        'Rush,face-up,14/05/2026,,1,1\n' +
        'Whin,whistle,14/05/2026,,1,1\n' +
        'Whin,face-up,05/14/2026,,1,1\n' +
        'Whin,face-up,14/05/2026,left,1,1\n' +
        'Whin,face-up,14/05/2026,,7,1\n' +
        'Whin,face-up,14/05/2026,,2,1\n',
    )
    expect(answers.map(({ line }) => line)).toEqual([7])
    expect(faults.map(faultInWords)).toEqual([
      'line 2, column horse: “Rush”; expected the name of a horse of this yard',
      'line 3, column step: “whistle”; expected a step of the horse’s program, by its name or key',
      'line 4, column at: “05/14/2026”; expected a day in the order day first, with or without a time',
      'line 5, column side: “left”; expected none: this step has no sides',
      'line 6, column rung: “7”; expected 1 to 4, or one of: looks, turns head, turns body, turns and waits',
    ])
  })

  it('reads a hundred thousand rows', () => {
    const row = 'Whin,face-up,14/05/2026 8:30,,2,1\r\n'
    const { answers } = read(`horse,step,at,side,rung,grade\r\n${row.repeat(100_000)}`)
    expect(answers).toHaveLength(100_000)
    expect(answers.at(-1)!.line).toBe(100_001)
  })
})
