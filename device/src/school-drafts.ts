import { device } from './store'
import { personHere, schoolDraftsOf } from './who'

/** Edits of a school that are not saved yet: they lie on this device, with whoever made them, also over a reload. */
export interface SavedSchoolDraft {
  readonly programId: string
  readonly edits: readonly unknown[]
}

const keyFor = async (school: string): Promise<string> =>
  `${schoolDraftsOf((await personHere()) ?? '')}${school}`

export const savedSchoolDraft = async (school: string): Promise<SavedSchoolDraft | null> =>
  ((await device.facts.get(await keyFor(school)))?.value as SavedSchoolDraft | undefined) ?? null

export const saveSchoolDraft = async (school: string, draft: SavedSchoolDraft): Promise<void> => {
  const key = await keyFor(school)
  if (draft.edits.length === 0) await device.facts.delete(key)
  else await device.facts.put({ key, value: draft })
}
