import type { Line, Settings } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import type { Outlook } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { memo, useCallback, useMemo, useState } from 'react'
import { Link, useLocation, useParams, useSearchParams } from 'react-router'
import { useLineQuery, useMeQuery, useProgramQuery } from '../app/api'
import { useAppSelector } from '../app/store'
import { useSuits } from '../before/arrange/use-suits'
import { Marks, MARKS_KEY } from '../drawing/marks'
import { syncWords } from '../offline/sync-slice'
import { Button } from '../ui/button'
import { Loading } from '../ui/loading'
import { useIsDesk } from '../ui/use-is-desk'
import { useLatestOf } from '../ui/use-latest'
import { aimAtFeet } from './advice'
import { AdviceBar, type Next } from './advice-bar'
import { ActionRow, MiddleRow } from './controls'
import { StandRow } from './stand-row'
import { DangerSheet } from './danger-sheet'
import { Gauge } from './gauge'
import { MainButton } from './main-button'
import { MoreSheet } from './more-sheet'
import { StorageWarning, useCanKeep } from './storage-warning'
import { SideBanner } from './side-banner'
import { StepPicker } from './step-picker'
import { QuickTells } from './quick-tells'
import { RecallSheet } from './recall-sheet'
import { useWakeLock, useWallClock } from './use-clock'
import { useDevices } from './use-gauge'
import { useDropWhenAway } from './use-page-away'
import { useFollow } from './use-follow'
import { useCalmWindow, useOpenPen, usePenView, type PenView, type Wanted } from './use-pen'
import { ARRIVAL, useArrivalGuide } from './use-arrival-guide'
import { usePenActions, type PenActions } from './use-pen-actions'
import { usePenKeys } from './use-pen-keys'
import { whereNow } from './where'

const minutes = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

