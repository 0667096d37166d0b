import { dropTaken, saveTaken, sendTakenAgain, takenHere, type Taken } from '@still-pine/device'
import { useLiveQuery } from '../../offline/use-live-query'
import { saveToDevice } from '../../shared/attachments/words'
import { sizeWords } from '../../shared/attachments/sizes'
import { Button } from '../../ui/button'
import { toast } from '../../ui/toast'

/** Lets a file go; for a moment it can be had back. */
const letFileGo = async (taken: Taken): Promise<void> => {
  await dropTaken(taken.id)
  const { file } = taken
  toast('The file was let go.', {
    duration: 12_000,
    ...(file && { action: { label: 'Undo', onClick: () => void saveTaken({ ...taken, file }) } }),
  })
}

const Row = ({ taken }: { taken: Taken }) => {
  const { id, file, sent, refused } = taken
  const size = file?.size ?? 0
  return (
    <li className="flex flex-wrap items-center gap-3 border-t border-line py-2">
      <span className={refused === undefined ? '' : 'font-bold text-stop'}>
        {refused ?? `${sizeWords(sent)} of ${sizeWords(size)} sent`}
      </span>
      <Button onClick={() => saveToDevice(taken)}>Save it as a file</Button>
      {refused !== undefined && (
        <>
          <Button onClick={() => void sendTakenAgain(id)}>Send it again</Button>
          <Button look="quiet" onClick={() => void letFileGo(taken)}>
            Let it go
          </Button>
        </>
      )}
    </li>
  )
}

/** Pictures, clips and spoken notes that the server does not have yet. */
export const FilesHere = ({ personId }: { personId: string }) => {
  const files = useLiveQuery(() => takenHere(personId), [personId]) ?? []
  if (files.length === 0) return null
  return (
    <section>
      <h2 className="text-2xl">Pictures, clips and spoken notes on their way</h2>
      <p>They are sent in pieces, after all answers. A piece that is cut off is sent again.</p>
      <ul>
        {files.map((taken) => (
          <Row key={taken.id} taken={taken} />
        ))}
      </ul>
    </section>
  )
}
