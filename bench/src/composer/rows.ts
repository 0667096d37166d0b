import { appendFileSync, existsSync, readFileSync, writeFileSync } from 'node:fs'
import type { FirstAsks } from '../../../core/tests/trial/raise'
import type { Change, PlannerName, Row } from './shard'

type Raised = Row[PlannerName]

const HEADING =
  'horse,constant,by,plan work days,plan load days,greedy work days,greedy load days,plain work days,plain load days,first asks,likely misses,misses'

const toCells = (first: FirstAsks | null): readonly (string | number)[] =>
  first === null ? ['', '', ''] : [first.asks, first.likelyMisses.toFixed(4), first.misses]

const toLine = ({ horse, change, composer, greedy, plain }: Row): string =>
  [
    horse,
    change.constant ?? '',
    change.by,
    ...[composer, greedy, plain].flatMap(({ workDays, loadDays }) => [workDays ?? '', loadDays]),
    ...toCells(composer.firstAsks),
  ].join(',')

const toRow = (line: string): Row => {
  const [horse, constant, by, ...days] = line.split(',')
  const raised = (at: number): Raised => ({
    workDays: days[at] === '' ? null : Number(days[at]),
    loadDays: Number(days[at + 1]),
    firstAsks: null,
  })
  const [asks, likelyMisses, misses] = days.slice(6).map(Number)
  const firstAsks = days[6] === '' ? null : { asks: asks!, likelyMisses: likelyMisses!, misses: misses! }
  return {
    horse: Number(horse),
    change: { constant: (constant || null) as Change['constant'], by: Number(by) },
    composer: { ...raised(0), firstAsks },
    greedy: raised(2),
    plain: raised(4),
  }
}

/** The races of a trial, kept as a table as they are run: it takes hours, and any machine may go on with it. */
export const rowsIn = (file: string): Row[] =>
  existsSync(file) ? readFileSync(file, 'utf8').trimEnd().split('\n').slice(1).map(toRow) : []

export const addRow = (file: string, row: Row): void => {
  if (!existsSync(file)) writeFileSync(file, `${HEADING}\n`)
  appendFileSync(file, `${toLine(row)}\n`)
}
