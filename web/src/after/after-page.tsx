import type { Horse } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import { Link, useSearchParams } from 'react-router'
import { useQuery } from '../app/client'
import { useAppSelector } from '../app/store'
import { Loading } from '../shared/loading'
import { useHorse } from '../shared/use-horse'
import { clock, longDay } from '../shared/words'
import { Conclusions } from './conclusions'
import { HowItWas } from './how-it-was'
import { RecallForm } from './recall-form'
import { SessionNote } from './session-note'
import { SessionSheet } from './session-sheet'

/** One session on one sheet: its steps with what changed, where to go on, how it was, the note. */
const OneSession = ({ id, horse, program }: { id: string; horse: Horse; program: Program }) => {
  const { data: me } = useQuery('me')
  const { data, error, refetch } = useQuery('session', { sessionId: id })
  const changes = useQuery('sessionChanges', { sessionId: id })
  if (!data || !me) return <Loading error={error} retry={() => void refetch()} />
  const { session, answers } = data
  const last = answers.at(-1)
  const standing = answers.filter(({ voided }) => !voided).length
  return (
    <div className="grid gap-x-6 gap-y-4 desk:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="flex min-w-0 flex-col gap-3">
        <p className="text-lg">
          {longDay(session.day)}, {clock(session.startedAt)}, {session.personName}:{' '}
          {count(standing, 'answer')}.
          {session.overlaps && (
            <b className="text-worn">
              {' '}
              Another session of this horse runs over the same minutes; both are kept.
            </b>
          )}
        </p>
        <SessionSheet
          answers={answers}
          changes={changes.data?.changes ?? []}
          program={program}
          personId={me.person.id}
          mayMend={mayDo(me.person.role, 'mend-answers')}
          withersCm={horse.heightCm}
        />
        <RecallForm
          session={session}
          program={program}
          personId={me.person.id}
          firstStep={last?.step ?? program.steps[0]!.key}
          after={last?.at ?? session.startedAt}
        />
      </div>
      <div className="flex flex-col gap-4">
        {changes.data ? (
          <Conclusions
            told={changes.data}
            shown={new Set(answers.map(({ step }) => step))}
            program={program}
          />
        ) : (
          <Loading error={changes.error} retry={() => void changes.refetch()} />
        )}
        <HowItWas session={session} personId={me.person.id} />
        <SessionNote key={session.confirmedAt ?? 'open'} session={session} personId={me.person.id} />
      </div>
    </div>
  )
}

/** The sessions of a horse to confirm and mend, and what they changed. */
const AfterPage = () => {
  const [search] = useSearchParams()
  const { horseId, line, program, error, retry } = useHorse()
  const { data } = useQuery('sessions', { horseId })
  const waiting = useAppSelector((state) => state.sync.waiting)
  if (!line || !program || !data) return <Loading error={error} retry={retry} />
  const chosen = search.get('session') ?? data.sessions[0]?.id
  return (
    <main className="flex flex-col gap-4 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="text-3xl">After: {line.horse.name}</h1>
        {data.sessions.length > 0 && (
          <nav aria-label="Sessions" className="no-print flex flex-wrap gap-3">
            {data.sessions.slice(0, 5).map((session) => (
              <Link
                key={session.id}
                to={`/after/${horseId}?session=${session.id}`}
                aria-current={session.id === chosen ? 'page' : undefined}
                className={`inline-flex min-h-11 items-center ${session.id === chosen ? 'border-b-4 border-ink font-bold' : 'text-quiet underline'}`}
              >
                {session.day === line.day ? `today ${clock(session.startedAt)}` : longDay(session.day)}
                {!session.confirmedAt && ' ·'}
              </Link>
            ))}
          </nav>
        )}
      </div>
      {waiting > 0 && <p role="status">{waiting} of this device’s answers are still on their way here.</p>}
      {chosen ? (
        <OneSession key={chosen} id={chosen} horse={line.horse} program={program} />
      ) : (
        <div className="flex flex-col items-start gap-3">
          <p className="text-lg">Nothing was logged for {line.horse.name} yet.</p>
          <Link
            to={`/pen/${horseId}`}
            className="inline-flex min-h-12 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
          >
            Take {line.horse.name} to the pen
          </Link>
        </div>
      )}
    </main>
  )
}

export default AfterPage
