import { count } from '@still-pine/core/answer'
import { useState } from 'react'
import { useLeave } from '../../app/use-leave'
import { entriesOf, handOver, takenHere, waitingFile } from '@still-pine/device'
import { useLiveQuery } from '../../offline/use-live-query'
import { saveToDevice } from '../../shared/attachments/words'
import { Button } from '../../ui/button'
import { Sheet } from '../../ui/sheet'

interface Props {
  readonly person: { readonly id: string; readonly name: string }
}

/** Two ways to leave: what waits stays for its person, or everything of theirs goes from this device. */
export const Leave = ({ person }: Props) => {
  const { signOutAndKeep, signOutAndWipe } = useLeave(person.id)
  const [isWiping, setWiping] = useState(false)
  const entries = useLiveQuery(() => entriesOf(person.id), [person.id]) ?? []
  const files = useLiveQuery(() => takenHere(person.id), [person.id]) ?? []
  const waiting = entries.length + files.length
  const wipe = (): void => (waiting === 0 ? void signOutAndWipe() : setWiping(true))
  const takeOut = (): void => {
    if (entries.length > 0) handOver(waitingFile(entries, person.name, new Date()), 'still-pine-waiting.json')
    for (const taken of files) saveToDevice(taken)
  }
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-2xl">Sign out</h2>
      <p>
        Keep: what waits stays here for {person.name} and is sent when {person.name} signs in again. Wipe:
        everything of {person.name} goes from this device.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => void signOutAndKeep()}>Sign out and keep</Button>
        <Button look="danger" onClick={wipe}>
          Sign out and wipe
        </Button>
        {waiting > 0 && <Button onClick={takeOut}>Save what waits as a file</Button>}
      </div>
      <Sheet
        open={isWiping}
        title={`${count(waiting, 'entry', 'entries')} would be lost`}
        onClose={() => setWiping(false)}
      >
        <div className="flex flex-col items-start gap-3">
          <p>The server does not have them yet. Save them as a file first, or keep them here.</p>
          <Button look="act" onClick={takeOut}>
            Save them as a file
          </Button>
          <Button onClick={() => void signOutAndKeep()}>Sign out and keep them</Button>
          <Button look="danger" onClick={() => void signOutAndWipe()}>
            Wipe them and sign out
          </Button>
        </div>
      </Sheet>
    </section>
  )
}
