import { device } from './store'
import { noteDraftsOf, personHere } from './who'

const keyFor = async (sessionId: string): Promise<string> =>
  `${noteDraftsOf((await personHere()) ?? '')}${sessionId}`

/** What was typed of a session's note and not kept yet, also over a reload; nothing where nothing was. */
export const noteDraft = async (sessionId: string): Promise<string | null> => {
  const value = (await device.facts.get(await keyFor(sessionId)))?.value
  return typeof value === 'string' ? value : null
}

export const saveNoteDraft = async (sessionId: string, note: string): Promise<void> => {
  await device.facts.put({ key: await keyFor(sessionId), value: note })
}

export const forgetNoteDraft = async (sessionId: string): Promise<void> =>
  device.facts.delete(await keyFor(sessionId))
