import type { Edit } from '@still-pine/core/school-edit'

/** An unsaved draft lies on this device until it is saved or let go, also over a reload. */
interface KeptDraft {
  readonly programId: string
  readonly edits: readonly Edit[]
}

const keyFor = (school: string): string => `school-draft/${school}`

export const keptDraft = (school: string): KeptDraft | null => {
  try {
    return JSON.parse(localStorage.getItem(keyFor(school)) ?? 'null') as KeptDraft | null
  } catch {
    return null
  }
}

export const keptEdits = (school: string, programId: string): readonly Edit[] => {
  const kept = keptDraft(school)
  return kept?.programId === programId ? kept.edits : []
}

export const keepEdits = (school: string, draft: KeptDraft): void => {
  try {
    if (draft.edits.length === 0) localStorage.removeItem(keyFor(school))
    else localStorage.setItem(keyFor(school), JSON.stringify(draft))
  } catch {
    // A device that keeps nothing still edits; only a reload would lose the draft.
  }
}
