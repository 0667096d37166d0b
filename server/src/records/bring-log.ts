import { BroughtLine } from '@still-pine/contract'
import { NOTHING_NOTED } from '@still-pine/core/circumstances'
import { markOf, stepOf, type Program } from '@still-pine/core/program'
import { allHorses } from '../data/horses'
import { programById } from '../data/programs'
import { insertPart, saveAllTips } from '../data/yard-file'
import { AT_ONCE, guarded, issueWords, MOST_REASONS, NotBrought, type Bring, type Tell } from './bringing'
import { rebuildAll } from './rebuild'
import type { Yard } from './yard'
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
    const step = stepOf(this.programs.get(horseId)!, answer.step)!
    this.horses.add(horseId)
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
