import { createReadStream } from 'node:fs'
import { open as openFile } from 'node:fs/promises'
import {
  YARD_FORMAT,
  YARD_FORMAT_VERSION,
  YARD_PART_NAMES,
  YARD_PARTS,
  YardHead,
  type YardPart,
  type YardRecord,
} from '@still-pine/contract'
import { flawsOf, misfitOf, stepOf, withSafety, type Program } from '@still-pine/core/program'
import { v7 as uuid } from 'uuid'
import { allFilesMissing, fileCame, fileMissing, filesHere } from '../data/attachments'
import { insertProgram } from '../data/programs'
import { clearPrograms, hasHorses, insertPart, renameYard, saveAllTips } from '../data/yard-file'
import type { AttachmentFiles } from '../disk/attachment-files'
import { AT_ONCE, guarded, issueWords, MOST_REASONS, NotImported, type Bring, type Tell } from './importing'
import { jsonRecords, NotOneObject } from './json-records'
import { asWrittenNow } from './older-documents'
import { rebuildAll } from './rebuild'
import type { Yard } from './yard'
import { isZip, YardZip } from './yard-zip'

/** Documents from this version on can be read. */
const OLDEST_READ = 1

/** The head must be known before anything is written. */
const checkHead = (head: Readonly<Record<string, unknown>>): YardHead => {
  if (head.format !== YARD_FORMAT)
    throw new NotImported('This is not the document of a yard.', [
      `It does not begin with "format": "${YARD_FORMAT}".`,
    ])
  if (typeof head.version === 'number' && head.version > YARD_FORMAT_VERSION)
    throw new NotImported('This document was written by a newer Still Pine.', [
      `It is of format version ${head.version}; this one reads up to version ${YARD_FORMAT_VERSION}. Update first.`,
    ])
  const isRead = Number.isInteger(head.version) && (head.version as number) >= OLDEST_READ
  const known = isRead ? { ...head, version: YARD_FORMAT_VERSION } : head
  const parsed = YardHead.safeParse(known)
  if (!parsed.success)
    throw new NotImported('The head of this document cannot be read.', issueWords('Head', parsed.error))
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
      else throw new NotImported('This document cannot be read.', [`“${key}” is no part of a yard.`])
      return
    }
    if (this.part !== key) await this.open(key)
    this.count += 1
    const parsed = YARD_PARTS[key].safeParse(asWrittenNow(this.head.version, key, value))
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
      throw new NotImported('This document cannot be read.', [`“${part}” must stand before “${this.part}”.`])
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
      throw new NotImported(
        'Nothing was brought in: some records cannot be read.',
        this.reasons.slice(0, MOST_REASONS),
      )
  }

  /** What the schema alone cannot see. */
  private check(part: YardPart, record: unknown): void {
    const here = `${part} ${this.count}`
    if (part === 'programs') {
      const document = withSafety((record as YardRecord<'programs'>).document)
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

  private checkAnswer(here: string, answer: YardRecord<'answers'>): void {
    const program = this.horseProgram.get(answer.horse)
    const misfit = program && stepOf(program, answer.step) ? misfitOf(program, answer) : null
    // A step that left the program keeps its history, and one that lost its sides the sides of its answers.
    if (misfit && misfit.field !== 'side') this.refuse([`${here}: ${misfit.words}`])
  }

  private async write(): Promise<void> {
    const records = this.bunch.splice(0)
    const { part, yard } = this
    if (part === null || records.length === 0 || this.reasons.length > 0) return
    if (part === 'programs')
      for (const { document } of records as YardRecord<'programs'>[])
        await insertProgram(yard.client, yard.yardId, { id: uuid(), document })
    else {
      const written = await guarded(() => insertPart(yard.client, yard.yardId, { part, records }))
      if (written !== records.length)
        throw new NotImported('Nothing was brought in: it does not fit together.', [
          `Some ${part} name a program that is not there.`,
        ])
    }
    if (part === 'answers') this.tell({ step: 'reading', answers: (this.answers += records.length) })
  }
}

const brokenJson = (error: unknown): NotImported | null => {
  if (error instanceof NotImported) return error
  if (error instanceof NotOneObject) return new NotImported('This document cannot be read.', [error.message])
  const { message } = error as Error
  return /Parser|JSON|encoded data/i.test(message)
    ? new NotImported('This document is not JSON that can be read.', [message])
    : null
}

/** Keeps the files that came beside the document; gives how many are missing or not what they must be. */
const keepFiles = async (
  { client, yardId }: Yard,
  files: AttachmentFiles,
  zip: YardZip,
): Promise<readonly string[]> => {
  const kept: string[] = []
  try {
    for (const expected of await filesHere(client)) {
      kept.push(expected.id)
      const found = await zip.keep(files, yardId, expected)
      if (found) await fileCame(client, expected.id, found.type)
      else await fileMissing(client, expected.id)
    }
  } catch (error) {
    for (const id of kept) await files.remove(yardId, id)
    throw error
  }
  return kept
}

/** The document's bytes, out of the ZIP where it is one. */
const sourceOf = async (path: string) => {
  const file = await openFile(path)
  const { buffer } = await file.read(Buffer.alloc(4), 0, 4, 0)
  await file.close()
  return isZip(buffer) ? YardZip.open(path) : null
}

/** Brings a whole yard, a document or the ZIP it came in, into an empty one: all of it, or an error that says why not. */
export const importYard =
  (files: AttachmentFiles): Bring =>
  async (yard, path, tell) => {
    if (await hasHorses(yard.client))
      throw new NotImported('This yard has horses already.', [
        'A whole yard goes into an empty one. A log of answers (CSV) can be added to what is here.',
      ])
    const zip = await sourceOf(path)
    const writer = new YardWriter(yard, tell)
    let kept: readonly string[] = []
    try {
      for await (const records of jsonRecords(zip?.document() ?? createReadStream(path)))
        for (const { key, value } of records) await writer.take(key, value)
      await writer.end()
      await saveAllTips(yard.client)
      if (zip) kept = await keepFiles(yard, files, zip)
      else await allFilesMissing(yard.client)
      const { horses } = await rebuildAll(yard, tell)
      tell({ step: 'done', answers: writer.answers, horses })
    } catch (error) {
      for (const id of kept) await files.remove(yard.yardId, id)
      throw brokenJson(error) ?? error
    } finally {
      zip?.close()
    }
  }
