import type { Session } from '@still-pine/contract'
import { forgetNoteDraft, noteDraft, saveNoteDraft } from '@still-pine/device'
import { useEffect, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { saveHere } from '../offline/save'
import { Attachments } from '../shared/attachments/attachments'
import { clock } from '../shared/words'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'

/** A session's note, kept as a draft on this device with every letter, and confirmed with the session. */
export const SessionNote = ({ session, personId }: { session: Session; personId: string }) => {
  const [note, setNote] = useState(session.note)
  const [isSaved, setSaved] = useState(false)
  useEffect(() => {
    let isWanted = true
    // What was typed before the draft was read stays.
    void noteDraft(session.id).then((draft) => {
      if (isWanted && draft !== null) setNote((now) => (now === session.note ? draft : now))
    })
    return () => void (isWanted = false)
  }, [session.id, session.note])
  const type = (text: string): void => {
    setNote(text)
    // A device that keeps nothing still takes the note; only a reload would lose the draft.
    void saveNoteDraft(session.id, text).catch(() => undefined)
  }
  const save = async (): Promise<void> => {
    const at = new Date().toISOString()
    const item = { do: 'note' as const, id: uuid(), sessionId: session.id, note, at }
    if (!(await saveHere(personId, session.horseId, item))) return
    setSaved(true)
    await forgetNoteDraft(session.id).catch(() => undefined)
  }
  return (
    <section className="flex flex-col gap-3">
      <Field label="Note">
        {(props) => (
          <textarea
            className={INPUT}
            rows={3}
            value={note}
            onChange={(event) => type(event.target.value)}
            {...props}
          />
        )}
      </Field>
      <div className="no-print flex flex-wrap items-center gap-3">
        <Button look={session.confirmedAt ? 'plain' : 'act'} className="min-h-12" onClick={() => void save()}>
          {session.confirmedAt ? 'Keep the note' : 'Confirm this session'}
        </Button>
        {session.confirmedAt ? (
          <span role="status">Confirmed at {clock(session.confirmedAt)}.</span>
        ) : (
          isSaved && <span role="status">Kept here.</span>
        )}
        {!isSaved && note !== session.note && <span className="text-quiet">A draft; not kept yet.</span>}
      </div>
      <Attachments record={{ to: 'session', recordId: session.id, horseId: session.horseId }} />
    </section>
  )
}
