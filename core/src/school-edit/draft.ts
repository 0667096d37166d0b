import type { Program } from '../program'
import { applyEdit } from './apply'
import type { Edit } from './edits'

/** A version of a school and the edits made to it, first one first. */
export interface Draft {
  readonly base: Program
  readonly edits: readonly Edit[]
}

export interface Drafted {
  readonly program: Program
  /** Edits that cannot be made to this base any more, with why. */
  readonly refused: readonly { readonly edit: Edit; readonly words: string }[]
}

/** The school as a draft has it: the next version of its base, with every edit that can be made to it. */
export const drafted = ({ base, edits }: Draft): Drafted => {
  const refused: { edit: Edit; words: string }[] = []
  const program = edits.reduce<Program>(
    (now, edit) => {
      const edited = applyEdit(now, edit)
      if ('program' in edited) return edited.program
      refused.push({ edit, words: edited.refused })
      return now
    },
    { ...base, version: base.version + 1 },
  )
  return { program, refused }
}
