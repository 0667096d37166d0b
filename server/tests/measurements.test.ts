import { files, type Measurement } from '@still-pine/contract'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addHorse, sendBatch, TestClock } from './making'
import { startYard, type Running, type Visitor } from './running'

const clock = new TestClock('2026-05-14T09:00:00Z')
let yard: Running & { starter: Visitor }
let horse: string
beforeAll(async () => {
  yard = await startYard({ now: clock.now })
  horse = await addHorse(yard.starter)
})
afterAll(() => yard.stop())

const measure = (measurement: object, id = uuid(), horseId = horse) => ({
  do: 'measure' as const,
  id,
  horseId,
  measurement,
})

const listed = async (visitor = yard.starter): Promise<Measurement[]> =>
  (await visitor.get<{ measurements: Measurement[] }>(`/horses/${horse}/measurements`)).body.measurements

describe('what was measured of a horse', () => {
  it('is kept as it was taken, corrected under its id, and taken back', async () => {
    const id = uuid()
    const first = { on: '2026-05-13', girthCm: 176.5, lengthCm: 158, withersCm: 147.3, condition: 5.5 }
    const { body } = await sendBatch(
      yard.starter,
      [
        measure(first, id),
        measure({ ...first, withersCm: 148 }, id),
        measure({ on: '2026-05-14', scaleKg: 431.4 }),
      ],
      clock.iso,
    )
    expect(body.items.map(({ status }) => status)).toEqual(['kept', 'kept', 'kept'])
    expect(await listed()).toMatchObject([
      { on: '2026-05-13', girthCm: 176.5, withersCm: 148, condition: 5.5, takenBack: false },
      { on: '2026-05-14', scaleKg: 431.4, girthCm: null },
    ])
    await sendBatch(yard.starter, [measure({ ...first, takenBack: true }, id)], clock.iso)
    expect((await listed())[0]).toMatchObject({ takenBack: true, byName: 'Runa Vik' })
  })

  it.each([
    [{ girthCm: 1800, lengthCm: 160 }, 'measurement.girthCm'],
    [{ girthCm: 180 }, 'measurement.lengthCm'],
    [{ lengthCm: 160 }, 'measurement.girthCm'],
    [{ condition: 5.2 }, 'measurement.condition'],
    [{ withersCm: 15.2 }, 'measurement.withersCm'],
    [{}, 'measurement.girthCm'],
    [{ scaleKg: 400, on: '2026-05-15' }, 'measurement.on'],
    [{ scaleKg: 400, on: '2021-05-15' }, 'measurement.on'],
  ])('%j is refused at its field', async (wrong, path) => {
    const { body } = await sendBatch(yard.starter, [measure({ on: '2026-05-14', ...wrong })], clock.iso)
    expect(body.items[0]).toMatchObject({ status: 'refused', path })
  })

  it('goes out with the yard and comes in with it', async () => {
    const { text } = await yard.starter.file('GET', files.yardOut.path)
    const second = await startYard({ now: clock.now })
    await second.starter.file('POST', files.yardIn.path, text)
    expect(await listed(second.starter)).toEqual(await listed())
    await second.stop()
  })
})
