import { TZDate } from '@date-fns/tz'
import type { Line, Me, ReadName } from '@still-pine/contract'
import { formatISO } from 'date-fns'
import { device, type Waiting } from './store'
import { lineKey } from './keys'
import { isReadable } from './outbox'
import { savedReply } from './replies'

export const dayInZone =
  (timeZone: string) =>
  (at: string | number): string =>
    formatISO(new TZDate(typeof at === 'number' ? at : Date.parse(at), timeZone), { representation: 'date' })

export const bodyOf = async <T>(key: string): Promise<T | undefined> =>
  (await savedReply(key))?.body as T | undefined

/** What one person has waiting for one horse, oldest first. */
/** Said of one horse, and true for every horse of the yard. */
const isOfYard = ({ item }: Waiting): boolean => item.do === 'enter' && item.entry.ofYard

export const waitingFor = async (personId: string, horseId: string): Promise<Waiting[]> => {
  const all = await device.waiting.where('personId').equals(personId).sortBy('order')
  return all.filter((one) => (one.horseId === horseId || isOfYard(one)) && isReadable(one))
}

/** Who is signed in, with what day it is by this device. */
export const meHere = async (now: number): Promise<Me | undefined> => {
  const me = await bodyOf<Me>('me')
  return me && { ...me, today: dayInZone(me.yard.timeZone)(now) }
}

/** A Line of today that nothing was added to since; what is carried from the server takes an older one away. */
export const lineKnown = async (me: Me, horseId: string): Promise<Line | undefined> => {
  const [kept, waiting] = await Promise.all([savedReply(lineKey(horseId)), waitingFor(me.person.id, horseId)])
  const line = kept?.body as Line | undefined
  // One that was kept by an older app tells too little for what is asked of it now.
  if (!kept || line?.day !== me.today || line.tracks[0]?.view.hardest === undefined) return undefined
  return waiting.every(({ keptAt }) => keptAt < kept.at) ? line : undefined
}

/** What a screen asks: a route that only reads, and what it names. */
export interface Question {
  readonly name: ReadName
  readonly named: object
}

/** The horse whose Line of today is asked for, or nothing. */
export const horseOfLine = ({ name, named }: Question): string | undefined => {
  const { horseId, on } = named as { horseId?: string; on?: string }
  return name === 'line' && on === undefined ? horseId : undefined
}

/** Answers that need nothing worked out: read at once, without waking the worker. */
export const knownHere = async (question: Question, now: number): Promise<unknown> => {
  if (question.name === 'me') return meHere(now)
  const horseId = horseOfLine(question)
  if (horseId === undefined) return undefined
  const me = await meHere(now)
  return me && lineKnown(me, horseId)
}
