import { once } from 'node:events'
import type { Writable } from 'node:stream'
import { YARD_FORMAT, YARD_FORMAT_VERSION, YARD_PART_NAMES } from '@still-pine/contract'
import { rungAt, stepOf, type Program } from '@still-pine/core/program'
import { LOG_COLUMNS, writeRows } from '@still-pine/core/formats'
import { allHorses } from '../data/horses'
import { programById } from '../data/programs'
import { yardNow } from '../data/people'
import { logOf, partOf, type LogLine } from '../data/yard-file'
import type { Yard } from './yard'

/** Who takes nothing for this long has gone. */
const STALLED_MS = 30_000

/** Where a file goes, and what ends it when nobody takes it any more. */
export interface Outlet {
  readonly out: Writable
  readonly gone: AbortSignal
}

const write = async ({ out, gone }: Outlet, text: string): Promise<void> => {
  gone.throwIfAborted()
  if (!out.write(text))
    await once(out, 'drain', { signal: AbortSignal.any([gone, AbortSignal.timeout(STALLED_MS)]) })
}

/** Writes the yard as one JSON document, one record a line, as it is at this moment. */
export const writeYard = async (yard: Yard, out: Outlet): Promise<void> => {
  const { name, timeZone } = (await yardNow(yard.client))!
  const head = { format: YARD_FORMAT, version: YARD_FORMAT_VERSION, yard: { name, timeZone } }
  await write(out, `{\n${JSON.stringify(head).slice(1, -1)}`)
  for (const part of YARD_PART_NAMES) {
    await write(out, `,\n${JSON.stringify(part)}: [`)
    let isFirst = true
    for await (const page of partOf(yard.client, part)) {
      const lines = page.map((record) => JSON.stringify(record)).join(',\n')
      await write(out, `${isFirst ? '' : ','}\n${lines}`)
      isFirst = false
    }
    await write(out, isFirst ? ']' : '\n]')
  }
  await write(out, '\n}\n')
}

/** What a log of the yard holds beside the columns that can be judged. */
export const FURTHER_COLUMNS = [
  'session',
  'person',
  'where',
  'sign',
  'fault',
  'ending',
  'slip',
  'zone',
] as const

const flag = (value: boolean): string => (value ? '1' : '0')

const cells = (line: LogLine, program: Program, horse: string): readonly unknown[] => {
  const step = stepOf(program, line.step)
  return [
    horse,
    line.step,
    step?.kind ?? '',
    line.side,
    step?.requiredRung ?? '',
    flag(step?.allRound ?? false),
    line.at,
    step ? rungAt(step, line.rung) : line.rung,
    line.grade,
    line.calm ?? '',
    flag(line.byChance),
    flag(line.recalled),
    flag(line.uncued),
    line.place ?? '',
    flag(line.moving),
    line.session,
    line.person,
    line.where ?? '',
    line.sign ?? '',
    line.fault ?? '',
    line.ending ?? '',
    line.slip ?? '',
    line.zone ?? '',
  ]
}

/** Names by id; the second horse of a name is told apart by a number. */
const namesOf = (horses: readonly { id: string; name: string }[]): ReadonlyMap<string, string> => {
  const seen = new Map<string, number>()
  return new Map(
    horses.map(({ id, name }) => {
      const n = (seen.get(name) ?? 0) + 1
      seen.set(name, n)
      return [id, n === 1 ? name : `${name} (${n})`]
    }),
  )
}

/** Writes the answers that stand as CSV; steps that are no longer in a horse's program are left out. */
export const writeLog = async (yard: Yard, horseId: string | null, out: Outlet): Promise<void> => {
  const horses = await allHorses(yard.client)
  const names = namesOf(horses)
  const programs = new Map<string, Program>()
  for (const { id, programId } of horses)
    programs.set(id, (await programById(yard.client, programId))!.document)
  await write(out, writeRows([[...LOG_COLUMNS, ...FURTHER_COLUMNS]]))
  for await (const page of logOf(yard.client, horseId, yard.timeZone)) {
    const known = page.filter((line) => stepOf(programs.get(line.horseId)!, line.step))
    const rows = known.map((line) => cells(line, programs.get(line.horseId)!, names.get(line.horseId)!))
    await write(out, writeRows(rows))
  }
}
