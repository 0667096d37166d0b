import { addressOf, routes, type Me, type ReplyOf, type Session } from '@still-pine/contract'
import { judgedBy, withSafety, type Program } from '@still-pine/core/program'
import { answer, queries, Refusal, type Asked, type QueryName } from '@still-pine/use-cases'
import { lineKey, programKey } from '../keys'
import { bodyOf, horseOfLine, lineKnown, meHere, waitingFor, type Question } from '../known'
import { saveReply } from '../replies'
import { device } from '../store'
import { broughtUp } from './brought-up'
import { horseHere, type HorseHere } from './horse-here'
import { loadersOf, type Here } from './loaders'
import { Replays } from './replays'

const isQuery = (name: string): name is QueryName => name in queries

/** Answers what the server would be asked from what lies on this device; `undefined` where it is not known here. */
export class Reader {
  private readonly replays = new Replays()

  async read(question: Question, now: number): Promise<unknown> {
    const { name, named } = question
    const me = await meHere(now)
    if (!me || !isQuery(name)) return undefined
    const params = routes[name].params.safeParse(named)
    const query = routes[name].query.safeParse(named)
    if (!params.success || !query.success) return undefined
    const horseId = horseOfLine(question)
    if (horseId !== undefined) return this.lineOf(me, horseId, now)
    return this.ask(me, now, { name, named: { ...params.data, ...query.data } })
  }

  private async ask<N extends QueryName>(
    me: Me,
    now: number,
    { name, named }: { name: N; named: object },
  ): Promise<unknown> {
    const here: Here = {
      me,
      replays: this.replays,
      horseOf: (horseId) => this.horseOf(me, horseId, now),
      lineOf: (horseId) => this.lineOf(me, horseId, now),
    }
    const { today, person, yard } = me
    const who = { yardId: yard.id, personId: person.id, role: person.role, deviceId: null }
    const asked = { who, now: new Date(now), today, on: today, ...onDay(named), named }
    try {
      return await answer(name, loadersOf(here), asked as unknown as Asked<N>)
    } catch (error) {
      if (error instanceof Refusal) return undefined
      throw error
    }
  }

  private async horseOf(me: Me, horseId: string, now: number): Promise<HorseHere | undefined> {
    const found = await device.carried.get([me.person.id, horseId])
    if (!found) return undefined
    const carried = broughtUp(found)
    const program = await bodyOf<{ program: Program }>(programKey(carried.horse.programId))
    if (!program) return undefined
    const told = await bodyOf<{ sessions: Session[] }>(addressOf('sessions', { horseId }))
    const judged = judgedBy(withSafety(program.program), carried.horse.judgedBy?.values ?? null)
    const known = { carried, program: judged, told: told?.sessions ?? [] }
    return horseHere({ ...known, waiting: await waitingFor(me.person.id, horseId) }, me, new Date(now))
  }

  /** Today's Line of a horse, kept until something is added to it. */
  private async lineOf(me: Me, horseId: string, now: number): Promise<ReplyOf<'line'> | undefined> {
    const known = await lineKnown(me, horseId)
    if (known) return known
    const line = (await this.ask(me, now, { name: 'line', named: { horseId } })) as
      ReplyOf<'line'> | undefined
    if (line) await saveReply(lineKey(horseId), line, now)
    return line
  }
}

const onDay = (named: { readonly on?: string }): { readonly on?: string } =>
  named.on === undefined ? {} : { on: named.on }
