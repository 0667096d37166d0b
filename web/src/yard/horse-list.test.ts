import type { TodayRow } from '@still-pine/contract'
import { describe, expect, it } from 'vitest'
import { listed } from './horse-list'

const row = (name: string, { marks = '', answersToday = 0 } = {}): TodayRow =>
  ({
    horse: { id: name, name, sex: 'mare', marks, origin: '' },
    plan: null,
    answersToday,
  }) as unknown as TodayRow

const ROWS = [row('Sedge', { answersToday: 4 }), row('Éider', { marks: 'white hind' }), row('Curlew “Ωμέγα”')]
const names = (typed: string, order: Parameters<typeof listed>[1]['order'] = 'today'): readonly string[] =>
  listed(ROWS, { typed, order }).map(({ horse }) => horse.name)

describe('the list of horses', () => {
  it('finds by part of a name in any script, whatever the case and the accents', () => {
    expect(names('eid')).toEqual(['Éider'])
    expect(names('ωμεγα')).toEqual(['Curlew “Ωμέγα”'])
    expect(names('SEDGE')).toEqual(['Sedge'])
  })

  it('finds by marks, and needs every word', () => {
    expect(names('mare white')).toEqual(['Éider'])
    expect(names('white sedge')).toEqual([])
  })

  it('keeps today’s string, or sorts by name or by what was asked', () => {
    expect(names('')).toEqual(['Sedge', 'Éider', 'Curlew “Ωμέγα”'])
    expect(names('', 'name')).toEqual(['Curlew “Ωμέγα”', 'Éider', 'Sedge'])
    expect(names('', 'least-asked').at(-1)).toBe('Sedge')
  })
})
