import { count } from '@still-pine/core/answer'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { Loading } from '../shared/loading'
import { clock, longDay } from '../shared/words'
import { HorseHeader } from '../shared/horse-header'
import { useHorse } from '../shared/use-horse'

/** Every session of a horse, the newest first. */
const BookPage = () => {
  const { horseId, line, error, retry } = useHorse()
  const { data } = useQuery('sessions', { horseId })
  if (!line) return <Loading error={error} retry={retry} />
  return (
    <main className="flex flex-col gap-4 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      {data?.sessions.length === 0 && <p>No sessions yet. The first one is written in the pen.</p>}
      <ul>
        {data?.sessions.map((session) => (
          <li key={session.id} className="border-t border-line">
            <Link
              className="flex min-h-12 flex-wrap items-center gap-x-4 py-2"
              to={`/after/${horseId}?session=${session.id}`}
            >
              <b className="underline">{longDay(session.day)}</b>
              <span>
                {clock(session.startedAt)}, {session.personName}, {count(session.answers, 'answer')}
              </span>
              <span className="text-quiet">{session.confirmedAt ? 'confirmed' : 'not confirmed'}</span>
              {session.against > 0 && (
                <span className="font-bold text-stop">
                  {count(session.against, 'answer')} against the permit
                </span>
              )}
              {session.overlaps && <span className="font-bold text-worn">overlaps another session</span>}
              {session.note && <span>{session.note}</span>}
            </Link>
          </li>
        ))}
      </ul>
    </main>
  )
}

export default BookPage
