import { appendFileSync, existsSync, readFileSync, writeFileSync } from 'node:fs'
import type { Change, PlannerName, Row } from './shard'

type Raised = Row[PlannerName]

const HEADING =
  'horse,constant,by,plan work days,plan load days,greedy work days,greedy load days,plain work days,plain load days'

const toLine = ({ horse, change, composer, greedy, plain }: Row): string =>
  [
    horse,
    change.constant ?? '',
    change.by,
    ...[composer, greedy, plain].flatMap(({ workDays, loadDays }) => [workDays ?? '', loadDays]),
  ].join(',')

const toRow = (line: string): Row => {
  const [horse, constant, by, ...days] = line.split(',')
  const raised = (at: number): Raised => ({
    workDays: days[at] === '' ? null : Number(days[at]),
    loadDays: Number(days[at + 1]),
  })
  return {
    horse: Number(horse),
    change: { constant: (constant || null) as Change['constant'], by: Number(by) },
    composer: raised(0),
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
