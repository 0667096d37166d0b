import type { Line } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { ageBounds } from '@still-pine/core/facts'
import { minutesBeforeTired } from '@still-pine/core/going'
import { lineWarnings, lineWork, reinToEven, type LineWorked } from '@still-pine/core/load'
import type { Program } from '@still-pine/core/program'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { Button } from '../../ui/button'
import { Sheet } from '../../ui/sheet'
import { toast } from '../../ui/toast'
import { useWakeLock, useWallClock } from '../use-clock'
import { clock, GAIT_WORDS, Half, useGaitKeys } from './gait-buttons'
import { GoingButtons } from './going-buttons'
import { entryOf, secondsInGait, secondsInto, type LineRun } from './run'
import { StartForm } from './start-form'
import { useLineRun, type LineRunActions } from './use-line-run'

const TIRED = [
  ['forges', 'Forges'],
  ['trips', 'Trips'],
  ['drops-back', 'Drops its back'],
  ['gone-dull', 'Gone dull'],
  ['new-flinch', 'A new flinch'],
] as const

const tiredWords = (run: LineRun): string | null => {
  if (run.signs.some(({ sign }) => sign === 'new-flinch'))
    return 'A flinch that was not there before: end, and look where it comes from.'
  if (run.signs.length >= 2) return 'Two signs that it is tired: end, with one easy thing.'
  return run.signs.length === 1 ? 'It begins to tire: go on at walk.' : null
}

const freshWords = (fresh: number | null, minute: number): string | null =>
  fresh !== null && minute >= fresh
    ? `It tired a little later than this last time: end at about ${Math.floor(fresh)} minutes.`
    : null

/** How far each rein is, against what is enough at its age. */
const ReinBar = ({ rein, work }: { rein: 'left' | 'right'; work: LineWorked }) => {
  const minutes = rein === 'left' ? work.leftMinutes : work.rightMinutes
  const isNow = work.rein === rein
  return (
    <div className={isNow ? 'font-bold' : 'text-quiet'}>
      <div className="flex justify-between text-xl">
        <span>{rein === 'left' ? 'Left' : 'Right'}</span>
        <span className="tabular-nums">
          {clock(minutes)} of {work.capReinMinutes}:00
        </span>
      </div>
      <div
        role="progressbar"
        aria-label={`Minutes to the ${rein}`}
        aria-valuenow={Math.round(minutes)}
        aria-valuemax={work.capReinMinutes}
        className="h-5 w-full border-2 border-ink"
      >
        <div
          className={`h-full ${minutes > work.capReinMinutes ? 'bg-stop' : 'bg-ink'}`}
          style={{ width: `${Math.min(100, (100 * minutes) / Math.max(work.capReinMinutes, 1e-9))}%` }}
        />
      </div>
    </div>
  )
}

interface RunningProps {
  readonly line: Line
  readonly run: LineRun
  readonly actions: LineRunActions
  readonly ageLowMonths: number | null
  /** What it may go before it tires, by its last session. */
  readonly fresh: number | null
  readonly finish: () => void
}

