import type { Program } from '@still-pine/core/program'
import { applyEdit, drafted, type Edit } from '@still-pine/core/school-edit'
import { saveSchoolDraft } from '@still-pine/device'
import { useMemo, useState } from 'react'
import { toast } from '../../../ui/toast'

export interface SchoolDraft {
  readonly base: Program
  readonly programId: string
  readonly program: Program
  readonly edits: readonly Edit[]
  /** Makes one edit, or says why it cannot be made. */
  readonly make: (edit: Edit) => boolean
  readonly undo: () => void
  readonly letGo: () => void
  /** Puts edits back that were let go. */
  readonly putBack: (edits: readonly Edit[]) => void
}

/** A school as it is being changed: its base, and the edits made so far, from those that were `begun` before. */
export const useDraft = (programId: string, base: Program, begun: readonly Edit[]): SchoolDraft => {
  const [edits, setEdits] = useState(begun)
  const { program } = useMemo(() => drafted({ base, edits }), [base, edits])
  const change = (next: readonly Edit[]): void => {
    setEdits(next)
    // A device that keeps nothing still edits; only a reload would lose the draft.
    void saveSchoolDraft(base.school, { programId, edits: next }).catch(() => undefined)
  }
  return {
    base,
    programId,
    program,
    edits,
    make: (edit) => {
      const edited = applyEdit(program, edit)
      if ('refused' in edited) {
        toast.error(edited.refused)
        return false
      }
      change([...edits, edit])
      if (edited.also.length > 0) toast(`Done; ${edited.also.join('; ')}.`)
      return true
    },
    undo: () => change(edits.slice(0, -1)),
    letGo: () => change([]),
    putBack: change,
  }
}
