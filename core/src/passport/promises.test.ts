import { describe, expect, it } from 'vitest'
import { FEET_FIRST } from '../program'
import type { TrackView, Views } from '../readiness'
import { firstAsks, promisesOf, promiseVerdict } from '.'

const ON = '2026-05-14'
const view = (state: TrackView['state'], lastDay: string | null): TrackView =>
  ({ state, lastDay, answers: lastDay === null ? 0 : 5 }) as TrackView

const VIEWS = new Map([
  ['lead-up/none', view('solid', '2026-04-23')],
  ['tie/none', view('solid', '2026-04-22')],
  ['foot-front/left', view('solid', ON)],
  ['foot-front/right', view('rusty', '2026-05-01')],
]) as unknown as Views

const promised = (...steps: string[]) => promisesOf(FEET_FIRST, VIEWS, { promised: steps, on: ON })

describe('what a horse leaves with', () => {
  it('holds where it is Solid and was asked in the last 21 days', () => {
    const [leads, ties] = promised('tie', 'lead-up')
    expect(leads).toMatchObject({ step: 'lead-up', holds: true, why: '', lastAsked: '2026-04-23' })
    expect(ties).toMatchObject({ step: 'tie', holds: false, why: 'not asked since 2026-04-22' })
  })

  it('holds on both sides or not at all, and says why not', () => {
    const feet = promised('foot-front')
    expect(feet.map(({ side, holds, why }) => [side, holds, why])).toEqual([
      ['left', true, ''],
      ['right', false, 'worn by time'],
    ])
    expect(promiseVerdict([...promised('lead-up'), ...feet])).toEqual({ of: 2, held: 1, says: 'not-yet' })
    expect(promiseVerdict(promised('lead-up'))).toEqual({ of: 1, held: 1, says: 'go' })
  })

  it('promises nothing that the program does not have, and nothing is no Go', () => {
    expect(promised('spin')).toEqual([])
    expect(promiseVerdict([])).toEqual({ of: 0, held: 0, says: 'not-yet' })
    expect(promised('bend').every(({ why }) => why === 'never asked here')).toBe(true)
  })

  it('asks first what keeps people whole, of what it was ever asked', () => {
    expect(firstAsks(FEET_FIRST, VIEWS)).toEqual(['Lead up', 'Front foot', 'Tie'])
  })
})
