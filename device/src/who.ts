import { v7 as uuid } from 'uuid'
import { device, DEVICE, OWED, PERSON } from './store'
import { earlySignOutOwed, forgetEarly } from './early'

const valueOf = async (key: string): Promise<unknown> => (await device.facts.get(key))?.value

export const personHere = async (): Promise<string | null> => {
  const value = await valueOf(PERSON)
  return typeof value === 'string' ? value : null
}

export const rememberPerson = async (id: string, name: string): Promise<void> => {
  await device.facts.bulkPut([
    { key: PERSON, value: id },
    { key: `name:${id}`, value: name },
  ])
}

export const nameOf = async (personId: string): Promise<string> => {
  const name = await valueOf(`name:${personId}`)
  return typeof name === 'string' ? name : 'somebody'
}

/** What this browser is called where devices are listed; made once. */
const deviceId = async (): Promise<string> => {
  const known = await valueOf(DEVICE)
  if (typeof known === 'string') return known
  const made = uuid()
  await device.facts.put({ key: DEVICE, value: made })
  return made
}

const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Firefox\//, 'Firefox'],
  [/Edg\//, 'Edge'],
  [/Chrome\//, 'Chromium'],
  [/Safari\//, 'Safari'],
]
const MACHINES: readonly (readonly [RegExp, string])[] = [
  [/iPhone|Android.*Mobile/, 'Phone'],
  [/iPad|Android/, 'Tablet'],
]

const first = (pairs: readonly (readonly [RegExp, string])[], text: string, otherwise: string): string =>
  pairs.find(([pattern]) => pattern.test(text))?.[1] ?? otherwise

/** What this device says of itself at a sign-in; nothing where it keeps nothing. */
export const deviceTold = async (): Promise<{ id: string; words: string } | undefined> => {
  const agent = navigator.userAgent
  const words = `${first(MACHINES, agent, 'Computer')}, ${first(BROWSERS, agent, 'a browser')}`
  return deviceId().then(
    (id) => ({ id, words }),
    () => undefined,
  )
}

export const isSignOutOwed = async (): Promise<boolean> =>
  (await earlySignOutOwed()) ?? (await valueOf(OWED)) === true
export const oweSignOut = (): Promise<unknown> => {
  forgetEarly()
  return device.facts.put({ key: OWED, value: true })
}
export const signOutPaid = (): Promise<void> => {
  forgetEarly()
  return device.facts.delete(OWED)
}

/** Forgets all that this device knows of a person but what waits to be sent. */
export const forgetCopies = async (personId: string): Promise<void> => {
  forgetEarly()
  await device.carried.where('personId').equals(personId).delete()
  await device.replies.where('personId').equals(personId).delete()
  if ((await personHere()) === personId) await device.facts.delete(PERSON)
}

/** Where the unsaved drafts of schools lie that a person has begun on this device. */
export const schoolDraftsOf = (personId: string): string => `school-draft/${personId}/`

/** Where the drafts of notes lie that a person has begun on this device. */
export const noteDraftsOf = (personId: string): string => `note-draft/${personId}/`

/** Forgets everything of a person, what waits too. */
export const wipe = async (personId: string): Promise<void> => {
  await forgetCopies(personId)
  await device.drafts.where('personId').equals(personId).delete()
  await device.waiting.where('personId').equals(personId).delete()
  await device.taken.where('personId').equals(personId).delete()
  await device.facts.delete(`name:${personId}`)
  await device.facts.where('key').startsWith(schoolDraftsOf(personId)).delete()
  await device.facts.where('key').startsWith(noteDraftsOf(personId)).delete()
}
