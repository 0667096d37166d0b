import type { Line, Settings } from '@still-pine/contract'
import type { Outlook } from '@still-pine/core/plan'
import { stepOf, type Program } from '@still-pine/core/program'
import { useCallback, useMemo, useState } from 'react'
import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router'
import { useQuery } from '../app/client'
import { useSuits } from '../shared/use-suits'
import { MARKS_KEY } from '../drawing/marks'
import { Loading } from '../shared/loading'
import { CardWords } from '../shared/card-words'
import { StepCues } from '../shared/step-cues'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'
import { useIsDesk } from '../ui/use-is-desk'
import { withDays } from '../shared/words'
import { aimAtFeet, burstDone } from './advice'
import { AdviceBar, type Next } from './advice-bar'
import { ActionRow, MiddleRow } from './controls'
import { StandRow } from './stand-row'
import { CountedSteps } from './counted-steps'
import { DangerSheet } from './danger-sheet'
import { backTo, DoneLink } from './done-link'
import { Gauge } from './gauge'
import { GivenMarks } from './given-marks'
import { KitPanel, useKitToSee } from './kit-panel'
import { MainButton } from './main-button'
import { MoreSheet } from './more-sheet'
import { PenHeader } from './pen-header'
import { PermitPanel } from './permit-panel'
import { isAllowed, offersIn, permitIn } from './use-offers'
import { StorageWarning, useCanSave } from './storage-warning'
import { SideBanner } from './side-banner'
import { QuickTells } from './quick-tells'
import { RecallSheet } from './recall-sheet'
import { useWakeLock } from './use-clock'
import { useDevices } from './sensors/use-gauge'
import { useLeftWhenAway } from './use-page-away'
import { UnfinishedPanel } from './unfinished-panel'
import { useFollow } from './use-follow'
import { useCalmWindow, useOpenPen, type PenView, type Wanted } from './use-pen'
import { useRepairs } from './use-repairs'
import { useArrivalGuide } from './use-arrival-guide'
import { useViewAfterPress } from './use-view-after-press'
import { usePenActions, type PenActions } from './use-pen-actions'
import { usePenKeys } from './use-pen-keys'
import { whereNow } from '../shared/where'

/** A horse that rests today may still be opened here; the reason it rests stays in sight. */
const RestsToday = ({ line }: { line: Line }) =>
  line.plan.rests ? (
    <p
      role="alert"
      className="border-b-2 border-stop bg-panel px-3 py-1 text-xl leading-tight font-bold text-stop desk:px-6 low:truncate"
    >
      {withDays(line.plan.reason)}
    </p>
  ) : null

/** The asks that a sheet was opened with; they stay with this entry of the browser's history. */
const burstsIn = (state: unknown): Wanted['bursts'] => {
  const { bursts } = (state ?? {}) as { bursts?: unknown }
  return Array.isArray(bursts) ? (bursts as Wanted['bursts']) : undefined
}

interface Followed {
  readonly line: Line
  readonly program: Program
  readonly actions: PenActions
}

/** What comes after this: the light ask that checks the feet, or the next burst. */
const nextOf = (view: PenView, { line, program, actions }: Followed): Next | null => {
  const why = burstDone(view, Date.now()) ?? ''
  const nameOf = (step: string): string => stepOf(program, step)?.name ?? ''
  const feet = aimAtFeet(view, line)
  if (feet) return { words: 'Check the feet', what: nameOf(feet.step), why, go: actions.checkFeet }
  const index = (view.pen.aim.burst ?? -1) + 1
  const burst = view.pen.bursts[index]
  return burst
    ? { words: 'Next burst', what: nameOf(burst.step), why, go: () => actions.goToBurst(index) }
    : null
}

