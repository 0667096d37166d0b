import type { Line } from '@still-pine/contract'
import { count, daysBetween } from '@still-pine/core/answer'
import { STAGES, stepOf, type Program } from '@still-pine/core/program'
import { upperFirst } from '@still-pine/core/readiness'
import { useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { lineSentence } from '../drawing/line/callouts'
import { DESK_ROWS, LineDrawing } from '../drawing/line/line-drawing'
import { nextGate } from '../drawing/line/posts'
import { useSize } from '../drawing/line/use-size'
import { Loading } from '../shared/loading'
import { VERDICTS, withDays } from '../shared/words'
import { HorseHeader } from '../shared/horse-header'
import { ShutList } from '../shared/shut-list'
import { StageRopes } from './stage-ropes'
import { StageRows } from './stage-rows'
import { useHorse } from '../shared/use-horse'

const Panel = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="flex flex-col items-start gap-1 border-t-4 border-ink bg-panel px-3 py-2">
    <h2 className="text-lg">{title}</h2>
    {children}
  </section>
)

const GatePanel = ({ line, program }: { line: Line; program: Program }) => {
  const gate = nextGate(program, line)
  if (!gate) return null
  return (
    <Panel title={`${gate.name}: ${VERDICTS[gate.verdict]}`}>
      <p>
        {gate.sentence} {gate.likelyMissesWords}
      </p>
      <Link
        className="inline-flex min-h-11 items-center underline"
        to={`/horses/${line.horse.id}/gates/${gate.gate}`}
      >
        Why
      </Link>
    </Panel>
  )
}

const planned = (line: Line): string =>
  line.plan.bursts
    .slice(0, 3)
    .map(({ name }) => name.toLowerCase())
    .join(', then ')

const TodayPanel = ({ line }: { line: Line }) => (
  <Panel title="Today">
    <p>
      {line.plan.rests
        ? withDays(line.plan.reason)
        : `${upperFirst(planned(line))}. ${line.plan.minutes} minutes.`}
    </p>
    {!line.plan.rests && (
      <Link
        to={`/pen/${line.horse.id}`}
        className="no-print inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
      >
        Take {line.horse.name} to the pen
      </Link>
    )}
  </Panel>
)

const STALE_DAYS = 10

const StalePanel = ({ line, program }: { line: Line; program: Program }) => {
  const stale = line.tracks
    .filter(({ view }) => view.lastDay !== null && ['solid', 'rusty'].includes(view.state))
    .map(({ step, side, view }) => ({ step, side, days: daysBetween(view.lastDay!, line.day) }))
    .filter(({ days }) => days >= STALE_DAYS)
    .sort((a, b) => b.days - a.days)
    .slice(0, 4)
  return (
    <Panel title="Going stale">
      <p>
        {stale.length === 0
          ? `Nothing Solid has gone ${STALE_DAYS} calendar days without an ask.`
          : stale
              .map(
                ({ step, side, days }) =>
                  `${stepOf(program, step)?.name}${side === 'none' ? '' : `, ${side}`}: not asked for ${count(days, 'day')}`,
              )
              .join('. ')}
      </p>
    </Panel>
  )
}

const currentStage = (line: Line, program: Program): number =>
  program.steps.find(({ key }) => line.tracks.some((t) => t.step === key && t.view.state !== 'solid'))
    ?.stage ?? 1

/** One stage of a desk's Line as rows, any of them by choice. */
const StageByChoice = ({ line, program, inWork }: { line: Line; program: Program; inWork: number }) => {
  const [shown, setShown] = useState(inWork)
  return (
    <section className="mt-6 flex flex-col gap-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-2xl">
          {shown} {STAGES[shown - 1]}
        </h2>
        <label className="no-print flex items-center gap-2">
          Stage
          <select
            className="min-h-11 rounded-md border-2 border-ink bg-panel px-2"
            value={shown}
            onChange={(event) => setShown(Number(event.target.value))}
          >
            {STAGES.map((name, i) => (
              <option key={name} value={i + 1}>
                {i + 1} {name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <StageRows line={line} program={program} stage={shown} />
    </section>
  )
}

/** So many letters' heights a rope of three stages needs to be read. */
const DESK_REMS = 42

/** The Line and what it says of today: ropes of three stages at a desk, short ropes that open on a phone. */
const LineAndPanels = ({ line, program }: { line: Line; program: Program }) => {
  const { ref, width, rem } = useSize<HTMLDivElement>()
  const inWork = currentStage(line, program)
  const isDesk = width >= DESK_REMS * rem
  const size = { line, program, width, rem }
  return (
    <>
      <div ref={ref}>
        {width > 0 &&
          (isDesk ? (
            <LineDrawing rows={DESK_ROWS} {...size} />
          ) : (
            <StageRopes key={line.horse.id} inWork={inWork} {...size} />
          ))}
      </div>
      <div className="grid gap-4 desk:grid-cols-3">
        <GatePanel line={line} program={program} />
        <TodayPanel line={line} />
        <StalePanel line={line} program={program} />
      </div>
      {width > 0 && isDesk && (
        <StageByChoice key={line.horse.id} line={line} program={program} inWork={inWork} />
      )}
    </>
  )
}

const LinePage = () => {
  const { line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  return (
    <main className="flex flex-col gap-1 px-4 desk:px-5">
      <HorseHeader
        horse={line.horse}
        today={line.day}
        note={`work day ${line.workDays}, calendar day ${line.calendarDays}`}
      />
      <p className="text-xl">{lineSentence(program, line)}</p>
      <ShutList horseId={line.horse.id} shut={line.shut} />
      {line.workDays <= 1 && line.horse.handled && (
        <p className="no-print border-l-8 border-act bg-panel px-3 py-1.5 text-lg">
          It is said to be handled.{' '}
          <Link className="underline" to={`/horses/${line.horse.id}/arrival`}>
            An arrival check
          </Link>{' '}
          shows where its work begins.
        </p>
      )}
      <LineAndPanels line={line} program={program} />
    </main>
  )
}

export default LinePage
