import type { KeptAnswer, Line, Me, ReplyOf, Session, SessionChanges } from '@still-pine/contract'
import { changesOf } from '@still-pine/contract/changes'
import { addDays } from '@still-pine/core/answer'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { withSafety, type Program } from '@still-pine/core/program'
import { trackKey, viewsOf } from '@still-pine/core/readiness'
import { device } from '../device'
import { keepReply } from '../replies'
import { historyOf } from './history'
import { broughtUp } from './brought-up'
import { factsHere, incidentsHere, lineHere, loadDaysHere, Replays, type HorseHere } from './judged'
import { stepEvidenceHere } from './evidence'
import { bodyOf, dayInZone, lineKey, lineKnown, meHere, waitingFor } from './known'
import { workedHere } from './worked'
import { answersOfSessionHere, answersOfStepHere, sessionsHere } from './sessions'

/** Who asks, and what time and day it is in their yard. */
interface Asking {
  readonly me: Me
  readonly now: number
  readonly today: string
}

/** Answers what the server would be asked from what lies on this device; `undefined` where it is not known here. */
export class Reader {
  private readonly replays = new Replays()

  private readonly answers: readonly (readonly [
    RegExp,
    (asking: Asking, ...parts: string[]) => Promise<unknown>,
  ])[] = [
    [/^today$/, (asking) => this.todaysRows(asking)],
    [/^horses\/([^/?]+)\/line$/, (asking, horseId) => this.line(asking, horseId!)],
    [/^horses\/([^/?]+)\/line\?on=([\d-]+)$/, (asking, horseId, on) => this.lineOn(asking, horseId!, on!)],
    [/^horses\/([^/?]+)\/worked$/, (asking, horseId) => this.worked(asking, horseId!)],
    [
      /^horses\/([^/?]+)\/steps\/([^/?]+)\/answers$/,
      (asking, horseId, step) => this.ofStep(asking, horseId!, step!),
    ],
    [
      /^horses\/([^/?]+)\/steps\/([^/?]+)\/evidence$/,
      (asking, horseId, step) => this.stepEvidence(asking, horseId!, step!),
    ],
    [/^horses\/([^/?]+)\/evidence$/, (asking, horseId) => this.evidence(asking, horseId!)],
    [/^horses\/([^/?]+)\/(checks|incidents)$/, (asking, horseId, what) => this.care(asking, horseId!, what!)],
    [/^sessions\?horseId=([^&]+)$/, (asking, horseId) => this.sessions(asking, horseId!)],
    [/^sessions\/([^/?]+)$/, (asking, id) => this.session(asking, id!)],
    [/^sessions\/([^/?]+)\/changes$/, (asking, id) => this.changes(asking, id!)],
  ]

  async read(key: string, now: number): Promise<unknown> {
    const me = await meHere(now)
    if (!me) return undefined
    const asking = { me, now, today: me.today }
    for (const [pattern, answer] of this.answers) {
      const found = pattern.exec(key)
      if (found) return answer(asking, ...found.slice(1))
    }
    return undefined
  }

  private async horse({ me }: Asking, horseId: string): Promise<HorseHere | undefined> {
    const found = await device.carried.get([me.person.id, horseId])
    if (!found) return undefined
    const carried = broughtUp(found)
    const program = await bodyOf<{ program: Program }>(`programs/${carried.horse.programId}`)
    if (!program) return undefined
    const waiting = await waitingFor(me.person.id, horseId)
    const history = historyOf(carried, waiting, me.person, dayInZone(me.yard.timeZone))
    return { carried, waiting, program: withSafety(program.program), history }
  }

  private async line(asking: Asking, horseId: string): Promise<Line | undefined> {
    const known = await lineKnown(asking.me, horseId)
    if (known) return known
    const horse = await this.horse(asking, horseId)
    if (!horse) return undefined
    const line = lineHere(horse, asking.today, this.replays)
    await keepReply(lineKey(horseId), line, asking.now)
    return line
  }

  private async lineOn(asking: Asking, horseId: string, on: string): Promise<Line | undefined> {
    const horse = await this.horse(asking, horseId)
    return horse && lineHere(horse, on, this.replays)
  }

  private async worked(asking: Asking, horseId: string): Promise<ReplyOf<'worked'> | undefined> {
    const horse = await this.horse(asking, horseId)
    const told = await bodyOf<{ sessions: Session[] }>(`sessions?horseId=${horseId}`)
    return horse && { day: asking.today, rows: [...workedHere(horse.history, told?.sessions ?? [])] }
  }

