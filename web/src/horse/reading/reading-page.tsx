import type { Line } from '@still-pine/contract'
import { count, type Kind, chancePercent } from '@still-pine/core/answer'
import {
  ownInWords,
  reliabilityInWords,
  reliabilityOf,
  sidesOver,
  type Moved,
  type NotDone,
  type SidesOver,
} from '@still-pine/core/evidence'
import { modelFor } from '@still-pine/core/judgement'
import { stepOf, type Program } from '@still-pine/core/program'
import { ago } from '@still-pine/core/readiness'
import { useCallback, useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Differences } from '../../circumstances/differences'
import { Chart } from '../../drawing/chart'
import { evidenceReader } from '../../threads/evidence'
import type { HorseReading } from '../../threads/evidence.worker'
import { useRead } from '../../threads/use-read'
import { Button } from '../../ui/button'
import { Fold } from '../../ui/fold'
import { Loading } from '../../shared/loading'
import { sideAfter, STATE_WORDS } from '../../shared/words'
import { HorseHeader } from '../../shared/horse-header'
import { useHorse } from '../../shared/use-horse'
import { viewsIn } from '../../shared/views-in'
import { ForecastPart } from '../forecast/forecast-part'
import { Corners } from './corners'
import { planeInWords, sidesInWords } from '../../shared/sentences'
import { planeOption, type Placed } from './plane-option'
import { outside, whereMostLie, WHOLE_PLANE } from './plane-range'

const MOST_SHOWN = 6

const Part = ({
  title,
  empty,
  children,
}: {
  title: string
  empty: string
  children: readonly ReactNode[]
}) => (
  <section className="border-t-4 border-ink pt-2">
    <h2 className="mb-1 text-xl">{title}</h2>
    {children.length === 0 ? (
      <p className="text-quiet">{empty}</p>
    ) : (
      <ul className="flex flex-col gap-1">
        {children.slice(0, MOST_SHOWN)}
        {children.length > MOST_SHOWN && (
          <li className="text-quiet">and {children.length - MOST_SHOWN} more</li>
        )}
      </ul>
    )}
  </section>
)

const StepLink = ({ horseId, step, children }: { horseId: string; step: string; children: ReactNode }) => (
  <Link className="underline" to={`/horses/${horseId}/steps/${step}`}>
    {children}
  </Link>
)

const stateChange = ({ from, to }: Moved): string =>
  from === to ? STATE_WORDS[to] : `${STATE_WORDS[from]} to ${STATE_WORDS[to]}`

const movedLine = (horseId: string) => (moved: Moved) => (
  <li key={`${moved.step}${moved.side}`}>
    <StepLink horseId={horseId} step={moved.step}>
      {moved.name}
      {sideAfter(moved.side)}
    </StepLink>
    : {stateChange(moved)}, {chancePercent(moved.chanceFrom)} to {chancePercent(moved.chanceTo)}
    {moved.days === 0 ? ', by rest' : ''}
  </li>
)

const stillLine = (horseId: string) => (moved: Moved) => (
  <li key={`${moved.step}${moved.side}`}>
    <StepLink horseId={horseId} step={moved.step}>
      {moved.name}
      {sideAfter(moved.side)}
    </StepLink>
    : worked on {count(moved.days, 'day')}, {chancePercent(moved.chanceFrom)} before and{' '}
    {chancePercent(moved.chanceTo)} now
  </li>
)

const promiseLine = (horseId: string, program: Program, day: string) => (missed: NotDone) => (
  <li key={`${missed.step}${missed.side}`}>
    <StepLink horseId={horseId} step={missed.step}>
      {stepOf(program, missed.step)?.name ?? missed.step}
      {sideAfter(missed.side)}
    </StepLink>
    : {missed.given} of {count(missed.promised, 'ask')} in {count(missed.sessions, 'session')}, last{' '}
    {ago(missed.lastDay, day)}
  </li>
)

const KINDS: readonly (readonly [Kind, string])[] = [
  ['ask', 'asking'],
  ['accept', 'getting used to things'],
  ['hold', 'standing, tying, carrying on'],
]

const Minutes = ({ minutes }: { minutes: HorseReading['minutes'] }) => (
  <table className="w-full max-w-xl border-collapse">
    <caption className="mb-1 text-left font-name text-xl font-bold">Minutes, by the kind of work</caption>
    <thead className="text-left text-quiet">
      <tr>
        <td />
        <th scope="col" className="text-right">
          last 7 days
        </th>
        <th scope="col" className="text-right">
          in all
        </th>
      </tr>
    </thead>
    <tbody>
      {KINDS.map(([kind, words]) => (
        <tr key={kind} className="border-t border-line">
          <th scope="row" className="py-1 text-left font-normal">
            {words}
          </th>
          <td className="text-right">{Math.round(minutes.week[kind])}</td>
          <td className="text-right">{Math.round(minutes.all[kind])}</td>
        </tr>
      ))}
    </tbody>
  </table>
)

