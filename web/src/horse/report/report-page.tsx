import { files } from '@still-pine/contract/files'
import { mayDo } from '@still-pine/contract/rights'
import { useQuery } from '../../app/client'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { ReportSheet } from '../../shared/report-sheet'
import { useHorse } from '../../shared/use-horse'
import { Button } from '../../ui/button'
import { ReportLinks } from './report-links'

/** What the owner of a horse is told today, to be read, printed or given by a link. */
const ReportPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  const { data: report, error: failed, refetch } = useQuery('report', { horseId })
  if (!line || !me || !report)
    return <Loading error={error ?? failed} retry={() => (error ? retry() : void refetch())} />
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <div className="no-print flex flex-wrap gap-3">
        <Button className="phone:hidden" onClick={() => window.print()}>
          Print
        </Button>
        {mayDo(me.person.role, 'read-own-reports') && (
          <a
            className="inline-flex min-h-11 items-center rounded-md border-2 border-ink bg-panel px-4 font-name font-bold"
            href={`/api/v1${files.reportPdf.path}?horseId=${horseId}`}
            target="_blank"
            rel="noreferrer"
          >
            As a PDF
          </a>
        )}
      </div>
      <ReportSheet report={report} />
      {mayDo(me.person.role, 'edit-horse') && <ReportLinks horseId={horseId} today={line.day} />}
    </main>
  )
}

export default ReportPage
