import { files } from '@still-pine/contract/files'
import type { Program } from '@still-pine/core/program'
import {
  DATE_STYLES,
  NEEDED_FIELDS,
  type DateStyle,
  type KnownHorse,
  type LogMapping,
} from '@still-pine/core/formats'
import type { Remote } from 'comlink'
import { useEffect, useState } from 'react'
import { api, useQuery } from '../../app/client'
import { sendFile, type Ended, type Sending } from '../../app/send-file'
import { useAppDispatch } from '../../app/store'
import type { LogReader, Preview, ReadFile } from '../../threads/log-reader.worker'
import { Button } from '../../ui/button'
import { Field, INPUT, Notice } from '../../ui/field'
import { ColumnMap } from './column-map'
import { LogPreview } from './log-preview'
import { EndedNotice, SendingBar } from './sending-bar'
import { grouped } from '../../shared/words'

/** The yard's horses with their programs, for reading names and steps by. */
const useKnownHorses = (): readonly KnownHorse[] | null => {
  const dispatch = useAppDispatch()
  const { data } = useQuery('today')
  const [known, setKnown] = useState<readonly KnownHorse[] | null>(null)
  useEffect(() => {
    if (!data) return
    const ids = [...new Set(data.rows.map(({ horse }) => horse.programId))]
    void Promise.all(
      ids.map((id) => dispatch(api.endpoints.program.initiate({ programId: id })).unwrap()),
    ).then((all) => {
      const programs = new Map<string, Program>(all.map(({ id, program }) => [id, program]))
      setKnown(
        data.rows.map(({ horse }) => ({
          id: horse.id,
          name: horse.name,
          program: programs.get(horse.programId)!,
        })),
      )
    })
  }, [data, dispatch])
  return known
}

interface Props {
  readonly reader: Remote<LogReader>
  readonly file: ReadFile
  readonly fileName: string
  readonly timeZone: string
}

/** A log from elsewhere: its columns, what will be read and what refused, then all of it or nothing. */
export const ImportLog = ({ reader, file, fileName, timeZone }: Props) => {
  const horses = useKnownHorses()
  const [mapping, setMapping] = useState<LogMapping>(file.mapping)
  const [style, setStyle] = useState<DateStyle | null>(null)
  const [chosenStyle, setChosenStyle] = useState<DateStyle | null>(null)
  const [preview, setPreview] = useState<Preview | null>(null)
  const [without, setWithout] = useState(false)
  const [now, setNow] = useState<Sending | null>(null)
  const [ended, setEnded] = useState<Ended | null>(null)
  const missing = NEEDED_FIELDS.filter((field) => mapping[field] === undefined)
  const dateColumn = mapping.at
  const dateStyle = chosenStyle ?? style

  useEffect(() => {
    if (dateColumn !== undefined) void reader.dateStyle(dateColumn).then(setStyle)
  }, [reader, dateColumn])
  useEffect(() => {
    if (!horses || missing.length > 0 || dateStyle === null) return setPreview(null)
    void reader.map({ mapping, dateStyle, timeZone, horses }).then(setPreview)
  }, [reader, horses, mapping, dateStyle, timeZone, missing.length])

  const bring = async (): Promise<void> => {
    setEnded(null)
    setNow({ step: 'sending', share: 0 })
    const lines = await reader.lines(fileName)
    setEnded(await sendFile(files.answersIn.path, files.answersIn.type, { body: lines, follow: setNow }))
    setNow(null)
  }
  if (ended?.step === 'done') return <EndedNotice ended={ended} />
  const mayImport =
    preview !== null && preview.answers > 0 && (preview.faultCount === 0 || without) && now === null
  return (
    <div className="flex flex-col gap-6">
      <p>
        {grouped(file.rows)} lines, read as {file.encoding}
        {file.encoding === 'Windows-1252' && ': look whether letters with accents are right below'}, cells
        parted by {file.delimiter === '\t' ? 'tabs' : `“${file.delimiter}”`}.
      </p>
      <div className="grid gap-8 desk:grid-cols-2">
        <div className="flex flex-col gap-6">
          <ColumnMap file={file} mapping={mapping} onChange={setMapping} />
          <div className="max-w-md">
            <Field
              label="Days are written"
              hint={
                style === null
                  ? 'These days can be read in more than one way: say which.'
                  : 'Only this order fits all of them.'
              }
            >
              {(props) => (
                <select
                  className={INPUT}
                  value={dateStyle ?? ''}
                  onChange={(event) => setChosenStyle((event.target.value || null) as DateStyle | null)}
                  {...props}
                >
                  <option value="">choose</option>
                  {Object.entries(DATE_STYLES).map(([key, words]) => (
                    <option key={key} value={key}>
                      {words}
                    </option>
                  ))}
                </select>
              )}
            </Field>
          </div>
        </div>
        <div className="flex flex-col gap-6">
          {missing.length > 0 && <Notice tone="stop">Choose a column for: {missing.join(', ')}.</Notice>}
          {preview && horses && <LogPreview preview={preview} horses={horses} timeZone={timeZone} />}
          {preview && preview.faultCount > 0 && preview.answers > 0 && (
            <label className="flex min-h-11 items-center gap-3 font-bold">
              <input
                type="checkbox"
                className="size-6"
                checked={without}
                onChange={(event) => setWithout(event.target.checked)}
              />
              Leave the refused lines out
            </label>
          )}
          {now && <SendingBar now={now} />}
          {ended && <EndedNotice ended={ended} />}
          <Button look="act" className="self-start" disabled={!mayImport} onClick={() => void bring()}>
            Import {preview ? grouped(preview.answers) : ''} answers
          </Button>
        </div>
      </div>
    </div>
  )
}
