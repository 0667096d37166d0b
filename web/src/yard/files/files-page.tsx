import { files } from '@still-pine/contract/files'
import { mayDo } from '@still-pine/contract/rights'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { YardHeader } from '../yard-header'

const LINK = 'inline-flex min-h-11 items-center underline'

/** What goes out, in open formats. */
const Exports = () => {
  const { data: today } = useQuery('today')
  return (
    <section className="flex flex-col items-start">
      <h2 className="mb-1 text-2xl">Export</h2>
      <p className="max-w-prose">Everything here is yours, in open formats.</p>
      <a className={LINK} href={`/api/v1${files.yardZipOut.path}`} download>
        Export the whole yard, with its pictures (ZIP)
      </a>
      <a className={LINK} href={`/api/v1${files.yardOut.path}`} download>
        Export the whole yard, without them (JSON)
      </a>
      <a className={LINK} href={`/api/v1${files.answersOut.path}`} download>
        Export all answers (CSV)
      </a>
      {today && today.rows.length > 0 && (
        <details>
          <summary className="min-h-11 py-2 font-bold">Answers of one horse (CSV)</summary>
          <ul>
            {today.rows.map(({ horse }) => (
              <li key={horse.id}>
                <a
                  className={LINK}
                  href={`/api/v1${files.answersOut.path}?horseId=${horse.id}`}
                  download={`${horse.name}.csv`}
                >
                  {horse.name}
                </a>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

/** What can be taken out of the yard and brought in. */
const FilesPage = () => {
  const { data: me, error, refetch } = useQuery('me')
  if (!me) return <Loading error={error} retry={() => void refetch()} />
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <YardHeader title="Files" />
      {mayDo(me.person.role, 'take-out') ? (
        <div className="grid gap-8 desk:grid-cols-2">
          <Exports />
          <section className="flex flex-col items-start">
            <h2 className="mb-1 text-2xl">Import</h2>
            <p className="max-w-prose">
              A log of answers as a table, as JSON lines, or a whole yard. You see what will come before it is
              kept.
            </p>
            <Link className={LINK} to="/yard/in">
              Import a log or a yard
            </Link>
          </section>
        </div>
      ) : (
        <p className="text-lg">Files are taken out and brought in by a starter.</p>
      )}
      <p>
        <a className={LINK} href="/licences.txt">
          Licences of what Still Pine is built from
        </a>
      </p>
    </main>
  )
}

export default FilesPage
