import { writeFileSync } from 'node:fs'
import type { Figure } from '../measure'
import type { Threads } from '../threads'
import { chartOf } from './chart'
import { addRow, rowsIn } from './rows'
import { CHANGES, type Change, type Race } from './shard'
import { herdTold, missesTold, racesTold } from './summary'

const ROWS = 'docs/decisions/0014-composer.csv'
const CHART = 'docs/decisions/0014-composer.svg'

const nameOf = ({ constant, by }: Change): string => (constant === null ? 'the law' : `${constant} × ${by}`)

/**
 * Works made-up horses to First time up by each planner, under the law and with each of its constants changed. It takes
 * hours for two hundred horses, so each row is kept as it comes and a run goes on where the last one ended: the law first,
 * then its changes.
 */
export const composerFigures = async (
  herd: number,
  { threads, changes, heard }: { threads: Threads; changes: number; heard: (done: string) => void },
): Promise<readonly Figure[]> => {
  const rows = rowsIn(ROWS)
  const known = new Set(rows.map(({ horse, change }) => `${horse} ${nameOf(change)}`))
  const left = CHANGES.slice(0, 1 + changes)
    .flatMap((change) => Array.from({ length: herd }, (_, horse): Race => ({ horse, change })))
    .filter(({ horse, change }) => !known.has(`${horse} ${nameOf(change)}`))
  await Promise.all(
    left.map(async (race) => {
      const row = await threads.raced(race)
      rows.push(row)
      addRow(ROWS, row)
      heard(`horse ${race.horse + 1} of ${herd}, ${nameOf(race.change)}`)
    }),
  )
  writeFileSync(CHART, chartOf(rows))
  const told = herdTold(rows)
  const misses = missesTold(rows)
  const ofGate = `${misses.horses} horses, ${misses.asks.toFixed(1)} first asks before First time up`
  return [
    ...told.flatMap(({ planner, horses, reached, meanWorkDays, medianWorkDays, meanLoadDays }): Figure[] => {
      const of = `${horses} horses, ${planner}`
      return [
        { name: `${of}: reached First time up`, value: reached, unit: '', aim: '' },
        {
          name: `${of}: work days, median`,
          value: medianWorkDays,
          unit: 'd',
          aim: planner === 'composer' ? '30 to 60' : '',
        },
        { name: `${of}: work days, mean`, value: meanWorkDays, unit: 'd', aim: '' },
        { name: `${of}: load days, mean`, value: meanLoadDays, unit: 'd', aim: '' },
      ]
    }),
    {
      name: `${ofGate}: misses that came`,
      value: misses.came,
      unit: 'a horse',
      aim: `${misses.said.toFixed(2)} said`,
    },
    {
      name: `${ofGate}: what came less what was said`,
      value: misses.came - misses.said,
      unit: 'a horse',
      aim: `± ${misses.error.toFixed(2)}`,
    },
    ...racesTold(rows).map(({ change, horses, first }) => ({
      name: `${nameOf(change)}: the composer first, of ${horses}`,
      value: first,
      unit: '',
      aim: `${horses}`,
    })),
  ]
}
