import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Thumbnail } from '../../shared/attachments/thumbnail'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { ShutList } from '../../shared/shut-list'
import { useHorse } from '../../shared/use-horse'
import { longDay } from '../../shared/words'
import { Button } from '../../ui/button'
import { Sheet } from '../../ui/sheet'
import { useCare } from '../use-care'
import { entriesOf, KINDS, type Entry, type EntryKind } from './entries'

const KIND_WORDS: Record<EntryKind, string> = {
  sessions: 'Sessions',
  checks: 'Checks',
  incidents: 'Incidents',
  blocks: 'Blocks',
  attachments: 'Pictures and spoken notes',
  told: 'Line, things, care, body',
}

const Row = ({ entry }: { entry: Entry }) => (
  <li className="border-t border-line">
    <Link className="flex min-h-12 flex-wrap items-center gap-x-4 py-2" to={entry.to}>
      <b className="w-56 underline">{longDay(entry.on)}</b>
      {entry.attachment && <Thumbnail attachment={entry.attachment} small />}
      <span className={`font-bold ${entry.withdrawn ? 'line-through' : ''}`}>{entry.title}</span>
      {entry.withdrawn && <span>taken back</span>}
      <span className="text-quiet">{entry.words.join(', ')}</span>
      {entry.grave.map((words) => (
        <span key={words} className="font-bold text-stop">
          {words}
        </span>
      ))}
    </Link>
  </li>
)

const ADD =
  'inline-flex min-h-16 items-center justify-center rounded-md border-2 border-ink px-4 text-center font-name text-xl font-bold'

/** What can be added to the record, and where that is done. */
const AddSheet = ({ horseId, onClose }: { horseId: string; onClose: () => void }) => (
  <Sheet open title="Add to the record" onClose={onClose}>
    <div className="grid gap-2">
      <Link className={ADD} to={`/after/${horseId}`}>
        Answers from memory
      </Link>
      <Link className={ADD} to={`/horses/${horseId}/incidents`}>
        A check, a hold or an incident
      </Link>
      <Link className={ADD} to={`/horses/${horseId}/blocks`}>
        A block begun or ended
      </Link>
    </div>
  </Sheet>
)

/** Drawn at once; the rest is drawn as somebody comes to it: years of a horse are not drawn in a moment. */
const AT_ONCE = 30
const MORE = 200

/** Everything recorded of a horse, in one time line. */
const RecordPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: sessions, error: noSessions } = useQuery('sessions', { horseId })
  const { data: care, error: noCare } = useCare(horseId)
  const { data: blocks, error: noBlocks } = useQuery('blocks', { horseId })
  const { data: attached, error: noAttached } = useQuery('attachments', { horseId })
  const { data: told, error: noTold } = useQuery('entries', { horseId })
  const { data: measured, error: noMeasured } = useQuery('measurements', { horseId })
  const [only, setOnly] = useState<EntryKind | null>(null)
  const [isAdding, setAdding] = useState(false)
  const [most, setMost] = useState(AT_ONCE)
  const entries = useMemo(
    () =>
      sessions && care && blocks && attached && told && measured
        ? entriesOf({
            horseId,
            sessions: sessions.sessions,
            ...care,
            blocks: blocks.blocks,
            ...attached,
            ...told,
            ...measured,
          })
        : null,
    [horseId, sessions, care, blocks, attached, told, measured],
  )
  if (!line || !entries)
    return (
      <Loading
        error={error ?? noSessions ?? noCare ?? noBlocks ?? noAttached ?? noTold ?? noMeasured}
        retry={retry}
      />
    )
  const shown = entries.filter(({ kind }) => only === null || kind === only)
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <div className="no-print flex flex-wrap justify-between gap-2">
        <div className="flex flex-wrap gap-2" role="group" aria-label="Show">
          {[null, ...KINDS].map((kind) => (
            <Button
              key={kind ?? 'all'}
              aria-pressed={only === kind}
              className={only === kind ? 'bg-ink! text-ground!' : ''}
              onClick={() => setOnly(kind)}
            >
              {kind === null ? 'Everything' : KIND_WORDS[kind]}
            </Button>
          ))}
        </div>
        <Button look="act" onClick={() => setAdding(true)}>
          Add
        </Button>
      </div>
      {shown.length === 0 && (
        <p>
          {only === null
            ? 'Nothing recorded yet. The first session is written in the pen.'
            : `No ${KIND_WORDS[only].toLowerCase()} so far.`}
        </p>
      )}
      <ul>
        {shown.slice(0, most).map((entry) => (
          <Row key={entry.key} entry={entry} />
        ))}
      </ul>
      {shown.length > most && (
        <Button className="no-print self-start" onClick={() => setMost(most + MORE)}>
          Older ones: {shown.length - most} more
        </Button>
      )}
      {isAdding && <AddSheet horseId={horseId} onClose={() => setAdding(false)} />}
    </main>
  )
}

export default RecordPage
