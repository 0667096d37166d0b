import type { Line, NewAnswer, PutEntry } from '@still-pine/contract'
import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { permit, type Permit, type Reason } from '@still-pine/core/permit'
import { stepOf, type Program } from '@still-pine/core/program'
import { RUN_DOING, RUN_STAGES, runSheet, type RunSheet } from '@still-pine/core/ride'
import { useState } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Confirmations } from '../../shared/confirmations'
import { LawNotes } from '../../shared/law-notes'
import { Loading } from '../../shared/loading'
import { permitHorse } from '../../shared/permit-horse'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { useMay } from '../../shared/use-may'
import { WhyForm } from '../../shared/why-form'
import { clock, sideAfter, withDays } from '../../shared/words'
import { Button } from '../../ui/button'
import { BeginForm } from './begin-form'
import { DangerButton } from './danger-button'
import { answerOf, keepTry, rungOfStage, TRIES, type Try } from './log-try'

const SAYS: Readonly<Record<RunSheet['says'], string>> = {
  begin:
    'Three loose ones on each side before the next stage. One tight: back a stage. Two: enough for today.',
  'go-on': 'Go on.',
  'next-stage': 'Three loose: the next stage.',
  'back-a-stage': 'Tight: back a stage, and begin to count anew.',
  'ended-well': 'It ends well here. Slack rein, down after a pause, rub it, five minutes walked.',
  'ended-tight': 'Two tight ones: enough. One easy thing it knows, from the ground, then home.',
}

/** The stages in their order, the one that is asked now marked. */
const Stages = ({ stage }: { stage: RunSheet['stage'] }) => (
  <ol className="flex flex-wrap gap-x-4 gap-y-1">
    {RUN_STAGES.map((one, i) => (
      <li
        key={one}
        aria-current={one === stage ? 'step' : undefined}
        className={one === stage ? 'border-b-4 border-ink font-bold' : 'text-quiet'}
      >
        {i + 1} {RUN_DOING[one].name}
      </li>
    ))}
  </ol>
)

