import {
  CALM_WORDS,
  ENDING_WORDS,
  ENDINGS,
  GRADE_WORDS,
  type Calm,
  type Ending,
  type Grade,
  type PlaceByHorse,
  type Side,
} from '../answer'
import { ZONE_KEYS, ZONES, type Zone } from '../coverage'
import type { Program, Step } from '../program'
import { instantIn, type DateStyle } from './dates'
import type { Fault, Table } from './table'

/** What a column of a log from elsewhere can be. */
export const LOG_FIELDS = {
  horse: 'Horse',
  step: 'Step',
  at: 'Day, or day and time',
  side: 'Side',
  rung: 'Rung',
  grade: 'Grade (how little it took)',
  calm: 'Calm (how loose it was)',
  by_chance: 'By chance',
  recalled: 'From memory',
  uncued: 'Not asked for',
  place: 'Where the person stood',
  moving: 'Horse moving',
  session: 'Session',
  person: 'Person',
  where: 'Place of the session',
  sign: 'Sign seen',
  fault: 'Fault',
  ending: 'Ending of an accept',
  slip: 'Slip of the handler',
  zone: 'Where on the horse',
} as const

export type LogField = keyof typeof LOG_FIELDS

/** Fields without which nothing can be read. */
export const NEEDED_FIELDS: readonly LogField[] = ['horse', 'step', 'at', 'rung', 'grade']

/** Which column, counted from 0, holds which field. */
export type LogMapping = Readonly<Partial<Record<LogField, number>>>

const OTHER_NAMES: Readonly<Partial<Record<LogField, readonly string[]>>> = {
  horse: ['name', 'animal', 'horse name'],
  step: ['exercise', 'task', 'lesson'],
  at: ['date', 'day', 'time', 'when', 'datetime', 'timestamp'],
  rung: ['level', 'stage'],
  grade: ['score', 'mark', 'answer'],
  calm: ['tension', 'looseness'],
  recalled: ['from memory'],
  place: ['stood', 'position', 'handler place'],
  where: ['location', 'arena', 'pen'],
  person: ['handler', 'rider', 'trainer', 'by'],
  fault: ['note', 'remark', 'comment'],
}

const normal = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ')

/** Guesses by the names of the columns; a person sees and mends it. */
export const guessMapping = (header: readonly string[]): LogMapping => {
  const names = header.map(normal)
  const fields = Object.keys(LOG_FIELDS) as LogField[]
  const taken = new Set<number>()
  const pick = (field: LogField, wanted: readonly string[]): [LogField, number][] => {
    const index = names.findIndex((name, i) => !taken.has(i) && wanted.includes(name))
    if (index < 0) return []
    taken.add(index)
    return [[field, index]]
  }
  const exact = fields.flatMap((field) => pick(field, [normal(field)]))
  const found = new Set(exact.map(([field]) => field))
  const similar = fields
    .filter((field) => !found.has(field))
    .flatMap((field) => pick(field, OTHER_NAMES[field] ?? []))
  return Object.fromEntries([...exact, ...similar])
}

/** A horse that answers can be brought in for. */
export interface KnownHorse {
  readonly id: string
  readonly name: string
  readonly program: Program
}

/** One answer as it was read from elsewhere. */
export interface MappedAnswer {
  readonly line: number
  readonly horseId: string
  readonly step: string
  readonly side: Side
  readonly rung: number
  readonly grade: Grade
  readonly calm: Calm | null
  /** ISO 8601 in UTC. */
  readonly at: string
  readonly byChance: boolean
  readonly recalled: boolean
  readonly uncued: boolean
  readonly place: PlaceByHorse | null
  readonly moving: boolean
  readonly session: string
  readonly person: string
  readonly where: string
  readonly sign: string | null
  readonly fault: string | null
  readonly ending: Ending | null
  readonly slip: string | null
  readonly zone: Zone | null
}

export interface MappedLog {
  readonly answers: readonly MappedAnswer[]
  readonly faults: readonly Fault[]
}

export interface MappingOptions {
  readonly mapping: LogMapping
  readonly dateStyle: DateStyle
  readonly timeZone: string
  readonly horses: readonly KnownHorse[]
}

class CellFault extends Error {
  constructor(
    readonly field: LogField,
    readonly value: string,
    readonly expected: string,
  ) {
    super(expected)
  }
}

const SIDES: Readonly<Record<string, Side>> = {
  left: 'left',
  l: 'left',
  near: 'left',
  right: 'right',
  r: 'right',
  off: 'right',
  none: 'none',
  '': 'none',
  '-': 'none',
}

const YES = new Set(['1', 'yes', 'y', 'true', 'x'])
const NO = new Set(['', '0', 'no', 'n', 'false', '-'])

type Cell = (field: LogField) => string

const horseIn = (cell: Cell, horses: readonly KnownHorse[]): KnownHorse => {
  const text = cell('horse')
  const named = horses.filter(({ name }) => normal(name) === normal(text))
  if (named.length > 1) throw new CellFault('horse', text, 'a name that only one horse of the yard has')
  if (named.length === 0) throw new CellFault('horse', text, 'the name of a horse of this yard')
  return named[0]!
}

