import { entriesOf, type Entry } from '@still-pine/contract'
import { cueBook } from '@still-pine/core/cues'
import { goingOf } from '@still-pine/core/going'
import { lineWork } from '@still-pine/core/load'
import { faultRepairs } from '@still-pine/core/patterns'
import { describe, expect, it } from 'vitest'
import { demoHorses } from './scenario'
import { toldOf } from './told'

const TODAY = '2026-05-14'

const toldIn = (name: string): readonly Entry[] =>
  toldOf(
    demoHorses(TODAY).find(({ form }) => form.name === name)!,
    TODAY,
  ).map((entry, i) => ({
    ...entry,
    id: `${name} ${String(i).padStart(2, '0')}`,
    byName: 'Runa Vik',
  }))

describe('what the made-up yard tells beside the answers', () => {
  it('is work on the line within the caps, that shows the better rein', () => {
    const sessions = entriesOf(toldIn('Curlew'), 'line-work')
    expect(sessions).toHaveLength(12)
    for (const session of sessions)
      expect(lineWork(session, 62).warns.filter((one) => one !== 'uneven')).toEqual([])
    const stretch = goingOf(sessions, TODAY).find(({ feature }) => feature === 'stretch')
    expect(stretch?.reins?.says).toBe('left-better')
    expect(goingOf(sessions, TODAY).find(({ feature }) => feature === 'swing')?.weeks?.says).toBe('better')
  })

  it('is a book of cues with two that feel the same, and one without its twin', () => {
    const book = cueBook(entriesOf(toldIn('Curlew'), 'cue'), [])
    expect(book.near).toHaveLength(1)
    expect(book.missingTwins).toEqual(['over', 'back'])
  })

  it('is repairs of one fault that were tried often enough to be told', () => {
    const repairs = entriesOf(toldIn('Lapwing'), 'repair')
    const of = (repair: string) => repairs.filter((one) => one.repair === repair)
    const told = ['Two steps back, and ask again.', 'A smaller rung'].map((repair) => ({
      repair,
      tried: of(repair).length,
      worked: of(repair).filter(({ worked }) => worked).length,
    }))
    expect(told.map(({ tried }) => tried)).toEqual([7, 5])
    expect(faultRepairs('hangs back', told).says).toBe('overlap')
  })
})
