import {
  BroughtLine,
  YARD_FORMAT,
  YARD_FORMAT_VERSION,
  YARD_PART_NAMES,
  YARD_PARTS,
  YardHead,
  type Progress,
  type YardPart,
  type YardRecord,
} from '@still-pine/contract'
import { flawsOf, stepOf, type Program } from '@still-pine/core/program'
import { v7 as uuid } from 'uuid'
import { allHorses, insertProgram, programById } from '../data/horses'
import { clearPrograms, hasHorses, insertPart, renameYard, saveAllTips } from '../data/yard-file'
import { rebuildAll } from './rebuild'
import { jsonRecords, NotOneObject } from './json-records'
import { dayIn } from './yard-day'
import type { Replays } from '../threads'
import type { Yard } from './yard'

/** Why nothing was brought in. */
export class NotBrought extends Error {
  constructor(
    readonly title: string,
    readonly reasons: readonly string[] = [],
  ) {
    super(title)
  }
}

type Tell = (progress: Progress) => void

/** Brings a file into a yard: all of it, or an error that says why not. */
export type Bring = (
  yard: Yard,
  replays: Replays,
  bytes: AsyncIterable<Uint8Array>,
  tell: Tell,
) => Promise<void>

/** Records written in one statement, and reasons told at most. */
const AT_ONCE = 1_000
const MOST_REASONS = 50

const RULES: Readonly<Record<string, string>> = {
  '23505': 'is kept here already, in this yard or another',
  '23503': 'names something that does not stand before it',
  '23502': 'lacks something it must have',
  '23514': 'is outside what is allowed',
  '42501': 'belongs to another yard',
}

/** What the database says against a record, for a person to read. */
const databaseReason = (error: unknown): string | null => {
  const { code, detail } = error as { code?: string; detail?: string }
  const rule = code === undefined ? undefined : RULES[code]
  return rule ? `A record ${rule}${detail ? ` (${detail.replace(/\s+/g, ' ')})` : ''}.` : null
}

const guarded = async <T>(work: () => Promise<T>): Promise<T> => {
  try {
    return await work()
  } catch (error) {
    const reason = databaseReason(error)
    if (reason === null) throw error
    throw new NotBrought('Nothing was brought in: it does not fit together.', [reason])
  }
}

const issueWords = (
  where: string,
  error: { issues: readonly { path: PropertyKey[]; message: string }[] },
): string[] =>
  error.issues.map(
    ({ path, message }) => `${where}${path.length > 0 ? `, ${path.map(String).join('.')}` : ''}: ${message}`,
  )

/** The head must be known before anything is written. */
const checkHead = (head: Readonly<Record<string, unknown>>): YardHead => {
  if (head.format !== YARD_FORMAT)
    throw new NotBrought('This is not the document of a yard.', [
      `It does not begin with "format": "${YARD_FORMAT}".`,
    ])
  if (typeof head.version === 'number' && head.version > YARD_FORMAT_VERSION)
    throw new NotBrought('This document was written by a newer Still Pine.', [
      `It is of format version ${head.version}; this one reads version ${YARD_FORMAT_VERSION}. Update first.`,
    ])
  const parsed = YardHead.safeParse(head)
  if (!parsed.success)
    throw new NotBrought('The head of this document cannot be read.', issueWords('Head', parsed.error))
  return parsed.data
}

type YardHead = ReturnType<typeof YardHead.parse>

const isPart = (key: string): key is YardPart => key in YARD_PARTS

/** Takes the records of a document in their order, checks each, and writes them in bunches. */
class YardWriter {
  private head: Record<string, unknown> = {}
  private part: YardPart | null = null
  private readonly bunch: unknown[] = []
  private count = 0
  private reasons: string[] = []
  private programs = new Map<string, Program>()
  private horseProgram = new Map<string, Program>()
  answers = 0

  constructor(
    private readonly yard: Yard,
    private readonly tell: Tell,
  ) {}

  async take(key: string, value: unknown): Promise<void> {
    if (!isPart(key)) {
      if (this.part === null) this.head[key] = value
      else throw new NotBrought('This document cannot be read.', [`“${key}” is no part of a yard.`])
      return
    }
    if (this.part !== key) await this.open(key)
    this.count += 1
    const parsed = YARD_PARTS[key].safeParse(value)
    if (!parsed.success) return this.refuse(issueWords(`${key} ${this.count}`, parsed.error))
    this.check(key, parsed.data)
    this.bunch.push(parsed.data)
    if (this.bunch.length >= AT_ONCE) await this.write()
  }

