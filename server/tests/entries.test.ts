import { files, type Entry, type Line } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, sendBatch, TestClock } from './making'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
let horse: string
let other: string
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
  horse = await addHorse(yard.starter)
  other = await addHorse(yard.starter, { name: 'Teasel' })
})
afterAll(() => yard.stop())

const enter = (entry: object, { id = uuid(), horseId = horse } = {}) => ({
  do: 'enter' as const,
  id,
  horseId,
  entry: { on: '2026-05-14', ...entry },
})

const listed = async (horseId = horse, visitor = yard.starter): Promise<Entry[]> =>
  (await visitor.get<{ entries: Entry[] }>(`/horses/${horseId}/entries`)).body.entries

const CUE = {
  kind: 'cue',
  channel: 'stick',
  place: 'ribs',
  rhythm: 'pulse',
  meaning: 'over',
  where: 'ground',
}
const LUNGE = {
  kind: 'line-work',
  way: 'lunge',
  rein: 'left',
  presses: [
    { at: 0, key: 'forward' },
    { at: 60, key: 'forward' },
  ],
  endAt: 300,
  diameterM: 18,
}

const RIDE = {
  kind: 'ride',
  rider: 'Runa',
  helper: 'Orm',
  rows: [{ rein: 'straight', gait: 'walk', minutes: 3 }],
  went: 'well',
}

const SHEET = {
  kind: 'run-sheet',
  rider: 'Runa',
  helper: 'Orm',
  sessionId: uuid(),
  startedAt: '2026-05-14T09:00:00Z',
  rehearsed: true,
}

describe('an entry of a horse', () => {
  it('is kept as it was told, changed under its id, and taken back', async () => {
    const id = uuid()
    const { body } = await sendBatch(
      yard.starter,
      [enter(LUNGE, { id }), enter({ ...LUNGE, endAt: 320 }, { id }), enter(CUE), enter(RIDE)],
      clock.iso,
    )
    expect(body.items.map(({ status }) => status)).toEqual(['kept', 'kept', 'kept', 'kept'])
    expect(await listed()).toMatchObject([
      { kind: 'line-work', endAt: 320, presses: LUNGE.presses, takenBack: false, byName: 'Runa Vik' },
      { kind: 'cue', meaning: 'over', side: 'both', count: 1 },
      { kind: 'ride', rider: 'Runa', helper: 'Orm', groundMinutes: 0 },
    ])
    await sendBatch(yard.starter, [enter({ ...LUNGE, takenBack: true }, { id })], clock.iso)
    expect((await listed())[0]).toMatchObject({ takenBack: true })
  })

  it('that holds for the yard is told of every horse of it', async () => {
    await sendBatch(
      yard.starter,
      [enter({ kind: 'heat', airC: 30, humidityPercent: 50, ofYard: true })],
      clock.iso,
    )
    expect((await listed(other)).map(({ kind }) => kind)).toEqual(['heat'])
  })

  it('that is law raises a least age of every horse of the yard, and of what was judged before', async () => {
    const grown = await addHorse(yard.starter, { name: 'Sorrel', born: '2022-05-01' })
    const stops = async (): Promise<readonly string[]> => {
      const { body } = await yard.starter.get<Line>(`/horses/${grown}/line`)
      const gate = body.gates.find((one) => one.gate === 'first-time-up')!
      return gate.stops.filter(({ rule }) => rule === 'age').map(({ words }) => words)
    }
    expect(await stops()).toEqual([])
    const law = { kind: 'law', about: 'mounted', months: 60, source: 'the Act', ofYard: true }
    await sendBatch(yard.starter, [enter(law)], clock.iso)
    expect(await stops()).toEqual(['It is 48 months old; the least age is 60, by the Act.'])
  })

  it.each([
    [{ ...LUNGE, diameterM: 0 }, 'entry.diameterM'],
    [{ ...LUNGE, diameterM: 400 }, 'entry.diameterM'],
    [{ ...LUNGE, endAt: 30 }, 'entry.endAt'],
    [{ ...LUNGE, presses: [] }, 'entry.presses'],
    [{ ...LUNGE, presses: [...LUNGE.presses].reverse() }, 'entry.presses'],
    [{ kind: 'heat', airC: 20, humidityPercent: 140 }, 'entry.humidityPercent'],
    [{ ...CUE, channel: 'mind' }, 'entry.channel'],
    [{ kind: 'repair', step: 'laps', fault: '', repair: 'smaller', worked: true }, 'entry.fault'],
    [{ kind: 'repair', step: 'no-such-step', fault: 'runs', repair: 'smaller', worked: true }, 'entry.step'],
    [{ kind: 'care', care: 'vaccination' }, 'entry.minDays'],
    [{ kind: 'care', care: 'hooves', minDays: 42 }, 'entry.maxDays'],
    [{ kind: 'care', care: 'hooves', minDays: 42, maxDays: 30 }, 'entry.maxDays'],
    [{ kind: 'rider', kg: 600, tackKg: 9 }, 'entry.kg'],
    [{ ...RIDE, helper: ' runa ' }, 'entry.helper'],
    [{ ...RIDE, rows: [] }, 'entry.rows'],
    [{ ...RIDE, rider: '' }, 'entry.rider'],
    [{ kind: 'bit-carry', minutes: 10, quietMinutes: 12 }, 'entry.quietMinutes'],
    [{ kind: 'strings', cm: 5, well: true, noseAhead: true }, 'entry.cm'],
    [{ ...RIDE, aid: { asks: 3, tapped: 4, mostTaps: 1 } }, 'entry.aid.tapped'],
    [{ kind: 'jumps', heightCm: 300, efforts: 4 }, 'entry.heightCm'],
    [{ kind: 'jumps', heightCm: 30, efforts: 1, goodLeft: 1, goodRight: 1 }, 'entry.goodLeft'],
    [{ ...SHEET, rehearsed: false }, 'entry.rehearsed'],
    [{ ...SHEET, helper: 'RUNA' }, 'entry.helper'],
    [{ kind: 'law', about: 'mounted', source: 'Act' }, 'entry.months'],
    [{ kind: 'law', about: 'transport', source: 'Act' }, 'entry.says'],
    [{ kind: 'law', about: 'mounted', months: 48, source: '' }, 'entry.source'],
    [{ kind: 'magic' }, 'entry.kind'],
    [{ ...CUE, on: '2026-05-15' }, 'entry.on'],
  ])('%j is refused at its field', async (wrong, path) => {
    const { body } = await sendBatch(yard.starter, [enter(wrong)], clock.iso)
    expect(body.items[0]).toMatchObject({ status: 'refused', path })
  })

  it('goes out with the yard and comes in with it', async () => {
    const { text } = await yard.starter.file('GET', files.yardOut.path)
    const second = await startYard({ now: clock.now })
    await second.starter.file('POST', files.yardIn.path, text)
    expect(await listed(horse, second.starter)).toEqual(await listed())
    await second.stop()
  })
})
