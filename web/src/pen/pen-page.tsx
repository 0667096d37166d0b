import type { Line, Settings } from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import { useCallback, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { useLineQuery, useMeQuery, useProgramQuery } from '../app/api'
import { useAppSelector } from '../app/store'
import { Marks, MARKS_KEY } from '../drawing/marks'
import { syncWords } from '../offline/sync-slice'
import { Button } from '../ui/button'
import { Loading } from '../ui/loading'
import { AdviceBar } from './advice-bar'
import { ActionRow, CalmRow, WorstRow } from './controls'
import { StandRow } from './stand-row'
import { DangerSheet } from './danger-sheet'
import { Gauge } from './gauge'
import { MainButton } from './main-button'
import { MoreSheet } from './more-sheet'
import { SideBanner } from './side-banner'
import { useWakeLock, useWallClock } from './use-clock'
import {
  useCalmWindow,
  useOpenPen,
  usePenActions,
  usePenView,
  type PenActions,
  type PenView,
} from './use-pen'
import { usePenKeys } from './use-pen-keys'

const minutes = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

/** "check 1 of 3" or "2 of 7", and how many of the asks meant for this side are done. */
const burstWords = ({ pen, answers }: PenView): string => {
  const { burst, side } = pen.aim
  if (burst === null) return 'own choice'
  const meant = pen.bursts[burst]?.sides.find((part) => part.side === side)?.asks
  const done = answers.filter((answer) => answer.side === side).length
  const asks = meant === undefined ? '' : ` · ask ${done} of ${meant}`
  return `${pen.gate === null ? '' : 'check '}${burst + 1} of ${pen.bursts.length}${asks}`
}

const BurstLine = ({ view }: { view: PenView }) => {
  const now = useWallClock()
  const sync = useAppSelector((state) => state.sync)
  const ran = Math.max(0, (now - view.pen.burstStartedAt) / 1000)
  return (
    <p className="text-lg text-quiet">
      {burstWords(view)} · {minutes(ran)}
      <span className="phone:hidden"> of 2:00</span>
      <span className="phone:hidden"> · {syncWords(sync)}</span>
    </p>
  )
}

const StepPicker = ({
  line,
  view,
  actions,
  program,
}: {
  line: Line
  view: PenView
  actions: PenActions
  program: Program
}) => {
  const closed = new Set(line.plan.closed.map(({ step }) => step))
  return (
    <label className="flex items-center gap-2">
      <span className="sr-only">Step</span>
      <select
        className="min-h-11 max-w-full rounded-md border-2 phone:min-h-14 border-line bg-panel px-2 font-name text-xl font-bold"
        value={view.step.key}
        onChange={(event) => actions.goToStep(event.target.value)}
      >
        {program.steps
          .filter(({ key }) => !closed.has(key))
          .map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
      </select>
    </label>
  )
}

/** A horse that rests today may still be opened here; the reason it rests stays in sight. */
const RestsToday = ({ line }: { line: Line }) =>
  line.plan.rests ? (
    <p
      role="alert"
      className="border-b-2 border-stop bg-panel px-3 py-1 text-xl font-bold text-stop desk:px-6"
    >
      {line.plan.reason}
    </p>
  ) : null

/** Checks lead back to their gate, a session to what it changed. */
const DoneLink = ({ horseId, gate }: { horseId: string; gate: string | null }) => (
  <Link
    className="inline-flex min-h-11 items-center rounded-md border-2 border-ink px-4 font-name font-bold phone:min-h-16 phone:text-xl"
    to={gate === null ? `/after/${horseId}` : `/horses/${horseId}/gates/${gate}`}
  >
    {gate === null ? 'Done' : 'Gate'}
  </Link>
)

const neighbours = ({ pen }: PenView) => {
  const at = pen.aim.burst ?? -1
  return { previous: at > 0 ? at - 1 : null, next: at + 1 < pen.bursts.length ? at + 1 : null }
}

interface RunningProps {
  readonly line: Line
  readonly program: Program
  readonly view: PenView
  readonly settings: Settings
  readonly personId: string
}

const RunningPen = ({ line, program, view, settings, personId }: RunningProps) => {
  const [sheet, setSheet] = useState<'more' | 'danger' | null>(null)
  const actions = usePenActions(view, line, program, personId, settings)
  const more = useCallback(() => setSheet('more'), [])
  const isRunning = view.pen.running !== null
  usePenKeys({ actions, settings, isRunning, enabled: sheet === null, openFaults: more })
  useCalmWindow(view)
  useWakeLock()
  const { previous, next } = neighbours(view)
  const goNext = next === null ? null : () => actions.goToBurst(next)
  return (
    <main
      data-theme={settings.theme === 'dark' ? 'dark' : 'pen'}
      className="flex h-dvh flex-col bg-ground text-ink"
    >
      <header className="flex items-start justify-between gap-3 border-b-2 border-ink px-3 py-2 desk:px-6">
        <div className="min-w-0 flex-1">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <h1 className="text-2xl">
              <Link to={`/horses/${line.horse.id}`}>{line.horse.name}</Link>
            </h1>
            <BurstLine view={view} />
          </div>
          <p className="flex flex-wrap items-center gap-x-3 text-xl">
            <StepPicker line={line} view={view} actions={actions} program={program} />
            <span className="font-bold">
              {view.pen.aim.rung}: {view.rungWords}
            </span>
          </p>
        </div>
        <div className="flex shrink-0 items-center gap-2">
          <div className="hidden gap-2 desk:flex">
            <Button
              disabled={previous === null}
              onClick={() => previous !== null && actions.goToBurst(previous)}
            >
              Burst before
            </Button>
            <Button disabled={goNext === null} onClick={() => goNext?.()}>
              Next burst
            </Button>
            <DoneLink horseId={line.horse.id} gate={view.pen.gate} />
          </div>
          <Button look="danger" className="min-h-16" onClick={() => setSheet('danger')}>
            Danger
          </Button>
        </div>
      </header>
      <RestsToday line={line} />
      <SideBanner side={view.pen.aim.side} answers={view.answers} />
      <div className="flex min-h-0 flex-1 flex-col gap-2 px-3 py-2 desk:grid desk:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] desk:gap-8 desk:px-6">
        <div className="flex min-h-0 flex-1 flex-col justify-center">
          <Gauge view={view} pace={program.pace} vibrate={settings.vibrate} />
        </div>
        <div className="flex items-end justify-between gap-2 desk:hidden">
          <Marks marks={view.answers.slice(-11).map(toMark)} kind={view.step.kind} spacing={24} />
          {!isRunning && <DoneLink horseId={line.horse.id} gate={view.pen.gate} />}
        </div>
        <div className="desk:hidden">
          <AdviceBar view={view} actions={actions} next={goNext} frightRule={program.frightRule} />
        </div>
        <div className="flex flex-col justify-end gap-2 desk:justify-center">
          {view.step.allRound && !isRunning && <StandRow view={view} line={line} actions={actions} />}
          {isRunning && view.step.kind === 'accept' && <WorstRow view={view} actions={actions} />}
          {!isRunning && view.answers.length > 0 && <CalmRow view={view} actions={actions} />}
          <ActionRow view={view} actions={actions} more={more} />
          <MainButton
            kind={view.step.kind}
            isRunning={isRunning}
            settings={settings}
            press={actions.forward}
          />
        </div>
      </div>
      <footer className="grid grid-cols-[minmax(0,1fr)_minmax(0,30rem)] gap-8 border-t-2 border-ink bg-panel px-6 py-2 phone:hidden">
        <div>
          <Marks marks={view.answers.map(toMark)} kind={view.step.kind} />
          <p className="text-quiet">{MARKS_KEY}</p>
        </div>
        <AdviceBar view={view} actions={actions} next={goNext} frightRule={program.frightRule} />
      </footer>
      <MoreSheet
        open={sheet === 'more'}
        view={view}
        actions={actions}
        next={goNext}
        onClose={() => setSheet(null)}
      />
      <DangerSheet open={sheet === 'danger'} view={view} onClose={() => setSheet(null)} />
    </main>
  )
}

const toMark = (answer: PenView['answers'][number]) => ({
  ...answer,
  half: answer.byChance || answer.recalled,
})

/** One horse in the pen, readable at arm's length. */
export const PenPage = () => {
  const { horseId = '' } = useParams()
  const [search] = useSearchParams()
  const { data: me } = useMeQuery()
  const { data: line, error, refetch } = useLineQuery(horseId)
  const { data: program } = useProgramQuery(line?.horse.programId ?? '', { skip: !line })
  const settings = me?.person.settings
  useOpenPen(line?.horse.id === horseId ? line : undefined, program?.program, {
    step: search.get('step'),
    gate: search.get('gate'),
  })
  const view = usePenView(program?.program, settings ?? FALLBACK)
  if (error && !line) return <Loading error={error} retry={() => void refetch()} />
  if (!me || !settings || !line || !program || !view || view.pen.horseId !== horseId) return <Loading />
  return (
    <RunningPen
      line={line}
      program={program.program}
      view={view}
      settings={settings}
      personId={me.person.id}
    />
  )
}

const FALLBACK: Settings = {
  theme: 'system',
  pressLagSeconds: 0.4,
  forwardKey: 'PageDown',
  backKey: 'PageUp',
  vibrate: true,
}

export default PenPage