  /** Everything is written, or the reasons why not are told. */
  async end(): Promise<void> {
    if (this.part === null) checkHead(this.head)
    await this.write()
    this.stopIfRefused()
  }

  private async open(part: YardPart): Promise<void> {
    if (this.part === null) {
      const { yard } = checkHead(this.head)
      await renameYard(this.yard.client, yard)
      await clearPrograms(this.yard.client)
    } else if (YARD_PART_NAMES.indexOf(part) < YARD_PART_NAMES.indexOf(this.part))
      throw new NotBrought('This document cannot be read.', [`“${part}” must stand before “${this.part}”.`])
    await this.write()
    this.stopIfRefused()
    this.part = part
    this.count = 0
  }

  private refuse(reasons: readonly string[]): void {
    this.reasons.push(...reasons)
    if (this.reasons.length >= MOST_REASONS) this.stopIfRefused()
  }

  private stopIfRefused(): void {
    if (this.reasons.length > 0)
      throw new NotBrought(
        'Nothing was brought in: some records cannot be read.',
        this.reasons.slice(0, MOST_REASONS),
      )
  }

  /** What the schema alone cannot see. */
  private check(part: YardPart, record: unknown): void {
    const here = `${part} ${this.count}`
    if (part === 'programs') {
      const { document } = record as YardRecord<'programs'>
      this.refuse(flawsOf(document).map(({ words }) => `${here}: ${words}`))
      this.programs.set(`${document.school} ${document.version}`, document)
    } else if (part === 'horses') {
      const { id, school, schoolVersion } = record as YardRecord<'horses'>
      const program = this.programs.get(`${school} ${schoolVersion}`)
      if (program) this.horseProgram.set(id, program)
      else
        this.refuse([
          `${here}: it works by ${school} version ${schoolVersion}, which is not among the programs.`,
        ])
    } else if (part === 'answers') this.checkAnswer(here, record as YardRecord<'answers'>)
  }

  private checkAnswer(here: string, { horse, step: key, rung }: YardRecord<'answers'>): void {
    const program = this.horseProgram.get(horse)
    const step = program && stepOf(program, key)
    // A step that left the program keeps its history.
    if (step && rung > step.rungs.length)
      this.refuse([`${here}: ${step.name} has ${step.rungs.length} rungs, and this says ${rung}.`])
  }

  private async write(): Promise<void> {
    const records = this.bunch.splice(0)
    const { part, yard } = this
    if (part === null || records.length === 0 || this.reasons.length > 0) return
    if (part === 'programs')
      for (const { document } of records as YardRecord<'programs'>[])
        await insertProgram(yard.client, yard.yardId, uuid(), document)
    else {
      const written = await guarded(() => insertPart(yard.client, yard.yardId, part, records))
      if (written !== records.length)
        throw new NotBrought('Nothing was brought in: it does not fit together.', [
          `Some ${part} name a program that is not there.`,
        ])
    }
    if (part === 'answers') this.tell({ step: 'reading', answers: (this.answers += records.length) })
  }
}

const brokenJson = (error: unknown): NotBrought | null => {
  if (error instanceof NotBrought) return error
  if (error instanceof NotOneObject) return new NotBrought('This document cannot be read.', [error.message])
  const { message } = error as Error
  return /Parser|JSON|encoded data/i.test(message)
    ? new NotBrought('This document is not JSON that can be read.', [message])
    : null
}

/** Brings a whole yard into an empty one: all of it, or an error that says why not. */
export const bringYard: Bring = async (yard, replays, bytes, tell) => {
  if (await hasHorses(yard.client))
    throw new NotBrought('This yard has horses already.', [
      'A whole yard goes into an empty one. A log of answers (CSV) can be added to what is here.',
    ])
  const writer = new YardWriter(yard, tell)
  try {
    for await (const records of jsonRecords(bytes))
      for (const { key, value } of records) await writer.take(key, value)
    await writer.end()
  } catch (error) {
    throw brokenJson(error) ?? error
  }
  await saveAllTips(yard.client)
  const { horses } = await rebuildAll(yard, replays, tell)
  tell({ step: 'done', answers: writer.answers, horses })
}

const linesIn = async function* (bytes: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let rest = ''
  for await (const chunk of bytes) {
    const lines = (rest + decoder.decode(chunk, { stream: true })).split('\n')
    rest = lines.pop()!
    yield* lines
  }
  if (rest.trim() !== '') yield rest
}