/** "check 1 of 3" or "2 of 7", and how many of the asks meant for this side are done. */
const burstWords = ({ pen, answers }: PenView): string => {
  const { burst, side } = pen.aim
  if (pen.gate === ARRIVAL) return `arrival check · ${count(pen.answers.length, 'ask')}`
  if (burst === null) return 'own choice'
  const meant = pen.bursts[burst]?.sides.find((part) => part.side === side)?.asks
  const done = answers.filter((answer) => answer.side === side).length
  const asks =
    meant === undefined
      ? ''
      : done > meant
        ? ` · ${done} asks, ${meant} planned`
        : ` · ask ${done} of ${meant}`
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
      <span className="phone:hidden"> · {syncWords(sync, now)}</span>
      {sync.hasUpdate && (
        <span className="phone:hidden"> · new version: reload when you are out of the pen</span>
      )}
    </p>
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

/** The asks that a sheet was opened with; they stay with this entry of the browser's history. */
const burstsIn = (state: unknown): Wanted['bursts'] => {
  const { bursts } = (state ?? {}) as { bursts?: unknown }
  return Array.isArray(bursts) ? (bursts as Wanted['bursts']) : undefined
}

/** Pages whose asks are run, and what the pen calls them. */
const SHEETS: Readonly<Record<string, string>> = { recheck: 'Sheet', [ARRIVAL]: 'Result' }

const backTo = (horseId: string, gate: string | null): string => {
  if (gate === null) return `/after/${horseId}`
  return gate in SHEETS ? `/horses/${horseId}/${gate}` : `/horses/${horseId}/gates/${gate}`
}

/** Checks lead back to their gate or sheet, a session to what it changed. */
const DoneLink = memo(({ horseId, gate }: { horseId: string; gate: string | null }) => (
  <Link
    className="inline-flex min-h-11 items-center rounded-md border-2 border-ink px-4 font-name font-bold phone:min-h-16 phone:text-xl"
    to={backTo(horseId, gate)}
  >
    {gate === null ? 'Done' : (SHEETS[gate] ?? 'Gate')}
  </Link>
))

/** Links are dear to draw, and a press changes neither of these two. */
const HorseLink = memo(({ horseId, name }: { horseId: string; name: string }) => (
  <Link to={`/horses/${horseId}`}>{name}</Link>
))

/** What comes after this: the light ask that checks the feet, or the next burst. */
const nextOf = (view: PenView, line: Line, actions: PenActions): Next | null => {
  if (aimAtFeet(view, line)) return { words: 'Check the feet', go: actions.checkFeet }
  const next = (view.pen.aim.burst ?? -1) + 1
  return next < view.pen.bursts.length ? { words: 'Next burst', go: () => actions.goToBurst(next) } : null
}

interface RunningProps {
  readonly line: Line
  readonly program: Program
  readonly view: PenView
  readonly settings: Settings
  readonly personId: string
  readonly suits: Outlook['suits']
}

const RunningPen = ({ line, program, view, settings, personId, suits }: RunningProps) => {
  const [sheet, setSheet] = useState<'more' | 'danger' | 'recall' | null>(null)
  // The same for as long as the pen is open, so that only what a press changes is drawn anew.
  const actions = useLatestOf(usePenActions({ view, line, program, personId, settings }))
  const more = useCallback(() => setSheet('more'), [])
  const recall = useCallback(() => setSheet('recall'), [])
  const closeSheet = (): void => setSheet(null)
  const isRunning = view.pen.running !== null
  const canKeep = useCanKeep()
  usePenKeys({
    actions,
    settings,
    isRunning,
    enabled: sheet === null && canKeep !== false,
    openFaults: more,
    recall,
  })
  useCalmWindow(view)
  useWakeLock()
  useDevices()
  useDropWhenAway(view)
  useFollow(view, line, program, suits)
  const previous = (view.pen.aim.burst ?? 0) - 1
  const arrival = useArrivalGuide(view, program)
  const next = arrival ? null : nextOf(view, line, actions)
  const isDesk = useIsDesk()
  const advice = (
    <AdviceBar
      view={view}
      line={line}
      actions={actions}
      next={next}
      frightRule={program.manner.fright.words}
      arrival={arrival}
    />
  )
  return (
    <main
      data-theme={settings.theme === 'dark' ? 'dark' : 'pen'}
      className="flex h-dvh flex-col bg-ground text-ink"
    >
      <header className="flex items-start justify-between gap-3 border-b-2 border-ink px-3 py-2 desk:px-6">
        <div className="min-w-0 flex-1">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <h1 className="text-2xl">
              <HorseLink horseId={line.horse.id} name={line.horse.name} />
            </h1>
            <BurstLine view={view} />
          </div>
          <p className="flex flex-wrap items-center gap-x-3 text-xl">
            <StepPicker line={line} stepKey={view.step.key} program={program} onPick={actions.goToStep} />
            <span className="font-bold">
              {view.pen.aim.rung}: {view.rungWords}
            </span>
          </p>
        </div>
        <div className="flex shrink-0 items-center gap-2">
          {isDesk && (
            <div className="flex gap-2">
              <Button disabled={previous < 0} onClick={() => actions.goToBurst(previous)}>
                Burst before
              </Button>
              <Button disabled={next === null} onClick={() => next?.go()}>
                {next?.words ?? 'Next burst'}
              </Button>
              <DoneLink horseId={line.horse.id} gate={view.pen.gate} />
            </div>
          )}
          <Button look="danger" className="min-h-16" onClick={() => setSheet('danger')}>
            Danger
          </Button>
        </div>
      </header>
      {canKeep === false && <StorageWarning />}
      <RestsToday line={line} />
      <SideBanner side={view.pen.aim.side} answers={view.answers} />
      <div className="flex min-h-0 flex-1 flex-col gap-2 px-3 py-2 desk:grid desk:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] desk:gap-8 desk:px-6">
        <div className="flex min-h-0 flex-1 flex-col justify-center overflow-hidden">
          <div className="min-h-0 flex-1">
            <Gauge view={view} pace={program.pace} vibrate={settings.vibrate} />
          </div>
          {isDesk && <QuickTells view={view} actions={actions} school={program.school} />}
        </div>
        {!isDesk && (
          <>
            <div className="flex min-h-16 items-end justify-between gap-2">
              <Marks marks={view.answers.slice(-11).map(toMark)} kind={view.step.kind} spacing={24} />
              <div className={isRunning ? 'invisible' : ''}>
                <DoneLink horseId={line.horse.id} gate={view.pen.gate} />
              </div>
            </div>
            {advice}
          </>
        )}
        <div className="flex flex-col justify-end gap-2 desk:justify-center">
          {view.step.allRound && (
            <div className={isRunning ? 'invisible' : ''}>
              <StandRow view={view} line={line} actions={actions} />
            </div>
          )}
          <MiddleRow view={view} pace={program.pace} actions={actions} />
          <ActionRow
            kind={view.step.kind}
            sided={view.step.sided}
            isRunning={isRunning}
            aids={view.pen.running?.aids ?? 0}
            hasAnswers={view.pen.answers.length > 0}
            pace={program.pace}
            actions={actions}
            more={more}
          />
          <MainButton
            kind={view.step.kind}
            isRunning={isRunning}
            settings={settings}
            press={actions.forward}
            disabled={canKeep === false}
            calmIsOpen={view.pen.calmFor !== null}
          />
        </div>
      </div>
      {isDesk && (
        <footer className="grid grid-cols-[minmax(0,1fr)_minmax(0,30rem)] gap-8 border-t-2 border-ink bg-panel px-6 py-2">
          <div>
            <Marks marks={view.answers.map(toMark)} kind={view.step.kind} />
            <p className="text-quiet">{MARKS_KEY}</p>
          </div>
          {advice}
        </footer>
      )}
      {sheet === 'more' && (
        <MoreSheet
          view={view}
          actions={actions}
          next={next}
          school={program.school}
          recall={recall}
          onClose={closeSheet}
        />
      )}
      {sheet === 'recall' && <RecallSheet view={view} actions={actions} onClose={closeSheet} />}
      {sheet === 'danger' && <DangerSheet view={view} onClose={closeSheet} />}
    </main>
  )
}

const toMark = (answer: PenView['answers'][number]) => ({
  ...answer,
  half: answer.byChance || answer.recalled,
})

interface OpenProps extends Omit<RunningProps, 'view'> {
  readonly wanted: Wanted
}

/** Apart from what it is made of: a press draws this and what lies in it, and asks nothing of the store's copies. */
const OpenPen = ({ wanted, ...parts }: OpenProps) => {
  const { line, program, settings, personId } = parts
  useOpenPen(line, program, wanted, personId)
  const view = usePenView(program, settings)
  return view?.pen.horseId === line.horse.id ? <RunningPen {...parts} view={view} /> : <Loading />
}

/** One horse in the pen, readable at arm's length. */
export const PenPage = () => {
  const { horseId = '' } = useParams()
  const [search] = useSearchParams()
  const { state } = useLocation()
  const { data: me } = useMeQuery()
  const suits = useSuits(whereNow())
  const { data: line, error, refetch } = useLineQuery(horseId)
  // Never the program of the school before: the pen would open on steps the horse no longer has.
  const { currentData: program } = useProgramQuery(line?.horse.programId ?? '', { skip: !line })
  const made = useMemo(() => (line && program ? { line, program: program.program } : null), [line, program])
  // While the program of a new school is on its way the pen stays open as it was: an ask may be running.
  const [last, setLast] = useState(made)
  if (made !== null && made !== last) setLast(made)
  const open = made ?? last
  if (error && !line) return <Loading error={error} retry={() => void refetch()} />
  if (!me || open?.line.horse.id !== horseId) return <Loading />
  return (
    <OpenPen
      {...open}
      settings={me.person.settings}
      personId={me.person.id}
      suits={suits}
      wanted={{ step: search.get('step'), gate: search.get('gate'), bursts: burstsIn(state) }}
    />
  )
}

export default PenPage
