import { describe, expect, it } from 'vitest'
import { STANDARD_LAW } from '../../src/learning'
import { FEET_FIRST } from '../../src/program'
import { MEDIAN_HORSE } from '../../src/school-edit'
import { seeded, times } from '../logs'
import { drawnNature } from './herd'
import { pathTo } from './path-to'
import { PLANNERS } from './planners'
import { raise } from './raise'

const GATE = 'first-time-up'
const PATH = pathTo(FEET_FIRST, GATE)
const MOST_DAYS = 120

/** Neighbouring seeds begin alike, so the first draws are thrown away. */
const drawsOf = (seed: number): (() => number) => {
  const draw = seeded(seed)
  times(20, draw)
  return draw
}

/** Two horses here; `npm run bench -- --only composer` asks two hundred, and the law with its constants changed. */
describe('worked by its plan', () => {
  it('the median horse stands before First time up after 30 to 60 work days', () => {
    const { workDays } = raise(PATH, GATE, {
      nature: MEDIAN_HORSE,
      planner: PLANNERS.composer,
      draw: drawsOf(1),
      most: MOST_DAYS,
    })
    expect(workDays).toBeGreaterThanOrEqual(30)
    expect(workDays).toBeLessThanOrEqual(60)
  })

  it('a made-up horse comes there sooner than down the path or by what teaches most', () => {
    for (const horse of [2, 7]) {
      const nature = drawnNature(STANDARD_LAW, drawsOf(7919 * (horse + 1)))
      const draw = () => drawsOf(104_729 * (horse + 1))
      const { workDays } = raise(PATH, GATE, {
        nature,
        planner: PLANNERS.composer,
        draw: draw(),
        most: MOST_DAYS,
      })
      expect(workDays).not.toBeNull()
      for (const other of [PLANNERS.plain, PLANNERS.greedy])
        expect(
          raise(PATH, GATE, { nature, planner: other, draw: draw(), most: workDays! }).workDays,
        ).toBeNull()
    }
  })
})
