import { files } from '@still-pine/contract/files'
import { handOver } from '@still-pine/device'
import { passportParts, verdictWords } from '@still-pine/use-cases'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { HorseHeader } from '../../shared/horse-header'
import { Loading } from '../../shared/loading'
import { useHorse } from '../../shared/use-horse'
import { fullDay, withDays } from '../../shared/words'
import { Button } from '../../ui/button'

/** What goes with a horse to its next hands: to read, to print, and as a file that another yard reads. */
const PassportPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: passport, error: failed, refetch } = useQuery('passport', { horseId })
  if (!line || !program || !passport)
    return <Loading error={error ?? failed} retry={() => (error ? retry() : void refetch())} />
  const { signed, verdict } = passport
  const leaving = program.gates.find(({ ticked }) => ticked)
  const asFile = (): void =>
    handOver(
      new Blob([JSON.stringify(passport, null, 2)], { type: 'application/json' }),
      `${line.horse.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}-passport.json`,
    )
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <div className="no-print flex flex-wrap gap-3">
        <Button onClick={asFile}>As a file for another yard</Button>
        <a
          className="inline-flex min-h-11 items-center rounded-md border-2 border-ink bg-panel px-4 font-name font-bold"
          href={`/api/v1${files.passportPdf.path}?horseId=${horseId}`}
          target="_blank"
          rel="noreferrer"
        >
          As a PDF
        </a>
        {leaving && (
          <Link
            className="inline-flex min-h-11 items-center underline"
            to={`/horses/${horseId}/gates/${leaving.key}`}
          >
            Choose what it leaves with
          </Link>
        )}
      </div>
      <p
        role="status"
        className={`max-w-prose border-l-8 bg-panel px-3 py-2 text-2xl font-bold ${verdict.says === 'go' ? 'border-solid' : 'border-stop'}`}
      >
        {verdictWords(passport)}
      </p>
      <div className="grid gap-x-8 gap-y-4 desk:grid-cols-2">
        {passportParts(passport).map(({ title, lines, none }) => (
          <section key={title} className="break-inside-avoid">
            <h2 className="mb-1 text-2xl">{title}</h2>
            {lines.length === 0 && <p>{none}</p>}
            <ul>
              {lines.map((line) => (
                <li key={line} className="border-t border-line py-1">
                  {withDays(line)}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <p className="text-lg font-bold">
        Signed: {signed.by}, {signed.yard}, {fullDay(signed.on)}
      </p>
    </main>
  )
}

export default PassportPage