/** What the big button offers when the burst has what was planned: what comes after it, or the way out. */
const useAfterBurst = (view: PenView, next: Next | null, isGuided: boolean): Next | null => {
  const navigate = useNavigate()
  const { horseId, gate } = view.pen
  return useMemo(() => {
    const why = isGuided ? null : burstDone(view, Date.now())
    if (why === null) return null
    return (
      next ?? {
        words: 'Done',
        what: 'All bursts are done',
        why,
        go: () => void navigate(backTo(horseId, gate)),
      }
    )
  }, [view, next, isGuided, navigate, horseId, gate])
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
const MOST_MARKS = 7

/** What happens by itself while the pen is open; it draws nothing. */
const ByItself = ({ program }: { program: Program }) => {
  useCalmWindow()
  useLeftWhenAway(program)
  return null
}

const RunningPen = ({ line, program, view, settings, personId, suits }: RunningProps) => {
  const [sheet, setSheet] = useState<'more' | 'danger' | 'recall' | 'how' | null>(null)
  const actions = usePenActions({ line, program, personId, settings })
  const more = useCallback(() => setSheet('more'), [])
  const recall = useCallback(() => setSheet('recall'), [])
  const how = useCallback(() => setSheet('how'), [])
  const danger = useCallback(() => {
    actions.interrupt()
    setSheet('danger')
  }, [actions])
  const closeSheet = (): void => setSheet(null)
  const isRunning = view.pen.running !== null
  const canSave = useCanSave()
  usePenKeys({
    actions,
    settings,
    enabled: sheet === null && canSave !== false,
    openFaults: more,
    recall,
  })
  useWakeLock()
  useDevices()
  useFollow(view, line, { program, suits })
  const repairs = useRepairs(view, program.school)
  const arrival = useArrivalGuide(view, line, program)
  const offers = useMemo(() => offersIn(line, program, view.pen), [line, program, view.pen])
  const asksFirst = !isRunning && !isAllowed(view.pen) && offers.permit.answer !== 'yes'
  const next = useMemo(
    () => (arrival ? null : nextOf(view, { line, program, actions })),
    [arrival, view, line, program, actions],
  )
  const afterBurst = useAfterBurst(view, next, arrival !== null)
  const unfinished =
    view.pen.unfinished && stepOf(program, view.pen.unfinished.step) ? view.pen.unfinished : null
  const isDesk = useIsDesk()
  const worn = useKitToSee(view)
  /** What stands in the place of the big button until it is answered. */
  const panel = unfinished ? (
    <UnfinishedPanel unfinished={unfinished} program={program} actions={actions} />
  ) : asksFirst ? (
    <PermitPanel view={view} line={line} offers={offers} actions={actions} personId={personId} />
  ) : worn.length > 0 ? (
    <KitPanel horseId={line.horse.id} worn={worn} />
  ) : null
  const advice = (
    <AdviceBar
      view={view}
      line={line}
      actions={actions}
      next={afterBurst ? null : next}
      program={program}
      arrival={arrival}
    />
  )
  return (
    <main
      data-theme={settings.theme === 'dark' ? 'dark' : 'pen'}
      className="flex h-dvh flex-col overflow-x-hidden overflow-y-auto bg-ground text-ink"
    >
      <PenHeader
        line={line}
        program={program}
        view={view}
        actions={actions}
        next={next}
        isDesk={isDesk}
        how={how}
        danger={danger}
      />
      {canSave === false && <StorageWarning />}
      <RestsToday line={line} />
      <SideBanner side={view.pen.aim.side} answers={view.answers} />
      <div
        className={`flex flex-[1_0_0px] flex-col gap-2 px-3 py-2 low:grid low:grid-cols-2 low:grid-rows-[1fr_auto] low:gap-x-4 low:gap-y-1 low:py-1 ${
          isDesk
            ? 'desk:grid desk:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] desk:grid-rows-[1fr_auto] desk:gap-x-8 desk:px-6'
            : ''
        }`}
      >
        <div className="row-span-2 flex flex-[1_0_0px] flex-col justify-center gap-2">
          <div className="min-h-0 flex-[1_1_0px] overflow-hidden">
            <Gauge view={view} pace={program.pace} vibrate={settings.vibrate} />
          </div>
          {isDesk ? (
            <QuickTells view={view} actions={actions} faults={repairs.faults} />
          ) : (
            <>
              <div className="flex shrink-0 items-end justify-between gap-2">
                <GivenMarks program={program} spacing={24} most={MOST_MARKS} />
                <div className="flex gap-2">
                  <Button className="min-h-16 text-xl" onClick={how}>
                    How
                  </Button>
                  <div className={isRunning ? 'invisible' : ''}>
                    <DoneLink horseId={line.horse.id} gate={view.pen.gate} />
                  </div>
                </div>
              </div>
              {!unfinished && advice}
            </>
          )}
        </div>
        <div className="flex flex-col justify-end gap-2 low:gap-1">
          {view.step.allRound && !panel && (
            <div className={isRunning ? 'invisible' : ''}>
              <StandRow view={view} line={line} actions={actions} />
            </div>
          )}
          {!panel && <CountedSteps view={view} pace={program.pace} actions={actions} />}
          {!panel && <MiddleRow view={view} pace={program.pace} actions={actions} />}
          {!unfinished && (
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
          )}
        </div>
        <div className="sticky bottom-0 bg-ground low:col-start-2 desk:col-start-2">
          {panel ?? (
            <MainButton
              kind={view.step.kind}
              isRunning={isRunning}
              settings={settings}
              press={actions.forward}
              next={afterBurst}
              calmIsOpen={view.pen.calmFor !== null}
              disabled={canSave === false}
            />
          )}
        </div>
      </div>
      {isDesk && (
        <footer className="grid grid-cols-[minmax(0,1fr)_minmax(0,30rem)] gap-8 border-t-2 border-ink bg-panel px-6 py-2">
          <div>
            <GivenMarks program={program} />
            <p className="text-quiet">{MARKS_KEY}</p>
          </div>
          {advice}
        </footer>
      )}
      <ByItself program={program} />
      {sheet === 'more' && (
        <MoreSheet
          view={view}
          actions={actions}
          offers={offers}
          above={permitIn(line, program, {
            ...view.pen,
            aim: { ...view.pen.aim, rung: view.pen.aim.rung + 1 },
          })}
          next={next}
          repairs={repairs}
          recall={recall}
          onClose={closeSheet}
        />
      )}
      {sheet === 'how' && (
        <Sheet open title={view.step.name} onClose={closeSheet}>
          <div className="flex flex-col gap-3 text-xl leading-snug">
            <StepCues horseId={line.horse.id} step={view.step.key} />
            <CardWords step={view.step} program={program} />
          </div>
        </Sheet>
      )}
      {sheet === 'recall' && <RecallSheet view={view} actions={actions} onClose={closeSheet} />}
      {sheet === 'danger' && <DangerSheet view={view} onClose={closeSheet} />}
    </main>
  )
}

interface OpenProps extends Omit<RunningProps, 'view'> {
  readonly wanted: Wanted
}

const OpenPen = ({ wanted, ...parts }: OpenProps) => {
  const { line, program, settings, personId } = parts
  useOpenPen(line, program, { wanted, personId })
  const view = useViewAfterPress(program, settings.pressLagSeconds)
  return view?.pen.horseId === line.horse.id ? <RunningPen {...parts} view={view} /> : <Loading />
}

/** One horse in the pen, readable at arm's length. */
export const PenPage = () => {
  const { horseId = '' } = useParams()
  const [search] = useSearchParams()
  const { state } = useLocation()
  const { data: me } = useQuery('me')
  const suits = useSuits(whereNow())
  const { data: line, error, refetch } = useQuery('line', { horseId })
  // Never the program of the school before: the pen would open on steps the horse no longer has.
  const { currentData: program } = useQuery(
    'program',
    { programId: line?.horse.programId ?? '' },
    { skip: !line },
  )
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
