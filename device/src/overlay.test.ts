import 'fake-indexeddb/auto'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { beforeEach, expect, it } from 'vitest'
import { sendArranged } from './outbox'
import { withWhatWaits } from './overlay'
import { device } from './store'
import { rememberPerson } from './who'

const arranged = (day: string, minutes: number) => {
  const wishes = { pinned: [], without: [] }
  const arrangement = { programId: 'p', minutes, said: NOTHING_NOTED, wishes, bursts: null }
  const item = { do: 'arrange' as const, id: 'i', horseId: 'h', day, arrangement, at: '2026-05-14T08:00:00Z' }
  return { id: 'i', personId: 'me', horseId: 'h', readyAt: 0, item }
}
const LINE = { day: '2026-05-14', arranged: null }

beforeEach(async () => {
  await device.waiting.clear()
  await rememberPerson('me', 'Runa')
})

it('tells a Line as it was arranged here and not sent yet, and nothing else otherwise', async () => {
  await sendArranged(arranged('2026-05-15', 10))
  expect(await withWhatWaits({ name: 'line', named: { horseId: 'h' } }, LINE)).toEqual(LINE)
  await sendArranged(arranged('2026-05-14', 15))
  expect(await withWhatWaits({ name: 'line', named: { horseId: 'h' } }, LINE)).toMatchObject({
    arranged: { minutes: 15 },
  })
  expect(await withWhatWaits({ name: 'line', named: { horseId: 'other' } }, LINE)).toEqual(LINE)
  expect(await withWhatWaits({ name: 'today', named: {} }, LINE)).toBe(LINE)
})