type Answer = Extract<BroughtLine, { do: 'answer' }>

const parsedLine = (text: string, n: number): BroughtLine => {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new NotBrought('This log cannot be read.', [`Object ${n} is not JSON.`])
  }
  const parsed = BroughtLine.safeParse(value)
  if (!parsed.success)
    throw new NotBrought('This log cannot be read.', issueWords(`Object ${n}`, parsed.error))
  return parsed.data
}

const DAY_MS = 86_400_000

/** Checks and writes a log of answers, in bunches. */
class LogWriter {
  private readonly sessions: unknown[] = []
  private readonly answers: unknown[] = []
  private readonly horseOfSession = new Map<string, string>()
  private readonly reasons: string[] = []
  readonly horses = new Set<string>()
  written = 0

  constructor(
    private readonly yard: Yard,
    private readonly programs: ReadonlyMap<string, Program>,
    private readonly tell: Tell,
  ) {}

  async take(line: BroughtLine): Promise<void> {
    if (line.do === 'session') {
      const { horseId, ...session } = line.session
      if (!this.programs.has(horseId))
        throw new NotBrought('Nothing was brought in.', ['A session names a horse that is not in your yard.'])
      const day = dayIn(this.yard.timeZone, new Date(session.startedAt))
      this.horseOfSession.set(session.id, horseId)
      this.sessions.push({ ...session, horse: horseId, person: this.yard.personId, day, confirmedAt: null })
    } else this.takeAnswer(line)
    if (this.answers.length >= AT_ONCE) await this.write()
  }

  async end(): Promise<void> {
    await this.write()
    if (this.reasons.length > 0)
      throw new NotBrought('Nothing was brought in.', this.reasons.slice(0, MOST_REASONS))
  }

  private faultOf({ answer: { step: key, side, rung, at, horseId, sessionId } }: Answer): string | null {
    const program = this.programs.get(horseId)
    if (!program) return 'its horse is not in your yard'
    if (this.horseOfSession.get(sessionId) !== horseId) return 'its session does not stand before it'
    const step = stepOf(program, key)
    if (!step) return `“${key}” is not a step of this horse’s program`
    if (rung > step.rungs.length) return `${step.name} has ${step.rungs.length} rungs, and this says ${rung}`
    if (step.sided === (side === 'none'))
      return step.sided ? `${step.name} is kept per side` : `${step.name} has no sides`
    return Date.parse(at) - this.yard.now.getTime() > DAY_MS ? 'it lies more than 24 hours ahead' : null
  }

  private takeAnswer(line: Answer): void {
    const fault = this.faultOf(line)
    if (fault !== null) {
      this.reasons.push(`Line ${line.line}: ${fault}.`)
      if (this.reasons.length >= MOST_REASONS) throw new NotBrought('Nothing was brought in.', this.reasons)
      return
    }
    const { horseId, sessionId, ...answer } = line.answer
    this.horses.add(horseId)
    this.answers.push({
      ...answer,
      horse: horseId,
      session: sessionId,
      person: this.yard.personId,
      phoneAt: answer.at,
      day: dayIn(this.yard.timeZone, new Date(answer.at)),
      ahead: Date.parse(answer.at) > this.yard.now.getTime(),
      seconds: null,
      replaces: null,
    })
  }

  private async write(): Promise<void> {
    const { client, yardId } = this.yard
    const sessions = this.sessions.splice(0)
    const answers = this.answers.splice(0)
    await guarded(async () => {
      if (sessions.length > 0) await insertPart(client, yardId, 'sessions', sessions)
      if (answers.length > 0) await insertPart(client, yardId, 'answers', answers)
    })
    this.tell({ step: 'reading', answers: (this.written += answers.length) })
  }
}

/** Brings in a log of answers of this yard's horses: all of it, or an error that says why not. */
export const bringLog: Bring = async (yard, replays, bytes, tell) => {
  const programs = new Map<string, Program>()
  for (const { id, programId } of await allHorses(yard.client))
    programs.set(id, (await programById(yard.client, programId))!.document)
  const writer = new LogWriter(yard, programs, tell)
  let n = 0
  for await (const text of linesIn(bytes)) await writer.take(parsedLine(text, ++n))
  await writer.end()
  await saveAllTips(yard.client)
  const { horses } = await rebuildAll(yard, replays, tell, writer.horses)
  tell({ step: 'done', answers: writer.written, horses })
}
