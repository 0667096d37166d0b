import { isDay, type Answer, type Calm, type Grade, type Kind, type PlaceByHorse, type Side } from '../answer'
import { readTable, type Fault } from './table'

/** The columns of a log that can be judged by itself. */
export const LOG_COLUMNS = [
  'horse',
  'step',
  'kind',
  'side',
  'required_rung',
  'all_round',
  'at',
  'rung',
  'grade',
  'calm',
  'by_chance',
  'recalled',
  'uncued',
  'place',
  'moving',
] as const

export type LogColumn = (typeof LOG_COLUMNS)[number]

/** One row of a log: an answer with its horse and its step. */
export interface LogRow extends Answer {
  readonly line: number
  readonly horse: string
  readonly step: string
  readonly kind: Kind
  readonly side: Side
  readonly requiredRung: number
  readonly allRound: boolean
  readonly at: string
}

export type ReadLog =
  | { readonly ok: true; readonly rows: readonly LogRow[] }
  | { readonly ok: false; readonly faults: readonly Fault[] }

/** Far above any ladder; a larger number is a slip. */
const MOST_RUNGS = 20

const ISO =
  /^(\d{4}-\d{2}-\d{2})(?:[T ]([01]\d|2[0-3]):[0-5]\d(?::[0-5]\d(?:[.,]\d+)?)?(?:Z|[+-]\d{2}(?::?\d{2})?)?)?$/

/** The day of an ISO 8601 time as it is written, or nothing where it is not one. */
export const dayWritten = (at: string): string | null => {
  const day = ISO.exec(at)?.[1]
  return day !== undefined && isDay(day) ? day : null
}

class Reader {
  readonly faults: Fault[] = []
  constructor(
    private readonly line: number,
    private readonly cell: (column: LogColumn) => string,
  ) {}

  private refuse(column: LogColumn, expected: string): never[] {
    this.faults.push({ line: this.line, column, value: this.cell(column), expected })
    return []
  }

  words(column: LogColumn, expected: string): string {
    const text = this.cell(column)
    if (text === '') this.refuse(column, expected)
    return text
  }

  oneOf<T extends string>(column: LogColumn, allowed: readonly T[]): T {
    const text = this.cell(column) as T
    if (!allowed.includes(text)) this.refuse(column, allowed.join(', '))
    return text
  }

  whole(column: LogColumn, least: number, { most, or = '' }: { most: number; or?: string }): number {
    const text = this.cell(column)
    const value = /^\d{1,4}$/.test(text) ? Number(text) : NaN
    if (!(value >= least && value <= most))
      this.refuse(column, `a whole number from ${least} to ${most}${or}`)
    return value
  }

  wholeOrEmpty(column: LogColumn, least: number, most: number): number | null {
    return this.cell(column) === '' ? null : this.whole(column, least, { most, or: ', or nothing' })
  }

  flag(column: LogColumn): boolean {
    return this.oneOf(column, ['0', '1']) === '1'
  }

  time(column: LogColumn): { at: string; day: string } {
    const at = this.cell(column)
    const day = dayWritten(at)
    if (day === null) this.refuse(column, 'an ISO 8601 time, such as 2026-05-14T08:30:00+02:00')
    return { at, day: day ?? '' }
  }
}

const readRow = (line: number, cell: (column: LogColumn) => string): { row: LogRow; faults: Fault[] } => {
  const read = new Reader(line, cell)
  const row: LogRow = {
    line,
    horse: read.words('horse', 'the name of a horse'),
    step: read.words('step', 'the key of a step'),
    kind: read.oneOf('kind', ['ask', 'accept', 'hold']),
    side: read.oneOf('side', ['left', 'right', 'none']),
    requiredRung: read.whole('required_rung', 1, { most: MOST_RUNGS }),
    allRound: read.flag('all_round'),
    ...read.time('at'),
    rung: read.whole('rung', 1, { most: MOST_RUNGS }),
    grade: read.whole('grade', 0, { most: 4 }) as Grade,
    calm: read.wholeOrEmpty('calm', 0, 2) as Calm | null,
    byChance: read.flag('by_chance'),
    recalled: read.flag('recalled'),
    uncued: read.flag('uncued'),
    place: read.wholeOrEmpty('place', 1, 5) as PlaceByHorse | null,
    moving: read.wholeOrEmpty('moving', 0, 1) === 1,
  }
  return { row, faults: read.faults }
}

const stepOfRow = ({ horse, step }: LogRow): string => JSON.stringify([horse, step])

/** A step is one thing: its kind, its required rung and whether it is all round are the same on every row of a horse. */
const disagreements = (rows: readonly LogRow[]): Fault[] => {
  const first = new Map<string, LogRow>()
  return rows.flatMap((row) => {
    const known = first.get(stepOfRow(row))
    if (!known) {
      first.set(stepOfRow(row), row)
      return []
    }
    const differs = (column: LogColumn, is: unknown, was: unknown): Fault[] =>
      is === was
        ? []
        : [
            {
              line: row.line,
              column,
              value: String(is),
              expected: `${String(was)}, as on line ${known.line}`,
            },
          ]
    return [
      ...differs('kind', row.kind, known.kind),
      ...differs('required_rung', row.requiredRung, known.requiredRung),
      ...differs('all_round', Number(row.allRound), Number(known.allRound)),
    ]
  })
}

/** Reads a log as CSV text: every row, or every fault there is. Columns may stand in any order; others are left alone. */
export const readAnswerLog = (text: string): ReadLog => {
  const table = readTable(text)
  const missing = LOG_COLUMNS.filter((column) => !table.header.includes(column))
  if (missing.length > 0) {
    const expected = 'a column of this name in the first row'
    return { ok: false, faults: missing.map((column) => ({ line: 1, column, value: '', expected })) }
  }
  const at = new Map(LOG_COLUMNS.map((column) => [column, table.header.indexOf(column)]))
  const read = table.rows.map(({ line, cells }) => readRow(line, (column) => cells[at.get(column)!]!.trim()))
  const faults = [...table.faults, ...read.flatMap((one) => one.faults)]
  const rows = read.map(({ row }) => row)
  const all = faults.length > 0 ? faults : disagreements(rows)
  return all.length > 0 ? { ok: false, faults: [...all].sort((a, b) => a.line - b.line) } : { ok: true, rows }
}

/** A fault in one line for a person: where it is, what stands there, what was expected. */
export const faultInWords = ({ line, column, value, expected }: Fault): string =>
  `line ${line}${column === '' ? '' : `, column ${column}`}: ${value === '' ? 'nothing there' : `“${value}”`}; expected ${expected}`
