import type { Line } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { ageBounds } from '@still-pine/core/facts'
import { SPEEDS, gaitPresses } from '@still-pine/core/load'
import type { Program } from '@still-pine/core/program'
import { ride, rideBook, ridingWarnings } from '@still-pine/core/ride'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { useEntries } from '../../shared/use-entries'
import { useHorse } from '../../shared/use-horse'
import { Button } from '../../ui/button'
import { TextField } from '../../ui/inputs'
import { Sheet } from '../../ui/sheet'
import { clock, GAIT_WORDS, Half, useGaitKeys } from '../line/gait-buttons'
import { useWakeLock, useWallClock } from '../use-clock'
import { rideEntry, rowsSoFar, secondsUp, useRideRun, type Ended, type RideRun } from './ride-run'
import { StartRide } from './start-ride'

/** Of an age that is not known, nobody sits up. */
const UNKNOWN_MONTHS = 24

const WENT = [
  ['well', 'Well'],
  ['so-so', 'So-so'],
  ['badly', 'Badly'],
] as const

type Next = ReturnType<typeof rideBook>['next']

interface RidingProps {
  readonly line: Line
  readonly run: RideRun
  readonly next: Next
  readonly actions: Pick<ReturnType<typeof useRideRun>, 'press' | 'undo'>
  readonly finish: (ended: Ended) => void
}

/** How much of what this ride may be is ridden. */
const Used = ({ name, minutes, most }: { name: string; minutes: number; most: number }) => (
  <div className={minutes > most ? 'font-bold text-stop' : ''}>
    <span className="block text-lg">{name}</span>
    <span className="block font-name text-3xl font-extrabold tabular-nums">{clock(minutes)}</span>
    <span className="text-lg tabular-nums">of {clock(Math.floor(2 * most) / 2)}</span>
  </div>
)

const Riding = ({ line, run, next, actions, finish }: RidingProps) => {
  const [endedAt, setEndedAt] = useState<number | null>(null)
  const [ended, setEnded] = useState('')
  const now = useWallClock()
  useWakeLock()
  useGaitKeys(actions.press, endedAt === null)
  const at = endedAt ?? now
  const { born, estimate } = line.horse
  const ridden = ride({
    rideNumber: next.number,
    ageLowMonths: ageBounds({ born, age: estimate ?? null }, line.day)?.low ?? UNKNOWN_MONTHS,
    groundMinutes: run.groundMinutes,
    helper: run.helper !== '',
    rows: rowsSoFar(run, at),
    speeds: SPEEDS,
  })
  const { gait, rein } = gaitPresses(
    run.rein,
    [{ at: 0, key: 'forward' }, ...run.presses],
    secondsUp(run, at),
  )
  const said = ridingWarnings(ridden, next)
  return (
    <main
      data-theme="pen"
      className="flex min-h-dvh flex-col gap-2 overflow-x-hidden bg-ground px-3 py-2 text-ink"
    >
      <header className="flex items-center justify-between gap-2 border-b-2 border-ink pb-1">
        <h1 className="min-w-0 truncate text-2xl">
          {line.horse.name}, ride {next.number}
        </h1>
        <span className="flex gap-2">
          <Button className="min-h-16" disabled={run.presses.length === 0} onClick={actions.undo}>
            Undo
          </Button>
          <Button className="min-h-16" onClick={() => setEndedAt(Date.now())}>
            Down
          </Button>
        </span>
      </header>
      <p className="text-center font-name text-4xl font-extrabold" role="status">
        {GAIT_WORDS[gait]}, {rein}
      </p>
      <div className="grid grid-cols-3 gap-3">
        <Used name="In all" minutes={ridden.totalMinutes} most={next.totalMinutes} />
        <Used name="Trot" minutes={ridden.trotMinutes} most={next.trotMinutes} />
        <Used name="Canter" minutes={ridden.canterMinutes} most={next.canterMinutes} />
      </div>
      <div aria-live="assertive" className="flex min-h-14 flex-col justify-center gap-1">
        {said.slice(0, 2).map((words) => (
          <p
            key={words}
            className="border-l-8 border-stop bg-panel px-3 py-1 text-xl leading-tight font-bold"
          >
            {words}
          </p>
        ))}
      </div>
      <div className="mt-auto flex flex-col gap-2">
        <Button className="min-h-16" onClick={() => actions.press('side')}>
          Change the rein
        </Button>
        <div className="grid grid-cols-2 gap-3">
          <Half words="Less" under="a gait less" press={() => actions.press('back')} />
          <Half words="More" under="a gait more" press={() => actions.press('forward')} />
        </div>
      </div>
      <Sheet open={endedAt !== null} title="How did it go?" onClose={() => setEndedAt(null)}>
        <div className="flex flex-col gap-3">
          <TextField
            label="What ended it"
            hint="its minutes, a first good one, a sign that it tires"
            value={ended}
            onChange={({ target }) => setEnded(target.value)}
          />
          <div className="grid grid-cols-3 gap-2">
            {WENT.map(([went, words]) => (
              <Button
                key={went}
                className="min-h-20 text-2xl"
                onClick={() => finish({ endedAt: endedAt ?? Date.now(), went, ended: ended.trim() })}
              >
                {words}
              </Button>
            ))}
          </div>
          <p className="text-quiet">Five minutes walked in hand are no part of the ride.</p>
        </div>
      </Sheet>
    </main>
  )
}

interface OpenProps {
  readonly line: Line
  readonly program: Program
  readonly personId: string
}

const OpenRide = ({ line, program, personId }: OpenProps) => {
  const { horse, day } = line
  const { run, begin, end, ...actions } = useRideRun(personId, horse.id)
  const { entries, put } = useEntries(horse.id)
  const navigate = useNavigate()
  if (entries === undefined) return <Loading />
  const { next } = rideBook(
    entriesOf(entries, 'ride').map((one) => ({
      ...one,
      beganAt: one.beganAt === null ? null : Date.parse(one.beganAt),
    })),
    { on: day, ageOn: (on) => ageBounds({ born: horse.born, age: horse.estimate ?? null }, on)?.low ?? null },
  )
  const finish = async (ended: Ended): Promise<void> => {
    if (!run || !(await put(rideEntry(run, ended)))) return
    end()
    void navigate(`/horses/${horse.id}/rides`)
  }
  if (run)
    return (
      <Riding line={line} run={run} next={next} actions={actions} finish={(ended) => void finish(ended)} />
    )
  return (
    <main className="mx-auto flex w-full max-w-xl flex-col gap-4 px-4 py-4">
      <div className="flex items-baseline justify-between gap-3">
        <h1 className="text-3xl">
          {horse.name}, ride {next.number}
        </h1>
        <Link className="inline-flex min-h-11 items-center underline" to={`/horses/${horse.id}/rides`}>
          Ride book
        </Link>
      </div>
      <p className="text-lg">
        Press when somebody is up. Two buttons tell the whole of it: a gait more, a gait less. The phone is in
        the helper’s hand.
      </p>
      <StartRide line={line} program={program} begin={(start) => begin(start, day)} />
    </main>
  )
}

/** A ride as it goes: gaits and reins from two buttons, and what this ride may still be. */
const RidingPage = () => {
  const { line, program, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  if (!line || !program || !me) return <Loading error={error} retry={retry} />
  return <OpenRide line={line} program={program} personId={me.person.id} />
}

export default RidingPage
