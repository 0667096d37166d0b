import type { DueRow } from '@still-pine/contract'
import { describe, expect, it } from 'vitest'
import { listed, type Keep, type ListedHorse, type Order } from './horse-list'

interface Told {
  readonly marks?: string
  readonly answersToday?: number
  readonly rests?: boolean
  readonly due?: Partial<DueRow>
}

const row = (name: string, { marks = '', answersToday = 0, rests = false, due }: Told = {}): ListedHorse =>
  ({
    horse: { id: name, name, sex: 'mare', marks, origin: '' },
    plan: { rests },
    answersToday,
    due: due ? { notices: [], gate: null, lastBy: null, ...due } : null,
  }) as unknown as ListedHorse

const notice = (tone: 'stop' | 'due' | 'soon') => ({ tone, about: 'hoof' as never, words: '' })
const gate = (holding: number, tracks: number) =>
  ({ gate: 'halter', name: 'Halter', verdict: 'not-yet', holding, tracks }) as const

const ROWS = [
  row('Sedge', { answersToday: 4, due: { gate: gate(12, 14), lastBy: 'orm' } }),
  row('Éider', { marks: 'white hind', rests: true, due: { notices: [notice('stop')], gate: gate(1, 14) } }),
  row('Curlew “Ωμέγα”', { due: { notices: [notice('soon')], gate: gate(13, 14) } }),
]
interface Wanted {
  readonly typed?: string
  readonly order?: Order
  readonly keep?: Keep
}
const names = ({ typed = '', order = 'today', keep = 'all' }: Wanted): readonly string[] =>
  listed(ROWS, { typed, order, keep, me: 'orm' }).map(({ horse }) => horse.name)

describe('the list of horses', () => {
  it('finds by part of a name in any script, whatever the case and the accents', () => {
    expect(names({ typed: 'eid' })).toEqual(['Éider'])
    expect(names({ typed: 'ωμεγα' })).toEqual(['Curlew “Ωμέγα”'])
    expect(names({ typed: 'SEDGE' })).toEqual(['Sedge'])
  })

  it('finds by marks, and needs every word', () => {
    expect(names({ typed: 'mare white' })).toEqual(['Éider'])
    expect(names({ typed: 'white sedge' })).toEqual([])
  })

  it('keeps today’s string, or sorts by name, by what is due, by the nearest gate or by what was asked', () => {
    expect(names({})).toEqual(['Sedge', 'Éider', 'Curlew “Ωμέγα”'])
    expect(names({ order: 'name' })).toEqual(['Curlew “Ωμέγα”', 'Éider', 'Sedge'])
    expect(names({ order: 'due' })).toEqual(['Éider', 'Curlew “Ωμέγα”', 'Sedge'])
    expect(names({ order: 'gate' })).toEqual(['Curlew “Ωμέγα”', 'Sedge', 'Éider'])
    expect(names({ order: 'least-asked' }).at(-1)).toBe('Sedge')
  })

  it('shows those that work, that rest, that somebody worked last, or of which something is due', () => {
    expect(names({ keep: 'works' })).toEqual(['Sedge', 'Curlew “Ωμέγα”'])
    expect(names({ keep: 'rests' })).toEqual(['Éider'])
    expect(names({ keep: 'mine' })).toEqual(['Sedge'])
    // What is due soon waits.
    expect(names({ keep: 'due' })).toEqual(['Éider'])
  })
})
