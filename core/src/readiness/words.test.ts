import { describe, expect, it } from 'vitest'
import { answer, ASK, day, everyOtherDay, judged, light, times } from '../../tests/logs'
import { gradeWord, calmWord, count } from '../answer'
import { STANDARD_MODEL } from '../judgement'
import { FEET_FIRST } from '../program'
import { recordsWith, replayHorse } from './horse'
import { ago, chanceInWords, knownFrom, missesInWords, missingInWords, sideKnownFrom } from './reasons'
import { recordWith, trackAlone } from './record'
import { noRecords } from './track-key'
import { TEMPER_WORDS, temperOf } from './temper'

describe('reasons in words and numbers', () => {
  it('says how long ago', () => {
    expect([ago(day(3), day(3)), ago(day(2), day(3)), ago(day(0), day(21))]).toEqual([
      'today',
      'yesterday',
      '21 calendar days ago',
    ])
  })

  it('says what is known and from what', () => {
    expect(knownFrom(judged([], day(0)), day(0))).toBe('not asked yet')
    expect(knownFrom(judged([answer()], day(1)), day(1))).toBe(
      'its one answer was light; last asked yesterday',
    )
    expect(knownFrom(judged([answer({ calm: 2 })], day(0)), day(0))).toBe(
      'its one answer was light but tight; last asked today',
    )
    const mixed = [...times(3, () => answer()), ...times(5, (i) => answer({ grade: 3, calm: i < 2 ? 2 : 1 }))]
    expect(sideKnownFrom('right', judged(mixed, day(4)), day(4))).toBe(
      'right: 3 of the last 8 light, 2 tight; last asked 4 calendar days ago',
    )
  })

  it('never multiplies chances, and never says that nothing can go wrong', () => {
    expect(missesInWords(2.2, 29)).toBe('Of 29 first asks about 2 are likely to fail.')
    expect(missesInWords(0.3, 5)).toBe('Of 5 first asks fewer than 1 are likely to fail.')
    expect(missesInWords(0.6, 1)).toBe('Of 1 first ask about 1 are likely to fail.')
  })

  it('lists what is missing by rule, and nothing when it is Solid', () => {
    const tightFirst = everyOtherDay(4, [{ ...light(2) }, ...times(5, () => light())])
    expect(missingInWords(judged(tightFirst, day(8)))).toMatch(
      /^Missing: .*the last first ask of a day failed/,
    )
    expect(
      missingInWords(
        judged(
          everyOtherDay(
            4,
            times(5, () => light()),
          ),
          day(8),
        ),
      ),
    ).toBe('')
  })

  it('puts no state beside a chance that seems to say otherwise without the rule it waits for', () => {
    const tightFirst = judged(everyOtherDay(6, [{ ...light(2, 0) }, ...times(5, () => light(0, 0))]), day(12))
    expect(tightFirst.state).toBe('coming')
    expect(chanceInWords(tightFirst)).toMatch(/^9\d %, but the last first ask of a day failed$/)
    expect(chanceInWords(judged([answer({ grade: 3 })], day(1)))).toMatch(/^\d+ %$/)
    expect(
      chanceInWords(
        judged(
          everyOtherDay(
            4,
            times(5, () => light()),
          ),
          day(8),
        ),
      ),
    ).toMatch(/^9\d %$/)
  })

  it('rounds a chance down, so that it never reads as enough when it is not', () => {
    const words = judged(
      everyOtherDay(
        2,
        times(3, () => light(1, 2)),
      ),
      day(4),
    ).misses.find(({ rule }) => rule === 'chance')!.words
    expect(words).toMatch(/^chance of a light answer \d+ %, needs 85 %$/)
  })
})

describe('words of the trade', () => {
  it('differ by kind', () => {
    expect([gradeWord('ask', 0), gradeWord('accept', 0), gradeWord('hold', 0)]).toEqual([
      'on the thought',
      'at ease',
      'none needed',
    ])
    expect([calmWord(0), calmWord(1), calmWord(2)]).toEqual(['loose', 'watchful', 'tight'])
    expect([count(1, 'day'), count(2, 'day')]).toEqual(['1 day', '2 days'])
  })
})

describe('the temper', () => {
  const of = (chance: number, calmChance: number, once = false) =>
    temperOf({ chance, low: 0, high: 1, calmChance }, 8, { daysWorked: 2, onceSolid: once })

  it('cuts the plane of answer and calm at a half', () => {
    expect([of(0.5, 0.5), of(0.5, 0.49), of(0.49, 0.49), of(0.49, 0.5)]).toEqual([
      'soft',
      'reactive',
      'worried',
      'learning',
    ])
  })

  it('calls slow and easy dull only where it could once', () => expect(of(0.2, 0.9, true)).toBe('dull'))

  it('is not said of fewer than eight answers or one day', () => {
    expect(
      temperOf({ chance: 1, low: 1, high: 1, calmChance: 1 }, 7, { daysWorked: 2, onceSolid: true }),
    ).toBeNull()
    expect(
      temperOf({ chance: 1, low: 1, high: 1, calmChance: 1 }, 8, { daysWorked: 1, onceSolid: true }),
    ).toBeNull()
  })

  it('has words for each', () =>
    expect(Object.values(TEMPER_WORDS).every((words) => words.length > 10)).toBe(true))
})

describe('one more answer', () => {
  it('comes to the same as replaying them all', () => {
    const log = everyOtherDay(5, [light(1), light(0, 2), { grade: 3, calm: 2 }, light()])
    const horse = noRecords(STANDARD_MODEL)
    const program = { ...FEET_FIRST, gates: [] }
    const asked = log.map((one) => ({ ...one, step: 'settle-in-pen', side: 'none' as const }))
    for (const one of asked) recordsWith(STANDARD_MODEL, program, { records: horse, answer: one })
    expect(horse).toEqual(replayHorse(STANDARD_MODEL, program, asked))
  })

  it('never changes the record it starts from', () => {
    const log = everyOtherDay(
      2,
      times(3, () => light()),
    )
    const track = trackAlone(STANDARD_MODEL, ASK, log)
    const before = structuredClone(track)
    recordWith(STANDARD_MODEL, ASK, { ...track, answer: answer({ day: day(9), grade: 4 }) })
    expect(track).toEqual(before)
  })

  it('keeps the first asks of the last three days that could count', () => {
    const log = [light(), light(), { grade: 2 as const }, { calm: null }, { byChance: true }].map((one, i) =>
      answer({ day: day(i), ...one }),
    )
    const { tally } = trackAlone(STANDARD_MODEL, ASK, log).record
    expect(tally.coldPasses).toEqual([true, true, false])
    expect(tally.days.map(({ coldPass }) => coldPass)).toEqual([true, true, false, null, null])
  })
})