const Doing = ({ sheet, run }: { sheet: EntryOf<'run-sheet'>; run: RunSheet }) => {
  const { rider, helper } = RUN_DOING[run.stage]
  return (
    <dl className="grid gap-3 text-xl desk:grid-cols-2">
      {(
        [
          [sheet.rider, 'sits up', rider],
          [sheet.helper, 'on the ground', helper],
        ] as const
      ).map(([name, part, words]) => (
        <div key={part} className="border-t-4 border-ink bg-panel p-3">
          <dt className="font-bold">
            {name}, {part}
          </dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  )
}

const Reasons = ({ because }: { because: readonly Reason[] }) => (
  <ul className="text-lg">
    {because.map(({ words }) => (
      <li key={words}>{withDays(words)}</li>
    ))}
  </ul>
)

interface TryProps {
  readonly run: RunSheet
  readonly permit: Permit
  readonly onTry: (how: Try, why: string | null) => void
}

/** One press a try; against the permit nothing is offered, and what was done all the same is kept with why. */
const TryButtons = ({ run, permit: said, onTry }: TryProps) => {
  const [why, setWhy] = useState<string | null>(null)
  const isRefused = said.answer === 'no' && why === null
  return (
    <section aria-label="How was it?" className="flex flex-col gap-2">
      <p className="text-2xl font-bold">
        {RUN_DOING[run.stage].name}
        {sideAfter(run.nextSide)}:{' '}
        {run.looseLeft
          .map(({ side, left }) => `${side === 'none' ? '' : `${side} `}${left} loose to go`)
          .join(', ')}
      </p>
      {said.answer === 'no' && (
        <div className="border-l-8 border-stop bg-panel px-3 py-2">
          <p className="text-xl font-bold text-stop">Not to be asked today</p>
          <Reasons because={said.because.filter(({ answer }) => answer === 'no')} />
          {why === null && (
            <details>
              <summary className="min-h-12 text-lg font-bold">It was done all the same: log it</summary>
              <WhyForm label="Why, in a word" act="Log what was done" onWhy={setWhy} />
            </details>
          )}
        </div>
      )}
      {!isRefused && (
        <div className="grid grid-cols-3 gap-2">
          {TRIES.map((how) => (
            <Button
              key={how.word}
              look={how.calm === 0 ? 'act' : 'plain'}
              className="min-h-24 text-xl"
              onClick={() => onTry(how, why)}
            >
              {how.word}
            </Button>
          ))}
        </div>
      )}
    </section>
  )
}

interface RunProps {
  readonly line: Line
  readonly program: Program
  readonly sheet: EntryOf<'run-sheet'>
  readonly personId: string
}

const inOrder = (a: NewAnswer, b: NewAnswer): number => a.at.localeCompare(b.at)

const Running = ({ line, program, sheet, personId }: RunProps) => {
  const { data } = useQuery('session', { sessionId: sheet.sessionId })
  // What was pressed here stands at once; what the other phone logged comes as it is saved.
  const [mine, setMine] = useState<readonly NewAnswer[]>([])
  const mayLog = useMay('log-answers')
  const known = data?.answers ?? []
  const voided = new Set(known.filter((one) => one.voided !== null).map(({ id }) => id))
  const asks = [...new Map([...mine, ...known].map((one) => [one.id, one])).values()]
    .filter(({ id }) => !voided.has(id))
    .sort(inOrder)
  const run = runSheet(asks)
  const said = permit(
    permitHorse(line, program),
    { step: run.stage, rung: rungOfStage(line, run.stage) },
    line.day,
  )
  const toConfirm = said.because.flatMap(({ confirm }) => (confirm === null ? [] : [confirm]))
  const log = async (how: Try, why: string | null): Promise<void> => {
    const against =
      said.answer === 'no'
        ? said.because
            .filter(({ answer }) => answer === 'no')
            .map(({ words }) => words)
            .join(' ')
            .slice(0, 500)
        : null
    const tried = { stage: run.stage, side: run.nextSide, how, against, why }
    const answer = answerOf(line, program, { sheet, tried })
    if (await keepTry(personId, answer, asks.length === 0 ? sheet : null)) setMine((all) => [...all, answer])
  }
  const last = asks.at(-1)
  return (
    <>
      <Stages stage={run.stage} />
      <p role="status" className="border-l-8 border-ink bg-panel px-3 py-2 text-xl font-bold">
        {SAYS[run.says]}
        {run.isOver && last ? ` It was ${clock(last.at)}.` : ''}
      </p>
      {!run.isOver && (
        <>
          <Doing sheet={sheet} run={run} />
          {said.answer === 'confirm' && <Confirmations line={line} confirmable={toConfirm} />}
          {mayLog && said.answer !== 'confirm' && (
            <TryButtons key={run.stage} run={run} permit={said} onTry={(how, why) => void log(how, why)} />
          )}
        </>
      )}
      <DangerButton
        personId={personId}
        horseId={line.horse.id}
        day={line.day}
        at={{ stage: run.stage, side: run.nextSide }}
      />
    </>
  )
}

/** A first time up for two: the rider and the helper each read what they do, on their own phones. */
const RunSheetPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  const { entries, error: failed, retry: again, put } = useEntries(horseId)
  if (!line || !program || !entries || !me)
    return <Loading error={error ?? failed} retry={error ? retry : again} />
  const sheet = entriesOf(entries, 'run-sheet').findLast(({ on }) => on === line.day)
  const isTaught = RUN_STAGES.every((stage) => stepOf(program, stage))
  return (
    <main className="mx-auto flex w-full max-w-4xl flex-col gap-4 px-4 py-3">
      <div className="flex items-baseline justify-between gap-3">
        <h1 className="text-3xl">First time up: {line.horse.name}</h1>
        <Link className="inline-flex min-h-16 items-center font-bold underline" to={`/before/${horseId}`}>
          Done
        </Link>
      </div>
      {!isTaught && <p>This school has other stages: go through them in the pen, one by one.</p>}
      <LawNotes horseId={horseId} about={['helmet', 'minors', 'mounted', 'whole-weight']} />
      {isTaught && sheet && <Running line={line} program={program} sheet={sheet} personId={me.person.id} />}
      {isTaught && !sheet && (
        <>
          <p className="text-lg">
            Two people, helmet, a saddle that was checked, a block that cannot tip, a pen with nothing to hang
            up on. First the day’s asks from the ground, and ground work.
          </p>
          <BeginForm today={line.day} onPut={(entry: PutEntry) => void put(entry)} />
        </>
      )}
    </main>
  )
}

export default RunSheetPage