const RunningLine = ({ line, run, actions, ageLowMonths, fresh, finish }: RunningProps) => {
  const [isTelling, setTelling] = useState(false)
  const now = useWallClock()
  useWakeLock()
  useGaitKeys(actions.press, !isTelling)
  const work = lineWork({ ...run, endAt: secondsInto(run, now) }, ageLowMonths)
  const unbroken = secondsInGait(run, now)
  const said = [
    tiredWords(run),
    freshWords(fresh, secondsInto(run, now) / 60),
    ...lineWarnings(work, unbroken),
  ].filter((one) => one !== null)
  const even = reinToEven(work)
  const isStretched = run.stretchSeconds[work.rein] !== null
  return (
    <main
      data-theme="pen"
      className="flex min-h-dvh flex-col gap-2 overflow-x-hidden bg-ground px-3 py-2 text-ink"
    >
      <header className="flex items-center justify-between gap-2 border-b-2 border-ink pb-1">
        <h1 className="min-w-0 truncate text-2xl">{line.horse.name}</h1>
        <span className="flex gap-2">
          <Button className="min-h-16" onClick={() => setTelling(true)}>
            Tell
          </Button>
          <Button className="min-h-16" onClick={finish}>
            End
          </Button>
        </span>
      </header>
      <p className="text-center font-name text-4xl font-extrabold" role="status">
        {GAIT_WORDS[work.gait]}, {work.rein}
        <span className="block text-2xl tabular-nums">{clock(unbroken / 60)}</span>
      </p>
      <div className="grid grid-cols-2 gap-4">
        <ReinBar rein="left" work={work} />
        <ReinBar rein="right" work={work} />
      </div>
      <p className="text-center text-lg text-quiet">
        {Math.round(work.metres / 10) * 10} m · {work.laps.toFixed(1)} laps · canter{' '}
        {clock(work.canterMinutes)} of {clock(work.capCanterMinutes)}
      </p>
      <div aria-live="assertive" className="flex min-h-14 flex-col justify-center gap-1">
        {said.slice(0, 2).map((words) => (
          <p
            key={words}
            className="border-l-8 border-stop bg-panel px-3 py-1 text-xl leading-tight font-bold"
          >
            {words}
          </p>
        ))}
        {said.length === 0 && even && <p className="text-center text-lg">{even}</p>}
      </div>
      <div className="mt-auto flex flex-col gap-2">
        <GoingButtons rein={work.rein} last={run.going.at(-1)} mark={actions.mark} />
        <div className="grid grid-cols-2 gap-3">
          <Half
            words="Down"
            under={work.gait === 'stand' ? 'standing two seconds: the other rein' : 'a gait less'}
            press={() => actions.press('back')}
          />
          <Half words="Up" under="a gait more" press={() => actions.press('forward')} />
        </div>
      </div>
      <Sheet open={isTelling} title="Tell" onClose={() => setTelling(false)}>
        <div className="grid grid-cols-2 gap-2">
          <Button className="min-h-16" disabled={run.presses.length === 0} onClick={actions.undo}>
            Undo the last press
          </Button>
          <Button className="min-h-16" onClick={() => actions.press('side')}>
            Change the rein in motion
          </Button>
          <Button
            className="min-h-16"
            aria-pressed={isStretched}
            onClick={() => actions.stretched(work.rein, secondsOnRein(work))}
          >
            First stretch, {work.rein}
          </Button>
        </div>
        <h3 className="mt-4 mb-2">It tires</h3>
        <div className="grid grid-cols-2 gap-2">
          {TIRED.map(([sign, words]) => (
            <Button key={sign} className="min-h-16" onClick={() => actions.tired(sign)}>
              {words}
            </Button>
          ))}
        </div>
      </Sheet>
    </main>
  )
}

const secondsOnRein = ({ rein, leftMinutes, rightMinutes }: LineWorked): number =>
  Math.round(60 * (rein === 'left' ? leftMinutes : rightMinutes))

interface OpenProps {
  readonly line: Line
  readonly program: Program
  readonly personId: string
}

const OpenLine = ({ line, program, personId }: OpenProps) => {
  const { horse, day } = line
  const [run, actions] = useLineRun(personId, horse.id)
  const { entries = [], put } = useEntries(horse.id)
  const navigate = useNavigate()
  const age = ageBounds({ born: horse.born, age: horse.estimate ?? null }, day)
  const ageLowMonths = age?.low ?? null
  const sessions = entriesOf(entries, 'line-work')
  const past = sessions.slice(-5).map((work) => lineWork(work, ageLowMonths))
  const fresh = minutesBeforeTired(sessions, day)
  const gone = (rein: 'leftMetres' | 'rightMetres'): number => past.reduce((all, one) => all + one[rein], 0)
  const finish = async (): Promise<void> => {
    if (!run) return
    if (run.presses.length === 0) {
      actions.end()
      toast('Nothing was pressed, so nothing is kept.')
      return
    }
    if (!(await put(entryOf(run, Date.now())))) return
    actions.end()
    void navigate(`/horses/${horse.id}/going`)
  }
  if (run)
    return (
      <RunningLine
        line={line}
        run={run}
        actions={actions}
        ageLowMonths={ageLowMonths}
        fresh={fresh}
        finish={() => void finish()}
      />
    )
  return (
    <main className="mx-auto flex w-full max-w-xl flex-col gap-4 px-4 py-4">
      <div className="flex items-baseline justify-between gap-3">
        <h1 className="text-3xl">{horse.name} on the line</h1>
        <Link className="inline-flex min-h-11 items-center underline" to={`/pen/${horse.id}`}>
          To the pen
        </Link>
      </div>
      <p className="text-lg">
        Two buttons tell the whole of it: up a gait, down a gait. When it has stood for two seconds, down
        changes the rein. The phone buzzes once for up, twice for down.
      </p>
      {fresh !== null && (
        <p className="border-l-8 border-ink bg-panel px-3 py-2 text-lg">
          It tired last time: {Math.floor(fresh)} minutes are enough today.
        </p>
      )}
      <StartForm
        line={line}
        program={program}
        firstRein={gone('leftMetres') > gone('rightMetres') ? 'right' : 'left'}
        begin={(start) => actions.begin(start, day)}
      />
    </main>
  )
}

/** A horse on the lunge or on long lines: gaits and reins from two buttons, and what it comes to for its legs. */
const LineWorkPage = () => {
  const { line, program, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  if (!line || !program || !me) return <Loading error={error} retry={retry} />
  return <OpenLine line={line} program={program} personId={me.person.id} />
}

export default LineWorkPage
