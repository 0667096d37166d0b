import { expect, it } from 'vitest'
import { syncWords } from './sync-slice'

it.each([
  [{ waiting: 0, needYou: 0, reach: 'ok' }, 'all saved'],
  [{ waiting: 0, needYou: 0, reach: 'away' }, 'all saved, no signal'],
  [{ waiting: 3, needYou: 0, reach: 'away' }, '3 waiting for signal'],
  [{ waiting: 2, needYou: 0, reach: 'ok' }, 'saved here, sending 2'],
  [{ waiting: 2, needYou: 0, reach: 'signed-out' }, '2 kept here, sign in to send'],
  [{ waiting: 9, needYou: 1, reach: 'ok' }, '1 needs you'],
  [{ waiting: 0, needYou: 2, reach: 'ok' }, '2 need you'],
] as const)('says the truth of %j', (state, words) => expect(syncWords(state)).toBe(words))
