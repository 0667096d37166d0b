import { useState } from 'react'
import { useQuery } from '../../app/client'
import { Button } from '../../ui/button'
import { useMay } from '../use-may'
import { AddButtons } from './add-buttons'
import type { AttachedRecord } from './take'
import { Thumbnail } from './thumbnail'
import { Viewer } from './viewer'
import { KIND_WORDS } from './words'

interface Props {
  readonly record: AttachedRecord
  /** Whether the ways to add one stand open, behind a button, or not here. */
  readonly adding?: 'open' | 'folded' | 'none'
}

/** The pictures, clips and spoken notes of one record, and the ways to add one. */
export const Attachments = ({ record, adding = 'open' }: Props) => {
  const { horseId, to, recordId } = record
  const { data } = useQuery('attachments', { horseId })
  const [openId, setOpen] = useState<string | null>(null)
  const mayAdd = useMay('log-answers')
  const [isUnfolded, setUnfolded] = useState(false)
  const isAdding = adding === 'open' || (adding === 'folded' && isUnfolded)
  const ours = (data?.attachments ?? []).filter(
    (one) => one.to === to && one.recordId === recordId && !one.takenBack,
  )
  const open = ours.find(({ id }) => id === openId)
  if (ours.length === 0 && (adding === 'none' || !mayAdd)) return null
  return (
    <div className="flex flex-col gap-2">
      {ours.length > 0 && (
        <ul className="flex flex-wrap gap-2" aria-label="Pictures, clips and spoken notes">
          {ours.map((attachment) => (
            <li key={attachment.id}>
              <button
                type="button"
                className="flex w-24 flex-col text-left text-sm"
                onClick={() => setOpen(attachment.id)}
              >
                <Thumbnail attachment={attachment} />
                <span className="line-clamp-2 w-full">
                  {attachment.words || KIND_WORDS[attachment.kind]}
                  {attachment.file === 'coming' && ', on its way'}
                  {attachment.file === 'refused' && ', refused'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {mayAdd && isAdding && <AddButtons record={record} />}
      {mayAdd && adding === 'folded' && !isUnfolded && (
        <Button look="quiet" className="no-print -ml-4 self-start" onClick={() => setUnfolded(true)}>
          Add a picture or a spoken note
        </Button>
      )}
      {open && <Viewer attachment={open} horseId={horseId} onClose={() => setOpen(null)} />}
    </div>
  )
}
