import type { School } from '@still-pine/contract'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from '../../../ui/toast'
import { v7 as uuid } from 'uuid'
import { problemOf, useCommand, wordsFor } from '../../../app/client'
import { Button } from '../../../ui/button'
import { Conflict } from './conflict'
import type { SchoolDraft } from './use-draft'

interface Props {
  readonly draft: SchoolDraft
  readonly school: School
}

/** Saves the draft as the next version, takes a change back, or lets all of them go. */
export const SaveBar = ({ draft, school }: Props) => {
  const [put, { isLoading }] = useCommand('putProgram')
  const [isStale, setStale] = useState(false)
  const navigate = useNavigate()
  const { base, program, edits } = draft
  const save = async (): Promise<void> => {
    const done = await put({ programId: uuid(), body: { basedOn: base.version, program } })
    if (done.error) {
      if (problemOf(done.error)?.type === 'stale') setStale(true)
      else toast.error(wordsFor(done.error))
      return
    }
    draft.letGo()
    toast(`Version ${program.version} is kept. Horses go on as they are until you move them.`)
    void navigate(`/yard/schools/${school.school}`)
  }
  if (edits.length === 0) return null
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={draft.undo}>Take the last change back</Button>
      <Button
        onClick={() => {
          const kept = edits
          draft.letGo()
          toast('All changes let go.', { action: { label: 'Undo', onClick: () => draft.putBack(kept) } })
        }}
      >
        Let all go
      </Button>
      <Button look="act" disabled={isLoading} onClick={() => void save()}>
        {isLoading ? 'Saving' : `Save as version ${program.version}`}
      </Button>
      {isStale && <Conflict draft={draft} school={school.school} onClose={() => setStale(false)} />}
    </div>
  )
}