const stepIn = (cell: Cell, { steps }: Program): Step => {
  const text = cell('step')
  const step = steps.find(
    ({ key, name }) => key === text || normal(name) === normal(text) || normal(key) === normal(text),
  )
  if (!step) throw new CellFault('step', text, 'a step of the horse’s program, by its name or key')
  return step
}

const sideIn = (cell: Cell, step: Step): Side => {
  const text = cell('side')
  const side = SIDES[normal(text)]
  if (side === undefined || step.sided === (side === 'none'))
    throw new CellFault('side', text, step.sided ? 'left or right' : 'none: this step has no sides')
  return side
}

const wholeIn = (
  cell: Cell,
  field: LogField,
  { least, most, words }: { least: number; most: number; words: readonly string[] },
): number => {
  const text = cell(field)
  const byWord = words.findIndex((word) => normal(word) === normal(text))
  const value = byWord >= 0 ? byWord + least : /^\d{1,3}$/.test(text) ? Number(text) : NaN
  if (value >= least && value <= most) return value
  throw new CellFault(field, text, `${least} to ${most}, or one of: ${words.join(', ')}`)
}

const flagIn = (cell: Cell, field: LogField): boolean => {
  const text = normal(cell(field))
  if (!YES.has(text) && !NO.has(text)) throw new CellFault(field, text, '1 or 0, yes or no')
  return YES.has(text)
}

const placeIn = (cell: Cell): PlaceByHorse | null => {
  const text = cell('place')
  if (text === '') return null
  if (!/^[1-5]$/.test(text)) throw new CellFault('place', text, '1 to 5, or nothing')
  return Number(text) as PlaceByHorse
}

/** One of a list, by its key or its words, or nothing. */
const oneOf = <T extends string>(
  cell: Cell,
  field: LogField,
  { keys, words }: { keys: readonly T[]; words: Readonly<Record<T, string>> },
): T | null => {
  const text = normal(cell(field))
  if (text === '') return null
  const key = keys.find((one) => normal(one) === text || normal(words[one]) === text)
  if (!key) throw new CellFault(field, cell(field), `nothing, or one of: ${Object.values(words).join(', ')}`)
  return key
}

const atIn = (cell: Cell, { dateStyle, timeZone }: MappingOptions): string => {
  const text = cell('at')
  const at = instantIn(text, dateStyle, timeZone)
  if (at === null)
    throw new CellFault(
      'at',
      text,
      `a day in the order ${dateStyle.replace('-', ' ')}, with or without a time`,
    )
  return at
}

const FAULT_LENGTH = 200
const SIGN_LENGTH = 60

const mapped = (line: number, cell: Cell, options: MappingOptions): MappedAnswer => {
  const { id, program } = horseIn(cell, options.horses)
  const step = stepIn(cell, program)
  return {
    line,
    horseId: id,
    step: step.key,
    side: sideIn(cell, step),
    rung: wholeIn(cell, 'rung', { least: 1, most: step.rungs.length, words: step.rungs }),
    grade: wholeIn(cell, 'grade', { least: 0, most: 4, words: GRADE_WORDS[step.kind] }) as Grade,
    calm:
      cell('calm') === '' ? null : (wholeIn(cell, 'calm', { least: 0, most: 2, words: CALM_WORDS }) as Calm),
    at: atIn(cell, options),
    byChance: flagIn(cell, 'by_chance'),
    recalled: flagIn(cell, 'recalled'),
    uncued: flagIn(cell, 'uncued'),
    place: placeIn(cell),
    moving: flagIn(cell, 'moving'),
    session: cell('session'),
    person: cell('person'),
    where: cell('where'),
    sign: cell('sign').slice(0, SIGN_LENGTH) || null,
    fault: cell('fault').slice(0, FAULT_LENGTH) || null,
    ending: oneOf(cell, 'ending', { keys: ENDINGS, words: ENDING_WORDS }),
    slip: cell('slip').slice(0, SIGN_LENGTH) || null,
    zone: oneOf(cell, 'zone', { keys: ZONE_KEYS, words: ZONES }),
  }
}

/** Reads a table from elsewhere as answers: each row becomes one, or a fault that says why not. */
export const mapLog = (table: Table, options: MappingOptions): MappedLog => {
  const answers: MappedAnswer[] = []
  const faults: Fault[] = [...table.faults]
  for (const { line, cells } of table.rows) {
    const cell: Cell = (field) => {
      const column = options.mapping[field]
      return column === undefined ? '' : (cells[column] ?? '').trim()
    }
    try {
      answers.push(mapped(line, cell, options))
    } catch (error) {
      if (!(error instanceof CellFault)) throw error
      const column = options.mapping[error.field]
      faults.push({
        line,
        column: column === undefined ? error.field : table.header[column]!,
        value: error.value,
        expected: error.expected,
      })
    }
  }
  return { answers, faults: faults.sort((a, b) => a.line - b.line) }
}
