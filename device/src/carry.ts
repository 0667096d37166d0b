import { personHere } from './who'
import type { CarriedAnswer, Carry } from '@still-pine/contract'
import { device, type Carried } from './store'
import { lineKey } from './keys'

/** Asks the server for a horse from where this device left off; `null` where it cannot be asked. */
export type AskCarry = (
  horseId: string,
  cursor: { readonly answers: number; readonly voidings: number },
) => Promise<Carry | null>

const BEGINNING = { answers: 0, voidings: 0 }

const joined = (before: readonly CarriedAnswer[], page: Carry): readonly CarriedAnswer[] => {
  const gone = new Set(page.voided)
  const fresh = new Set(page.answers.map(({ id }) => id))
  return [...before.filter(({ id }) => !gone.has(id) && !fresh.has(id)), ...page.answers]
}

/** Something that lies here and is not what it should be is fetched anew. */
const isWhole = (carried: Carried | undefined): carried is Carried =>
  carried !== undefined &&
  Array.isArray(carried.answers) &&
  Number.isInteger(carried.cursor?.answers) &&
  Number.isInteger(carried.cursor?.voidings)

/** All but the answers, as text: what else a Line is made from. */
const besides = ({ answers: _answers, at: _at, ...rest }: Carried): string => JSON.stringify(rest)

/** What came of carrying a horse: something new, nothing new, or no signal. */
export type CarryOutcome = 'new' | 'known' | 'away'

/** Brings what this device knows of a horse up to date. */
export const carryHorse = async (
  personId: string,
  horseId: string,
  { ask, now }: { ask: AskCarry; now: number },
): Promise<CarryOutcome> => {
  const found = await device.carried.get([personId, horseId])
  const known = isWhole(found) ? found : undefined
  let answers = known?.answers ?? []
  let cursor = known?.cursor ?? BEGINNING
  for (;;) {
    const page = await ask(horseId, cursor)
    if (page === null) return 'away'
    answers = joined(answers, page)
    const { answers: _answers, voided: _voided, more, ...rest } = page
    cursor = rest.cursor
    if (more) continue
    const next: Carried = { ...rest, personId, horseId, at: now, answers }
    const isKnown = known !== undefined && besides(known) === besides(next)
    await device.transaction('rw', device.carried, device.replies, async () => {
      await device.carried.put(next)
      if (!isKnown) await device.replies.delete([personId, lineKey(horseId)])
    })
    return isKnown ? 'known' : 'new'
  }
}

/** When a horse was carried to this device last, in milliseconds; nothing where it never was. */
export const carriedAt = async (horseId: string): Promise<number | undefined> => {
  const personId = await personHere()
  return personId === null ? undefined : (await device.carried.get([personId, horseId]))?.at
}
