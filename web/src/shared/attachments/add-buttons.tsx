import { Film, ImageIcon, Mic } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { useQuery } from '../../app/client'
import { Button } from '../../ui/button'
import { take, type AttachedRecord } from './take'
import { VoiceRecorder } from './voice-recorder'

const LOOK =
  'inline-flex min-h-16 cursor-pointer items-center justify-center gap-2 rounded-md border-2 border-ink bg-panel px-4 font-name font-bold focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-act'

interface FromCameraProps {
  readonly accept: string
  readonly onTaken: (file: File) => void
  readonly children: ReactNode
}

/** Opens the camera of a phone, or a choice of files at a desk. */
const FromCamera = ({ accept, onTaken, children }: FromCameraProps) => (
  <label className={LOOK}>
    {children}
    <input
      type="file"
      accept={accept}
      capture="environment"
      className="sr-only"
      onChange={({ target }) => {
        const [file] = target.files ?? []
        // The same file may be chosen again.
        target.value = ''
        if (file) onTaken(file)
      }}
    />
  </label>
)

/** Takes a picture, a clip or a spoken note of one record. */
export const AddButtons = ({ record }: { record: AttachedRecord }) => {
  const { data: me } = useQuery('me')
  const [isRecording, setRecording] = useState(false)
  const [isMaking, setMaking] = useState(false)
  if (!me) return null
  const of = { ...record, personId: me.person.id }
  const making = async (work: Promise<void>): Promise<void> => {
    setMaking(true)
    await work
    setMaking(false)
  }
  return (
    <div className="no-print flex flex-wrap items-center gap-2">
      <FromCamera accept="image/*" onTaken={(file) => void making(take('picture', file, of))}>
        <ImageIcon aria-hidden="true" className="size-6" /> Picture
      </FromCamera>
      <FromCamera accept="video/*" onTaken={(file) => void making(take('clip', file, of))}>
        <Film aria-hidden="true" className="size-6" /> Clip
      </FromCamera>
      <Button className="min-h-16" onClick={() => setRecording(true)}>
        <span className="inline-flex items-center gap-2">
          <Mic aria-hidden="true" className="size-6" /> Spoken note
        </span>
      </Button>
      {isMaking && <span role="status">Made ready …</span>}
      {isRecording && (
        <VoiceRecorder
          onDone={(note) => void making(take('voice', note, of))}
          onClose={() => setRecording(false)}
        />
      )}
    </div>
  )
}
