import type { Line, Settings } from '@still-pine/contract'
import type { Outlook } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { useCallback, useMemo, useState } from 'react'
import { useLocation, useParams, useSearchParams } from 'react-router'
import { useLineQuery, useMeQuery, useProgramQuery } from '../app/api'
import { useSuits } from '../before/arrange/use-suits'
import { Marks, MARKS_KEY } from '../drawing/marks'
import { Loading } from '../ui/loading'
import { useIsDesk } from '../ui/use-is-desk'
import { useLatestOf } from '../ui/use-latest'
import { useAfterPaint } from '../ui/use-after-paint'
import { aimAtFeet } from './advice'
import { AdviceBar, type Next } from './advice-bar'
import { ActionRow, MiddleRow } from './controls'
import { StandRow } from './stand-row'
import { DangerSheet } from './danger-sheet'
import { DoneLink } from './done-link'
import { Gauge } from './gauge'
import { MainButton } from './main-button'
import { MoreSheet } from './more-sheet'
import { PenHeader } from './pen-header'
import { StorageWarning, useCanKeep } from './storage-warning'
import { SideBanner } from './side-banner'
import { QuickTells } from './quick-tells'
import { RecallSheet } from './recall-sheet'
import { useWakeLock } from './use-clock'
import { useDevices } from './use-gauge'
import { useDropWhenAway } from './use-page-away'
import { useFollow } from './use-follow'
import { useCalmWindow, useOpenPen, usePenView, type PenView, type Wanted } from './use-pen'
import { useArrivalGuide } from './use-arrival-guide'
import { usePenActions, type PenActions } from './use-pen-actions'
import { usePenKeys } from './use-pen-keys'
import { whereNow } from './where'

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

/** Phones show only so many of the newest marks. */
const MOST_MARKS = 11

const RunningPen = ({ line, program, view, settings, personId, suits }: RunningProps) => {
  const [sheet, setSheet] = useState<'more' | 'danger' | 'recall' | null>(null)
  // A press shows its answer, the gauge and the big button at once; what is said of it comes a frame later.
  const said = useAfterPaint(view)
  const isQuiet = said.pen.running !== null
  // The same for as long as the pen is open, so that only what a press changes is drawn anew.
  const actions = useLatestOf(usePenActions({ view, line, program, personId, settings }))
  const more = useCallback(() => setSheet('more'), [])
  const recall = useCallback(() => setSheet('recall'), [])
  const danger = useCallback(() => setSheet('danger'), [])
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
  useFollow(said, line, program, suits)
  const arrival = useArrivalGuide(view, program)
  const next = useMemo(() => (arrival ? null : nextOf(said, line, actions)), [arrival, said, line, actions])
  const marks = useMemo(() => view.answers.map(toMark), [view.answers])
  const isDesk = useIsDesk()
  const advice = (
    <AdviceBar
      view={said}
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
      <PenHeader
        line={line}
        program={program}
        view={said}
        actions={actions}
        next={next}
        isDesk={isDesk}
        danger={danger}
      />
      {canKeep === false && <StorageWarning />}
      <RestsToday line={line} />
      <SideBanner side={said.pen.aim.side} answers={said.answers} />
      <div className="flex min-h-0 flex-1 flex-col gap-2 px-3 py-2 desk:grid desk:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] desk:gap-8 desk:px-6">
        <div className="flex min-h-0 flex-1 flex-col justify-center overflow-hidden">
          <div className="min-h-0 flex-1">
            <Gauge view={view} pace={program.pace} vibrate={settings.vibrate} />
          </div>
          {isDesk && <QuickTells view={said} actions={actions} school={program.school} />}
        </div>
        {!isDesk && (
          <>
            <div className="flex min-h-16 items-end justify-between gap-2">
              <Marks marks={marks} kind={view.step.kind} spacing={24} most={MOST_MARKS} />
              <div className={isQuiet ? 'invisible' : ''}>
                <DoneLink horseId={line.horse.id} gate={view.pen.gate} />
              </div>
            </div>
            {advice}
          </>
        )}
        <div className="flex flex-col justify-end gap-2 desk:justify-center">
          {said.step.allRound && (
            <div className={isQuiet ? 'invisible' : ''}>
              <StandRow view={said} line={line} actions={actions} />
            </div>
          )}
          <MiddleRow view={said} pace={program.pace} actions={actions} />
          <ActionRow
            kind={said.step.kind}
            sided={said.step.sided}
            isRunning={isQuiet}
            aids={said.pen.running?.aids ?? 0}
            hasAnswers={said.pen.answers.length > 0}
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
            <Marks marks={marks} kind={view.step.kind} />
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
