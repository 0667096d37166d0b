import Papa from 'papaparse'

/** What is wrong with one cell, or with a line as a whole (`column` is then empty). */
export interface Fault {
  readonly line: number
  readonly column: string
  readonly value: string
  readonly expected: string
}

export interface TableRow {
  /** The line of the file on which it begins, from 1. */
  readonly line: number
  readonly cells: readonly string[]
}

/** A CSV file: its first row and the others. */
export interface Table {
  readonly header: readonly string[]
  readonly rows: readonly TableRow[]
  readonly delimiter: string
  readonly faults: readonly Fault[]
}

const linesIn = (text: string): number => text.split('\n').length - 1

// A spreadsheet runs a cell that begins like this as a formula; an apostrophe in front keeps it text.
const FORMULA = /^'*[=+\-@\t\r]/
const GUARDED = /^'+[=+\-@\t\r]/

const unguarded = (cell: string): string => (GUARDED.test(cell) ? cell.slice(1) : cell)

const DELIMITERS = [',', ';', '\t', '|'] as const

/** The delimiter that cuts the first row into most cells. */
const delimiterOf = (text: string): string => {
  const first = text.trimStart()
  const cells = (delimiter: string): number =>
    Papa.parse<string[]>(first, { delimiter, newline: '\n', preview: 1 }).data[0]?.length ?? 0
  return DELIMITERS.reduce<string>((best, next) => (cells(next) > cells(best) ? next : best), ',')
}

const isBlank = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '')

/**
 * Reads CSV by RFC 4180, and kindly beside it: a byte-order mark, any line ends, also mixed ones, and semicolons or
 * tabs for commas. A row with more or fewer cells than the header, or with a quote left open, is a fault.
 */
export const readTable = (raw: string): Table => {
  const text = raw.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n')
  const rows: TableRow[] = []
  const faults: Fault[] = []
  let header: readonly string[] | null = null
  const delimiter = delimiterOf(text)
  let line = 1
  let from = 0
  Papa.parse<string[]>(text, {
    newline: '\n',
    delimiter,
    step: ({ data, errors, meta }) => {
      const [broken] = errors.filter(({ type }) => type === 'Quotes')
      if (broken) faults.push({ line, column: '', value: '', expected: 'a closing quote' })
      else if (isBlank(data)) {
        // Nothing on it.
      } else if (header === null) header = data.map((cell) => cell.trim())
      else if (data.length !== header.length)
        faults.push({
          line,
          column: '',
          value: `${data.length} cells`,
          expected: `${header.length} cells, as in the first row`,
        })
      else rows.push({ line, cells: data.map(unguarded) })
      line += linesIn(text.slice(from, meta.cursor))
      from = meta.cursor
    },
  })
  return { header: header ?? [], rows, delimiter, faults }
}

/** Rows as CSV by RFC 4180, with cells that a spreadsheet would run as a formula kept as text. */
export const writeRows = (rows: readonly (readonly unknown[])[]): string =>
  rows.length === 0
    ? ''
    : `${Papa.unparse(
        rows.map((row) => [...row]),
        { newline: '\r\n', escapeFormulae: FORMULA },
      )}\r\n`

/** A whole table: its first row names the columns. */
export const writeTable = (header: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  writeRows([header]) + writeRows(rows)