  private async todaysRows(asking: Asking): Promise<ReplyOf<'today'> | undefined> {
    const told = await bodyOf<ReplyOf<'today'>>('today')
    if (!told) return undefined
    const { me, today: day } = asking
    const dayOf = dayInZone(me.yard.timeZone)
    const rows = []
    for (const row of told.rows) {
      const line = await this.line(asking, row.horse.id)
      const here = (await waitingFor(me.person.id, row.horse.id)).filter(
        ({ item }) => item.do === 'add' && dayOf(item.answer.at) === day,
      )
      const answersToday = (told.day === day ? row.answersToday : 0) + here.length
      rows.push({
        ...row,
        ...(line ? { horse: line.horse, plan: line.plan, shut: line.shut } : {}),
        answersToday,
      })
    }
    return { day, rows, gone: told.gone ?? [] }
  }

  private async ofStep(
    asking: Asking,
    horseId: string,
    step: string,
  ): Promise<{ answers: readonly KeptAnswer[] } | undefined> {
    const horse = await this.horse(asking, horseId)
    return horse && { answers: answersOfStepHere(horse, step) }
  }

  // Of sessions older than those this device was told, it knows no circumstances.
  private async sessionsOldestFirst(horse: HorseHere): Promise<readonly Session[]> {
    const told = await bodyOf<{ sessions: Session[] }>(`sessions?horseId=${horse.carried.horseId}`)
    return sessionsHere(horse, told?.sessions ?? []).toReversed()
  }

  private async stepEvidence(
    asking: Asking,
    horseId: string,
    step: string,
  ): Promise<ReplyOf<'stepEvidence'> | undefined> {
    const horse = await this.horse(asking, horseId)
    return horse && stepEvidenceHere(horse, step, await this.sessionsOldestFirst(horse), asking.today)
  }

  private async evidence(asking: Asking, horseId: string): Promise<ReplyOf<'evidence'> | undefined> {
    const horse = await this.horse(asking, horseId)
    return (
      horse && {
        day: asking.today,
        answers: [...horse.history],
        sessions: [...(await this.sessionsOldestFirst(horse))],
      }
    )
  }

  private async care(asking: Asking, horseId: string, what: string): Promise<unknown> {
    const horse = await this.horse(asking, horseId)
    if (!horse) return undefined
    return what === 'checks' ? { checks: horse.carried.checks } : { incidents: incidentsHere(horse) }
  }

  private async sessions(
    asking: Asking,
    horseId: string,
  ): Promise<{ sessions: readonly Session[] } | undefined> {
    const horse = await this.horse(asking, horseId)
    const told = await bodyOf<{ sessions: Session[] }>(`sessions?horseId=${horseId}`)
    return horse && { sessions: sessionsHere(horse, told?.sessions ?? []) }
  }

  private async horseOfSession(asking: Asking, sessionId: string): Promise<HorseHere | undefined> {
    const all = await device.carried.where('personId').equals(asking.me.person.id).toArray()
    for (const { horseId } of all) {
      const horse = await this.horse(asking, horseId)
      if (horse?.history.some((answer) => answer.sessionId === sessionId)) return horse
    }
    return undefined
  }

  private async session(
    asking: Asking,
    id: string,
  ): Promise<{ session: Session; answers: readonly KeptAnswer[] } | undefined> {
    const horse = await this.horseOfSession(asking, id)
    if (!horse) return undefined
    const told = await bodyOf<{ sessions: Session[] }>(`sessions?horseId=${horse.carried.horseId}`)
    const session = sessionsHere(horse, told?.sessions ?? []).find((one) => one.id === id)
    return session && { session, answers: answersOfSessionHere(horse, id) }
  }

  private async changes(asking: Asking, id: string): Promise<SessionChanges | undefined> {
    const known = await this.session(asking, id)
    const horse = known && (await this.horse(asking, known.session.horseId))
    if (!known || !horse) return undefined
    const { session, answers } = known
    const viewsOn = (day: string) => viewsOf(STANDARD_MODEL, horse.program, this.replays.of(horse, day), day)
    const asked = new Map<string, number>()
    for (const { step, side } of answers)
      asked.set(trackKey(step, side), (asked.get(trackKey(step, side)) ?? 0) + 1)
    return changesOf(
      horse.program,
      viewsOn(addDays(session.day, -1)),
      viewsOn(session.day),
      asked,
      factsHere(horse, session.day),
      loadDaysHere(horse, addDays(session.day, 1)),
      session,
    )
  }
}