const Sides = ({ horseId, sides }: { horseId: string; sides: SidesOver }) => (
  <section>
    <h2 className="mb-1 text-xl">Left and right over all steps</h2>
    <p>{sidesInWords(sides)}</p>
    {sides.behind.length > 0 && (
      <ul>
        {sides.behind.slice(0, MOST_SHOWN).map(({ step, name, gap }) => (
          <li key={step}>
            <StepLink horseId={horseId} step={step}>
              {name}
            </StepLink>
            : {gap > 0 ? 'right' : 'left'} {count(Math.round(Math.abs(gap) * 100), 'point')} behind
          </li>
        ))}
      </ul>
    )}
  </section>
)

const placedIn = (line: Line, program: Program): readonly Placed[] =>
  line.tracks.flatMap((track) =>
    track.view.temper === null ? [] : [{ ...track, name: stepOf(program, track.step)?.name ?? track.step }],
  )

const Plane = ({ line, program }: { line: Line; program: Program }) => {
  const placed = useMemo(() => placedIn(line, program), [line, program])
  const most = useMemo(() => whereMostLie(placed.map(({ view }) => view)), [placed])
  const [isWhole, setWhole] = useState(false)
  const shown = isWhole ? WHOLE_PLANE : most
  const option = useCallback(() => planeOption(placed, shown), [placed, shown])
  const left = outside(
    placed.map(({ view }) => view),
    most,
  )
  const sentence = planeInWords(placed.map(({ view }) => view.temper!))
  if (placed.length === 0) return <p className="text-lg">{sentence}</p>
  return (
    <div className="grid gap-6 desk:grid-cols-[minmax(0,26rem)_1fr]">
      <div>
        <Chart label="Each track by answer and calm" sentence={sentence} option={option} height={360} />
        {left > 0 && (
          <Button look="quiet" className="no-print px-0!" onClick={() => setWhole(!isWhole)}>
            {isWhole ? 'Show where most lie' : `${count(left, 'mark')} outside: show the whole`}
          </Button>
        )}
      </div>
      <Corners horseId={line.horse.id} placed={placed} />
    </div>
  )
}

interface HistoryProps {
  readonly line: Line
  readonly program: Program
}

/** What needs the whole history: read on a worker, told as soon as it is there. */
const FromHistory = ({ line, program }: HistoryProps) => {
  const horseId = line.horse.id
  const { data, error, refetch } = useQuery('evidence', { horseId })
  const history = useMemo(() => (data ? { program, ...data } : null), [data, program])
  const readHorse = useMemo(() => history && (() => evidenceReader().horse(history)), [history])
  const { value: reading, failed } = useRead(readHorse)
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  if (failed)
    return <p role="alert">This history could not be read here. Open the page again to try once more.</p>
  if (!reading) return <p role="status">Reading {count(data.answers.length, 'answer')} …</p>
  return (
    <>
      <div className="grid gap-6 desk:grid-cols-3">
        <Part title="Moved in the last 7 days" empty="Nothing by 5 points or more.">
          {reading.moved.map(movedLine(horseId))}
        </Part>
        <Part title="Stands still" empty="Nothing that was worked on two days or more.">
          {reading.still.map(stillLine(horseId))}
        </Part>
        <Part title="Promised and not done" empty="All that was set out with in the last 7 days was done.">
          {reading.notDone.map(promiseLine(horseId, program, line.day))}
        </Part>
      </div>
      <div className="grid gap-6 desk:grid-cols-2">
        <Minutes minutes={reading.minutes} />
        <section>
          <h2 className="mb-1 text-xl">What it is like, and how well we judge it</h2>
          <p>{ownInWords(modelFor(program), reading)}</p>
          <p>{reliabilityInWords(reliabilityOf(reading.tallies))}</p>
        </section>
      </div>
      <Fold title="When it was otherwise">
        <Differences groups={reading.circumstances} />
      </Fold>
    </>
  )
}

/** A horse read as a whole: where its answers stand, what moved, what stands still, what was left out. */
const ReadingPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const sides = useMemo(() => (line && program ? sidesOver(program, viewsIn(line)) : null), [line, program])
  if (!line || !program || !sides) return <Loading error={error} retry={retry} />
  return (
    <main className="flex flex-col gap-6 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <Plane line={line} program={program} />
      <Sides horseId={horseId} sides={sides} />
      <ForecastPart key={`${horseId} forecast`} line={line} program={program} />
      <FromHistory key={horseId} line={line} program={program} />
    </main>
  )
}

export default ReadingPage
