import { TZDate } from '@date-fns/tz'
import {
  dateStyleOf,
  guessMapping,
  mapLog,
  readTable,
  textFrom,
  type DateStyle,
  type LogMapping,
  type MappedAnswer,
  type MappedLog,
  type MappingOptions,
  type Table,
} from '@still-pine/core/formats'
import { expose } from 'comlink'
import { v7 as uuid } from 'uuid'

export interface ReadFile {
  readonly header: readonly string[]
  readonly rows: number
  readonly encoding: string
  readonly delimiter: string
  /** The first cells of each column, to choose by. */
  readonly samples: readonly (readonly string[])[]
  readonly mapping: LogMapping
}

export interface Preview {
  readonly answers: number
  readonly sessions: number
  readonly first: readonly MappedAnswer[]
  readonly faults: MappedLog['faults']
  readonly faultCount: number
}

const SAMPLES = 3
const SHOWN = 12
const MOST_FAULTS = 100

let table: Table = { header: [], rows: [], delimiter: ',', faults: [] }
let log: MappedLog = { answers: [], faults: [] }
let timeZone = 'UTC'

const dayOf = (at: string): string => new TZDate(Date.parse(at), timeZone).toDateString()

/** Answers of one horse belong together by their session's name, or else by their day. */
const sessionKey = ({ horseId, session, where, at }: MappedAnswer): string =>
  JSON.stringify([horseId, session || `${dayOf(at)} ${where}`])

const bySession = (answers: readonly MappedAnswer[]): ReadonlyMap<string, readonly MappedAnswer[]> => {
  const sessions = new Map<string, MappedAnswer[]>()
  for (const answer of answers) {
    const key = sessionKey(answer)
    const together = sessions.get(key)
    if (together) together.push(answer)
    else sessions.set(key, [answer])
  }
  return sessions
}

const linesOf = (answers: readonly MappedAnswer[], fileName: string): string[] => {
  const [first] = answers
  const session = uuid()
  const by = [...new Set(answers.map(({ person }) => person).filter(Boolean))].join(', ')
  const head = {
    do: 'session',
    session: {
      id: session,
      horseId: first!.horseId,
      startedAt: first!.at,
      place: first!.where.slice(0, 80) || null,
      note: `Brought in from “${fileName.slice(0, 200)}”.${by ? ` Logged by ${by.slice(0, 500)}.` : ''}`,
    },
  }
  const each = answers.map(({ line, session: _session, person: _person, where: _where, ...answer }) => ({
    do: 'answer',
    line,
    answer: { ...answer, id: uuid(), sessionId: session },
  }))
  return [head, ...each].map((one) => JSON.stringify(one))
}

/** Reads, maps and writes out a log away from the page, so that a long one freezes nothing. */
const reader = {
  read(bytes: ArrayBuffer): ReadFile {
    const { text, encoding } = textFrom(new Uint8Array(bytes))
    table = readTable(text)
    return {
      header: table.header,
      rows: table.rows.length + table.faults.length,
      encoding,
      delimiter: table.delimiter,
      samples: table.header.map((_, i) => table.rows.slice(0, SAMPLES).map(({ cells }) => cells[i] ?? '')),
      mapping: guessMapping(table.header),
    }
  },

  /** The one style all dates of a column can have; nothing where a person must say. */
  dateStyle(column: number): DateStyle | null {
    return dateStyleOf(table.rows.map(({ cells }) => cells[column]?.trim() ?? '').filter(Boolean))
  },

  map(options: MappingOptions): Preview {
    timeZone = options.timeZone
    log = mapLog(table, options)
    return {
      answers: log.answers.length,
      sessions: bySession(log.answers).size,
      first: log.answers.slice(0, SHOWN),
      faults: log.faults.slice(0, MOST_FAULTS),
      faultCount: log.faults.length,
    }
  },

  /** What is sent: sessions, each before its answers, in the order they were given. */
  lines(fileName: string): Blob {
    const inOrder = [...log.answers].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.line - b.line))
    const parts = [...bySession(inOrder).values()].map(
      (answers) => `${linesOf(answers, fileName).join('\n')}\n`,
    )
    return new Blob(parts, { type: 'application/x-ndjson' })
  },
}

export type LogReader = typeof reader

expose(reader)
