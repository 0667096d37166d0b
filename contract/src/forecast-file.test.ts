import { describe, expect, it } from 'vitest'
import { forecastFile } from './forecast-file'

const FROM = '2026-05-18'

/** The least that a forecast is made from, with what is of interest changed. */
const file = (change: Record<string, unknown> = {}) => ({
  gate: 'halter',
  from: FROM,
  draws: 6,
  school: 'feet-first',
  talent: { mean: 1, sd: 0.5 },
  calmTalent: { mean: 1, sd: 0.5 },
  logSpeed: { mean: 0, sd: 0.25 },
  stiffness: { mean: 0, sd: 0.2 },
  plan: { weekdays: [1, 3, 5], minutes: 20 },
  ...change,
})

const faults = (change: Record<string, unknown>): readonly string[] => {
  const read = forecastFile(file(change))
  return read.ok ? [] : read.faults.map(({ field, words }) => `${field}: ${words}`)
}

const TRACK = {
  step: 'bend',
  side: 'left',
  ability: { mean: 0, sd: 0.5 },
  calm: { mean: 0, sd: 0.5 },
  answers: 6,
  daysWorked: 2,
  lastDay: '2026-05-16',
}

describe('a file of a forecast', () => {
  it('is told as a range with its share and its words, and the same each time', () => {
    const read = forecastFile(
      file({ by: '2026-06-30', whatIfs: [{ id: 'more', plan: { weekdays: [1, 2, 3, 5] } }] }),
    )
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    expect(read.reply).toMatchObject({ share: { inHorizon: expect.any(Number), by: expect.any(Number) } })
    expect(read.reply).toHaveProperty('words', expect.stringMatching(/^(Between|Not within)/))
    expect(read.reply).toHaveProperty('whatIfs.0.differenceDays.mean')
    expect(forecastFile(file())).toEqual(forecastFile(file()))
  })

  it('draws a track from its grid where there is one, whatever its weights add up to', () => {
    const grid = Array.from({ length: 281 }, (_, i) => (i === 200 ? 7 : 0))
    expect(
      faults({
        gate: 'first-time-up',
        draws: 1,
        born: '2020-01-01',
        horizonDays: 3,
        tracks: [{ ...TRACK, ability: { mean: 3, sd: 0.01, grid } }],
      }),
    ).toEqual([])
  })

  it('is refused with the reason where a rule forbids it, which is no fault of the file', () => {
    expect(forecastFile(file({ plan: { weekdays: [], minutes: 20 } }))).toEqual({
      ok: true,
      reply: { refused: 'No day of the week is planned.' },
    })
    expect(forecastFile(file({ holds: [{ from: FROM }] }))).toMatchObject({
      reply: { refused: expect.stringContaining('hold') },
    })
    expect(forecastFile(file({ gate: 'first-time-up' }))).toMatchObject({
      reply: { refused: expect.stringContaining('age') },
    })
  })

  it.each([
    [{ gate: 'the-moon' }, 'gate: “the-moon” is not a gate of Feet First.'],
    [{ gate: 'hand-over' }, 'gate: Its steps are ticked for each horse: it is not forecast.'],
    [{ school: undefined }, 'school: Say the school, or give the program.'],
    [{ tracks: [{ ...TRACK, step: 'flying' }] }, 'tracks[0].step: “flying” is not a step of Feet First.'],
    [{ tracks: [{ ...TRACK, side: 'none' }] }, 'tracks[0].side: It has a left and a right.'],
    [{ tracks: [{ ...TRACK, lastDay: null }] }, 'tracks[0].lastDay: It was asked: on which day last?'],
    [
      { tracks: [{ ...TRACK, lastDay: FROM }] },
      'tracks[0].lastDay: It lies before the first day of the forecast.',
    ],
    [{ talent: { mean: 0, sd: -1 } }, 'talent.sd: A spread is not below nought.'],
    [{ draws: 5_000 }, 'draws: At most 2000 draws.'],
    [{ plan: { weekdays: [8], minutes: 20 } }, 'plan.weekdays[0]: 7 is Sunday.'],
    [{ colour: 'bay' }, 'colour: This field is not known here.'],
    [
      { tracks: [{ ...TRACK, calm: { mean: 0, sd: 1, grid: [1] } }] },
      'tracks[0].calm.grid: A grid has 281 weights.',
    ],
  ])('says what is wrong: %j', (change, words) => {
    expect(faults(change)).toContain(words)
  })

  it('says of text in the place of a file that it is none', () => {
    expect(forecastFile('horse')).toMatchObject({ ok: false })
  })
})
