import { createReadStream } from 'node:fs'
import { ImportedLine } from '@still-pine/contract'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { markOf, misfitOf, stepOf, type Program } from '@still-pine/core/program'
import { allHorses, lockHorses } from '../data/horses'
import { insertPart, saveAllTips } from '../data/yard-file'
import { AT_ONCE, guarded, issueWords, MOST_REASONS, NotImported, type Bring, type Tell } from './importing'
import { dayFault } from '@still-pine/use-cases'
import { programOfHorse } from '../parts/programs'
import { rebuildAll } from './rebuild'
import { todayIn, type Yard } from './yard'
import { dayIn } from './yard-day'

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

type Answer = Extract<ImportedLine, { do: 'answer' }>

const parsedLine = (text: string, n: number): ImportedLine => {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new NotImported('This log cannot be read.', [`Object ${n} is not JSON.`])
  }
  const parsed = ImportedLine.safeParse(value)
  if (!parsed.success)
    throw new NotImported('This log cannot be read.', issueWords(`Object ${n}`, parsed.error))
  return parsed.data
}

interface HorseOfLog {
  readonly name: string
  readonly born: string | null
  readonly program: Program
}

/** Checks and writes a log of answers, in bunches. */
class LogWriter {
  private readonly sessions: unknown[] = []
  private readonly answers: unknown[] = []
  private readonly horseOfSession = new Map<string, string>()
  private readonly reasons: string[] = []
  readonly touched = new Set<string>()
  written = 0

  constructor(
    private readonly yard: Yard,
    private readonly horses: ReadonlyMap<string, HorseOfLog>,
    private readonly tell: Tell,
  ) {}

  async take(line: ImportedLine): Promise<void> {
    if (line.do === 'session') {
      const { horseId, ...session } = line.session
      if (!this.horses.has(horseId))
        throw new NotImported('Nothing was brought in.', [
          'A session names a horse that is not in your yard.',
        ])
      const day = dayIn(this.yard.timeZone, new Date(session.startedAt))
      this.horseOfSession.set(session.id, horseId)
      this.sessions.push({
        ...session,
        horse: horseId,
        person: this.yard.personId,
        day,
        confirmedAt: null,
        circumstances: NOTHING_NOTED,
        promised: null,
      })
    } else this.takeAnswer(line)
    if (this.answers.length >= AT_ONCE) await this.write()
  }

  async end(): Promise<void> {
    await this.write()
    if (this.reasons.length > 0)
      throw new NotImported('Nothing was brought in.', this.reasons.slice(0, MOST_REASONS))
  }

  private faultOf({ answer }: Answer): string | null {
    const { step: key, at, horseId, sessionId } = answer
    const horse = this.horses.get(horseId)
    if (!horse) return 'Its horse is not in your yard.'
    if (this.horseOfSession.get(sessionId) !== horseId) return 'Its session does not stand before it.'
    const { program } = horse
    const step = stepOf(program, key)
    if (!step) return `“${key}” is not a step of this horse’s program.`
    return (
      misfitOf(program, { ...answer, rung: markOf(step, answer.rung) })?.words ??
      dayFault(todayIn(this.yard), horse, dayIn(this.yard.timeZone, new Date(at)))
    )
  }

  private takeAnswer(line: Answer): void {
    const fault = this.faultOf(line)
    if (fault !== null) {
      this.reasons.push(`Line ${line.line}: ${fault}`)
      if (this.reasons.length >= MOST_REASONS) throw new NotImported('Nothing was brought in.', this.reasons)
      return
    }
    const { horseId, sessionId, ...answer } = line.answer
    const step = stepOf(this.horses.get(horseId)!.program, answer.step)!
    this.touched.add(horseId)
    this.answers.push({
      ...answer,
      rung: markOf(step, answer.rung),
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
      if (sessions.length > 0) await insertPart(client, yardId, { part: 'sessions', records: sessions })
      if (answers.length > 0) await insertPart(client, yardId, { part: 'answers', records: answers })
    })
    this.tell({ step: 'reading', answers: (this.written += answers.length) })
  }
}

/** Brings in a log of answers of this yard's horses: all of it, or an error that says why not. */
export const importLog: Bring = async (yard, path, tell) => {
  const horses = new Map<string, HorseOfLog>()
  const all = await allHorses(yard.client)
  // Whoever logs meanwhile waits, and nobody waits for each other.
  await lockHorses(
    yard.client,
    all.map(({ id }) => id),
  )
  for (const horse of all)
    horses.set(horse.id, {
      name: horse.name,
      born: horse.born,
      program: await programOfHorse(yard.client, yard.yardId, horse),
    })
  const writer = new LogWriter(yard, horses, tell)
  let n = 0
  for await (const text of linesIn(createReadStream(path))) await writer.take(parsedLine(text, ++n))
  await writer.end()
  await saveAllTips(yard.client)
  const rebuilt = await rebuildAll(yard, tell, writer.touched)
  tell({ step: 'done', answers: writer.written, horses: rebuilt.horses })
}
