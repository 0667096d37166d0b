import { files } from '@still-pine/contract/files'
import { mayDo } from '@still-pine/contract/rights'
import { useState } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { sendFile, type Ended, type Sending } from '../../app/send-file'
import type { ReadFile } from '../../threads/log-reader.worker'
import { Button } from '../../ui/button'
import { Field, INPUT, Notice } from '../../ui/field'
import { Loading } from '../../shared/loading'
import { ImportLog } from './import-log'
import { EndedNotice, SendingBar } from './sending-bar'
import { useLogReader } from './use-log-reader'
import { sizeWords } from '../../shared/attachments/sizes'

const isYard = (file: File): boolean => /\.(json|zip)$/.test(file.name.toLowerCase())

/** A whole yard's document: sent as it is. */
const ImportYard = ({ file }: { file: File }) => {
  const [now, setNow] = useState<Sending | null>(null)
  const [ended, setEnded] = useState<Ended | null>(null)
  const bring = async (): Promise<void> => {
    setEnded(null)
    setNow({ step: 'sending', share: 0 })
    setEnded(await sendFile(files.yardIn.path, files.yardIn.type, { body: file, follow: setNow }))
    setNow(null)
  }
  return (
    <div className="flex flex-col gap-4">
      <p>
        The file of a yard, {sizeWords(file.size)}. It brings horses, sessions, answers, checks and incidents,
        with their pictures where it is a ZIP, and gives this yard its name. It goes into a yard without
        horses.
      </p>
      {now && <SendingBar now={now} />}
      {ended && <EndedNotice ended={ended} />}
      {ended?.step !== 'done' && (
        <Button look="act" className="self-start" disabled={now !== null} onClick={() => void bring()}>
          Import the yard
        </Button>
      )}
    </div>
  )
}

/** Files from elsewhere: a log of answers, or a whole yard. */
const ImportPage = () => {
  const { data: me } = useQuery('me')
  const reader = useLogReader()
  const [file, setFile] = useState<File | null>(null)
  const [log, setLog] = useState<ReadFile | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  if (!me || !reader) return <Loading />
  const choose = async (chosen: File | undefined): Promise<void> => {
    setLog(null)
    setFault(null)
    setFile(chosen ?? null)
    if (!chosen || isYard(chosen)) return
    try {
      const read = await reader.read(await chosen.arrayBuffer())
      if (read.header.length === 0) setFault('There is nothing in this file.')
      else setLog(read)
    } catch {
      setFault('This file could not be read on this device. Close other pages, or try it on a larger one.')
    }
  }
  return (
    <main className="flex flex-col gap-6 px-4 py-3 desk:px-5">
      <h1 className="text-3xl">
        <Link to="/yard" className="underline decoration-2 underline-offset-4">
          {me.yard.name}
        </Link>
        : import
      </h1>
      {mayDo(me.person.role, 'bring-in') ? (
        <>
          <div className="max-w-xl">
            <Field
              label="File"
              hint="A log of answers as CSV, from here or elsewhere; or a whole yard as ZIP or JSON. Nothing is kept until you say so."
            >
              {(props) => (
                <input
                  type="file"
                  accept=".csv,.tsv,.txt,.json,.zip"
                  className={INPUT}
                  onChange={(event) => void choose(event.target.files?.[0])}
                  {...props}
                />
              )}
            </Field>
          </div>
          {fault && <Notice tone="stop">{fault}</Notice>}
          {file && isYard(file) && <ImportYard key={file.name + file.lastModified} file={file} />}
          {file && !isYard(file) && !log && !fault && <p role="status">Reading …</p>}
          {file && log && (
            <ImportLog
              key={file.name + file.lastModified}
              reader={reader}
              file={log}
              fileName={file.name}
              timeZone={me.yard.timeZone}
            />
          )}
        </>
      ) : (
        <Notice>Bringing in is for starters.</Notice>
      )}
    </main>
  )
}

export default ImportPage
