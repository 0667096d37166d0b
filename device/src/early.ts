import { lineKey, programKey } from './keys'
import { device, OWED, PERSON, type SavedReply } from './store'

/** What the first page is made from, as it lies on this device. */
interface Early {
  readonly isSignOutOwed: boolean
  readonly replies: Map<string, SavedReply>
}

/** Longer than this after the start it is read anew: another tab may have changed it. */
const EARLY_MS = 5_000

const HORSE = /^\/(?:before|pen|after|horses)\/([0-9a-f-]{36})/

const read = (path: string): Promise<Early | null> =>
  device.transaction('r', [device.facts, device.replies], async () => {
    const [person, owed] = await device.facts.bulkGet([PERSON, OWED])
    const personId = person?.value
    if (typeof personId !== 'string') return null
    const horseId = HORSE.exec(path)?.[1]
    const [about, me, line] = await device.replies.bulkGet([
      ['', 'about'],
      [personId, 'me'],
      [personId, lineKey(horseId ?? '')],
    ])
    const { horse } = (line?.body ?? {}) as { horse?: { programId?: string } }
    const program = line && (await device.replies.get([personId, programKey(horse?.programId ?? '')]))
    const found = [about, me, line, program].filter((one) => one !== undefined)
    return { isSignOutOwed: owed?.value === true, replies: new Map(found.map((one) => [one.key, one])) }
  })

let early: Promise<Early | null> = Promise.resolve(null)

/** Reads in one go what the first page asks for one by one, while the page is still being built. */
export const readEarly = (path: string): void => {
  early = read(path).catch(() => null)
  setTimeout(forgetEarly, EARLY_MS)
}

/** Something of it was changed here. */
export const forgetEarly = (): void => {
  early = Promise.resolve(null)
}

export const earlyReply = async (key: string): Promise<SavedReply | undefined> =>
  (await early)?.replies.get(key)

/** `undefined` where it was not read early. */
export const earlySignOutOwed = async (): Promise<boolean | undefined> => (await early)?.isSignOutOwed
