import type { Me, OwnersReport } from '@still-pine/contract'
import { files } from '@still-pine/contract/files'
import { BLOCK_WORDS } from '@still-pine/core/blocks'
import { useQuery } from '../app/client'
import { ArrivalSheet } from '../shared/arrival-result'
import { ReportSheet } from '../shared/report-sheet'
import { SnapshotSheet } from '../shared/snapshot-sheet'
import { forgetCopies, oweSignOut, paySignOut } from '@still-pine/device'
import { Button } from '../ui/button'
import { Loading } from '../shared/loading'
import { fullDay } from '../shared/words'

const Report = ({ report }: { report: OwnersReport }) => {
  const { name, arrival, blocks } = report
  const open = blocks.find(({ until }) => until === null)
  const closed = blocks.filter(({ snapshot }) => snapshot !== null).reverse()
  return (
    <section className="flex flex-col gap-4">
      <h2 className="text-3xl">{name}</h2>
      <p className="text-lg">
        {open ? `${BLOCK_WORDS[open.kind]} since ${fullDay(open.from)}.` : 'No block of work is open.'}
      </p>
      {report.now && (
        <>
          <a
            className="no-print inline-flex min-h-11 items-center self-start underline"
            href={`/api/v1${files.reportPdf.path}?horseId=${report.id}`}
            target="_blank"
            rel="noreferrer"
          >
            As a PDF
          </a>
          <ReportSheet report={report.now} />
        </>
      )}
      {closed.map((block) => (
        <details key={block.id} className="border-t-4 border-ink bg-panel p-4">
          <summary className="min-h-11 font-name text-xl font-bold">
            How it stood at the end of: {BLOCK_WORDS[block.kind].toLowerCase()},{' '}
            {fullDay(block.snapshot!.day)}
          </summary>
          <SnapshotSheet block={block} snapshot={block.snapshot!} name={name} />
        </details>
      ))}
      {arrival && <ArrivalSheet arrival={arrival} name={name} />}
      {!report.now && !arrival && closed.length === 0 && (
        <p>Nothing to read yet. A report comes when its arrival is checked, and at the end of each block.</p>
      )}
    </section>
  )
}

/** All that an owner sees: the reports of their own horses. */
const OwnerPage = ({ me }: { me: Me }) => {
  const { data, error, refetch } = useQuery('reports')
  const leave = async (): Promise<void> => {
    await oweSignOut()
    await forgetCopies(me.person.id)
    await paySignOut()
    window.location.assign('/')
  }
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  return (
    <main className="mx-auto flex max-w-5xl flex-col gap-8 px-4 py-4">
      <div className="flex flex-wrap items-center justify-between gap-3 border-b-2 border-ink pb-2">
        <h1 className="text-2xl">{me.yard.name}: your horses</h1>
        <p className="no-print flex items-center gap-3">
          {me.person.name}
          <Button onClick={() => void leave()}>Sign out</Button>
        </p>
      </div>
      {data.horses.length === 0 && (
        <p className="text-lg">No horse here is told to be yours. Ask the starter.</p>
      )}
      {data.horses.map((report) => (
        <Report key={report.id} report={report} />
      ))}
    </main>
  )
}

export default OwnerPage
