import { useEffect, useRef, useState } from 'react'
import { Button } from '../../ui/button'
import { Sheet } from '../../ui/sheet'

/** A spoken note is a note: after this it ends by itself. Seconds. */
const LONGEST = 180

const TYPES = ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus']

const typeHere = (): string | undefined => TYPES.find((type) => MediaRecorder.isTypeSupported(type))

interface Props {
  readonly onDone: (note: Blob) => void
  readonly onClose: () => void
}

const clockWords = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`

/** Records what is said from the moment it opens; one press ends and keeps it. */
export const VoiceRecorder = ({ onDone, onClose }: Props) => {
  const recorder = useRef<MediaRecorder>(null)
  const isWanted = useRef(false)
  const [seconds, setSeconds] = useState(0)
  const [trouble, setTrouble] = useState<string | null>(null)
  // The page redraws while it is recorded; what is told at the end is the newest.
  const done = useRef(onDone)
  useEffect(() => void (done.current = onDone), [onDone])

  useEffect(() => {
    let stream: MediaStream | undefined
    let isHere = true
    const pieces: Blob[] = []
    const start = async (): Promise<void> => {
      stream = await navigator.mediaDevices.getUserMedia({ audio: true })
      if (!isHere) return stream.getTracks().forEach((track) => track.stop())
      const mimeType = typeHere()
      const made = new MediaRecorder(stream, mimeType === undefined ? {} : { mimeType })
      made.addEventListener('dataavailable', ({ data }) => pieces.push(data))
      made.addEventListener('stop', () => {
        if (isWanted.current) done.current(new Blob(pieces, { type: made.mimeType }))
      })
      made.start(1_000)
      recorder.current = made
    }
    start().catch(() =>
      setTrouble('The microphone cannot be used. Allow it for this page in the browser, then try again.'),
    )
    return () => {
      isHere = false
      if (recorder.current?.state === 'recording') recorder.current.stop()
      stream?.getTracks().forEach((track) => track.stop())
    }
  }, [])

  useEffect(() => {
    if (trouble !== null) return
    const timer = setInterval(() => setSeconds((so) => so + 1), 1_000)
    return () => clearInterval(timer)
  }, [trouble])

  const end = (): void => {
    isWanted.current = true
    recorder.current?.stop()
    onClose()
  }
  useEffect(() => {
    if (seconds < LONGEST || isWanted.current) return
    isWanted.current = true
    recorder.current?.stop()
    onClose()
  }, [seconds, onClose])

  return (
    <Sheet open title="Spoken note" onClose={onClose}>
      {trouble !== null ? (
        <p role="alert" className="text-stop">
          {trouble}
        </p>
      ) : (
        <div className="flex flex-col gap-4">
          <p className="text-5xl tabular-nums" role="timer">
            {clockWords(seconds)}
          </p>
          <p className="text-quiet">It is being recorded, for three minutes at most. Close keeps nothing.</p>
          <Button look="act" className="min-h-16 text-xl" onClick={end}>
            Stop and keep it
          </Button>
        </div>
      )}
    </Sheet>
  )
}
