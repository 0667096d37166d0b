import { writeFileSync } from 'node:fs'
import type { Figure } from '../measure'
import { chartOf } from './chart'
import { addRow, rowsIn } from './rows'
import { CHANGES, rowOf, type Change } from './shard'
import { herdTold, races } from './summary'

const ROWS = 'docs/decisions/0014-composer.csv'
const CHART = 'docs/decisions/0014-composer.svg'

const nameOf = ({ constant, by }: Change): string => (constant === null ? 'the law' : `${constant} × ${by}`)

/**
 * Works made-up horses to First time up by each planner, under the law and with each of its constants changed. It takes
 * hours for two hundred horses, so each row is kept as it comes and a run goes on where the last one ended.
 */
export const composerFigures = (herd: number, heard: (done: string) => void): readonly Figure[] => {
  const rows = rowsIn(ROWS)
  const known = new Set(rows.map(({ horse, change }) => `${horse} ${nameOf(change)}`))
  for (let horse = 0; horse < herd; horse++)
    for (const change of CHANGES) {
      if (known.has(`${horse} ${nameOf(change)}`)) continue
      const row = rowOf(horse, change, change.constant !== null)
      rows.push(row)
      addRow(ROWS, row)
      heard(`horse ${horse + 1} of ${herd}, ${nameOf(change)}`)
    }
  writeFileSync(CHART, chartOf(rows))
  const told = herdTold(rows)
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
    ...races(rows).map(({ change, horses, first }) => ({
      name: `${nameOf(change)}: the composer first, of ${horses}`,
      value: first,
      unit: '',
      aim: `${horses}`,
    })),
  ]
}
