import type { SavedAnswer, Session } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import { stepOf, type Program } from '@still-pine/core/program'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../app/client'
import { useAppSelector } from '../app/store'
import { saveHere } from '../offline/save'
import { Marks, MARKS_KEY } from '../drawing/marks'
import { useHorse } from '../shared/use-horse'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'
import { Loading } from '../shared/loading'
import { clock, longDay } from '../shared/words'
import { AnswerRow } from './answer-row'
import { ChangesPanel } from './changes-panel'
import { HowItWas } from './how-it-was'
import { RecallForm } from './recall-form'

const stepsIn = (answers: readonly SavedAnswer[]): readonly string[] => [
  ...new Set(answers.map(({ step }) => step)),
]

interface StepProps {
  readonly step: string
  readonly answers: readonly SavedAnswer[]
  readonly program: Program
  readonly personId: string
  readonly mayMend: boolean
}

const StepAnswers = ({ step: key, answers, program, personId, mayMend }: StepProps) => {
  const step = stepOf(program, key)
  if (!step) return null
  const own = answers.filter((answer) => answer.step === key)
  const marks = own.filter(({ voided }) => !voided).map((a) => ({ ...a, half: a.byChance || a.recalled }))
  return (
    <section className="break-inside-avoid">
      <h2 className="text-lg">{step.name}</h2>
      <Marks marks={marks} kind={step.kind} spacing={24} />
      <details>
        <summary className="min-h-11 text-quiet">
          {count(own.length, 'answer')}, one by one{mayMend ? ', to mend' : ''}
        </summary>
        <ol>
          {own.map((answer) => (
            <AnswerRow key={answer.id} answer={answer} step={step} personId={personId} mayMend={mayMend} />
          ))}
        </ol>
      </details>
    </section>
  )
}

const Confirm = ({ session, personId }: { session: Session; personId: string }) => {
  const [note, setNote] = useState(session.note)
  const [isSaved, setSaved] = useState(false)
  const save = async (): Promise<void> => {
    const at = new Date().toISOString()
    const item = { do: 'note' as const, id: uuid(), sessionId: session.id, note, at }
    setSaved(await saveHere(personId, session.horseId, item))
  }
  return (
    <section className="no-print flex flex-col gap-3">
      <Field label="Note">
        {(props) => (
          <textarea
            className={INPUT}
            rows={2}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            {...props}
          />
        )}
      </Field>
      <div className="flex flex-wrap items-center gap-3">
        <Button look={session.confirmedAt ? 'plain' : 'act'} className="min-h-12" onClick={() => void save()}>
          {session.confirmedAt ? 'Keep the note' : 'Confirm this session'}
        </Button>
        {session.confirmedAt ? (
          <span role="status">Confirmed at {clock(session.confirmedAt)}.</span>
        ) : (
          isSaved && <span role="status">Kept here.</span>
        )}
      </div>
    </section>
  )
}

const OneSession = ({ id, program }: { id: string; program: Program }) => {
  const { data: me } = useQuery('me')
  const { data, error, refetch } = useQuery('session', { sessionId: id })
  if (!data || !me) return <Loading error={error} retry={() => void refetch()} />
  const { session, answers } = data
  const mayMend = mayDo(me.person.role, 'mend-answers')
  const last = answers.at(-1)
  return (
    <div className="grid gap-6 desk:grid-cols-[1fr_22rem]">
      <div className="flex flex-col gap-4">
        <p className="text-lg">
          {longDay(session.day)}, {clock(session.startedAt)}, {session.personName}:{' '}
          {count(session.answers, 'answer')}.
          {session.overlaps && (
            <b className="text-worn">
              {' '}
              Another session of this horse runs over the same minutes; both are kept.
            </b>
          )}
        </p>
        {stepsIn(answers).map((step) => (
          <StepAnswers
            key={step}
            step={step}
            answers={answers}
            program={program}
            personId={me.person.id}
            mayMend={mayMend}
          />
        ))}
        <p className="text-quiet">{MARKS_KEY}</p>
        <RecallForm
          session={session}
          program={program}
          personId={me.person.id}
          firstStep={last?.step ?? program.steps[0]!.key}
          after={last?.at ?? session.startedAt}
        />
      </div>
      <div className="flex flex-col gap-4">
        <ChangesPanel sessionId={id} program={program} />
        <HowItWas session={session} personId={me.person.id} />
        <Confirm key={session.confirmedAt ?? 'open'} session={session} personId={me.person.id} />
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
        <OneSession key={chosen} id={chosen} program={program} />
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
