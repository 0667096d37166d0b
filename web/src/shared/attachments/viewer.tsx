import type { Attachment } from '@still-pine/contract'
import { useState } from 'react'
import { useQuery } from '../../app/client'
import { saveHere } from '../../offline/save'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { Sheet } from '../../ui/sheet'
import { toast } from '../../ui/toast'
import { clock, dayOf, longDay } from '../words'
import { useMay } from '../use-may'
import { useAttachmentUrl } from './thumbnail'
import { KIND_WORDS } from './words'

interface Props {
  readonly attachment: Attachment
  readonly horseId: string
  readonly onClose: () => void
}

const Shown = ({ attachment }: { attachment: Attachment }) => {
  const { kind, words, file, refused } = attachment
  const url = useAttachmentUrl(attachment, 'file')
  const name = words || KIND_WORDS[kind]
  if (url === undefined)
    return (
      <p className={file === 'refused' ? 'text-stop' : ''}>
        {file === 'refused'
          ? refused
          : 'It lies on the device that took it, and comes here when that has signal.'}
      </p>
    )
  if (kind === 'picture') return <img src={url} alt={name} className="max-h-[50dvh] w-full object-contain" />
  const Player = kind === 'clip' ? 'video' : 'audio'
  return <Player src={url} controls playsInline aria-label={name} className="max-h-[50dvh] w-full" />
}

/** One picture, clip or spoken note, with what is seen or heard in a line. */
export const Viewer = ({ attachment, horseId, onClose }: Props) => {
  const { id, kind, at, byName, personId, inReport, takenBack: _back } = attachment
  const { data: me } = useQuery('me')
  const [words, setWords] = useState(attachment.words)
  const mayMend = useMay('mend-answers')
  const mayChoose = useMay('edit-horse')
  const isOwn = me?.person.id === personId
  const put = (change: Partial<Attachment>): Promise<boolean> => {
    const { to, recordId, bytes, sha256, takenBack } = attachment
    const told = { to, recordId, kind, bytes, sha256, at, words: attachment.words, inReport, takenBack }
    return saveHere(me!.person.id, horseId, {
      do: 'attach',
      id,
      horseId,
      attachment: { ...told, ...change },
    })
  }
  const takeBack = async (): Promise<void> => {
    if (!(await put({ takenBack: true }))) return
    onClose()
    toast(`${KIND_WORDS[kind]} taken back.`, {
      duration: 12_000,
      action: { label: 'Undo', onClick: () => void put({ takenBack: false }) },
    })
  }
  return (
    <Sheet
      open
      title={`${KIND_WORDS[kind]}, ${longDay(dayOf(at))} ${clock(at)}, ${byName}`}
      onClose={onClose}
    >
      <div className="flex flex-col gap-4">
        <Shown attachment={attachment} />
        {me && (isOwn || mayMend) && (
          <>
            <Field label={kind === 'voice' ? 'What is said' : 'What is seen'}>
              {(props) => (
                <input
                  className={INPUT}
                  maxLength={200}
                  value={words}
                  onChange={(event) => setWords(event.target.value)}
                  onBlur={() => words.trim() !== attachment.words && void put({ words: words.trim() })}
                  {...props}
                />
              )}
            </Field>
            <div className="flex flex-wrap gap-3">
              {kind === 'picture' && mayChoose && (
                <Button
                  className="min-h-12"
                  aria-pressed={inReport}
                  onClick={() => void put({ inReport: !inReport })}
                >
                  {inReport ? 'In the owner’s report: take it out' : 'Put it in the owner’s report'}
                </Button>
              )}
              <Button className="min-h-12" onClick={() => void takeBack()}>
                Take it back
              </Button>
            </div>
          </>
        )}
      </div>
    </Sheet>
  )
}
