import { expect, it } from 'vitest'
import { howLong, syncWords } from './sync-slice'

const NOW = 1_800_000_000_000
const HOUR = 3_600_000

it.each([
  [{ waiting: 0, needYou: 0, reach: 'ok', oldestAt: null, files: 0 }, 'all saved'],
  [{ waiting: 0, needYou: 0, reach: 'away', oldestAt: null, files: 0 }, 'all saved, no signal'],
  [{ waiting: 12, needYou: 0, reach: 'away', oldestAt: NOW - 2 * HOUR, files: 0 }, '12 waiting, oldest 2 h'],
  [{ waiting: 2, needYou: 0, reach: 'ok', oldestAt: NOW, files: 0 }, 'saved here, sending 2'],
  [{ waiting: 2, needYou: 0, reach: 'signed-out', oldestAt: NOW, files: 0 }, '2 kept here, sign in to send'],
  [{ waiting: 9, needYou: 1, reach: 'ok', oldestAt: NOW, files: 0 }, '1 needs you'],
  [{ waiting: 0, needYou: 2, reach: 'ok', oldestAt: null, files: 0 }, '2 need you'],
  [{ waiting: 0, needYou: 0, reach: 'ok', oldestAt: null, files: 1 }, 'saved here, sending 1 file'],
  [{ waiting: 0, needYou: 0, reach: 'away', oldestAt: null, files: 2 }, '2 files waiting'],
] as const)('says the truth of %j', (state, words) =>
  expect(syncWords({ ...state, isCounted: true }, NOW)).toBe(words),
)

it('says nothing of what it has not counted', () =>
  expect(
    syncWords({ waiting: 0, needYou: 0, reach: 'ok', oldestAt: null, files: 0, isCounted: false }, NOW),
  ).toBe('checking …'))

it.each([
  [0, 'under a minute'],
  [59_999, 'under a minute'],
  [60_000, '1 min'],
  [HOUR - 1, '59 min'],
  [HOUR, '1 h'],
  [24 * HOUR - 1, '23 h'],
  [24 * HOUR, '1 day'],
  [50 * HOUR, '2 days'],
  [-5, 'under a minute'],
])('calls %i ms %s', (ms, words) => expect(howLong(ms)).toBe(words))
