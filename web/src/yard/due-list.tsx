import type { DueRow } from '@still-pine/contract'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { withDays } from '../shared/words'

type Tone = DueRow['notices'][number]['tone']

const GRAVITY: Readonly<Record<Tone, number>> = { stop: 0, due: 1, soon: 2 }
const EDGE: Readonly<Record<Tone, string>> = { stop: 'border-stop', due: 'border-worn', soon: 'border-line' }

/** Where what is due is put right. */
const pageOf = (about: DueRow['notices'][number]['about']): string =>
  about === 'measuring' ? 'body' : about === 'care' ? 'care' : 'incidents'

/** What is shut, due and soon of every horse, the gravest first. */
const reminders = (rows: readonly DueRow[]) =>
  rows
    .flatMap(({ horseId, horseName, notices }) =>
      notices.map((notice) => ({ ...notice, horseId, horseName })),
    )
    .sort((a, b) => GRAVITY[a.tone] - GRAVITY[b.tone] || a.horseName.localeCompare(b.horseName))

/** Everything that is due of the yard's horses, in one list. */
export const DueList = () => {
  const { data } = useQuery('due')
  const list = reminders(data?.horses ?? [])
  return (
    <section aria-label="What is due">
      <h2 className="mb-2 text-2xl">What is due</h2>
      {!data && <p className="text-quiet">It is listed when there is signal.</p>}
      {data && list.length === 0 && <p>Nothing is due: no check, no hoof, no hold.</p>}
      <ul className="flex flex-col gap-1">
        {list.map(({ horseId, horseName, tone, about, words }) => (
          <li key={`${horseId} ${about} ${words}`} className={`border-l-4 bg-panel px-3 ${EDGE[tone]}`}>
            <Link
              className="flex min-h-12 flex-col justify-center py-1"
              to={`/horses/${horseId}/${pageOf(about)}`}
            >
              <b className="font-name underline">{horseName}</b>
              <span className={tone === 'soon' ? 'text-quiet' : ''}>{withDays(words)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
