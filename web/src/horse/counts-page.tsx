import { count } from '@still-pine/core/answer'
import { countersOf, HANDLING_MINUTES, timesInWords, type Counters } from '@still-pine/core/counters'
import { stepOf, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { Loading } from '../shared/loading'
import { shortDay, sideAfter } from '../shared/words'
import { HorseHeader } from '../shared/horse-header'
import { useHorse } from '../shared/use-horse'

const Figure = ({ figure, words }: { figure: number | string; words: string }) => (
  <div className="border-t-2 border-ink py-2">
    <dd className="font-name text-4xl font-extrabold">{figure}</dd>
    <dt className="text-quiet">{words}</dt>
  </div>
)

const Days = ({ counters }: { counters: Counters }) => (
  <section>
    <h2 className="mb-2 text-2xl">Days, each of its kind</h2>
    <dl className="grid grid-cols-2 gap-x-6 desk:grid-cols-4 [&>div]:flex [&>div]:flex-col-reverse [&>div]:justify-end">
      <Figure figure={counters.calendarDays} words="calendar days since it came" />
      <Figure figure={counters.workDays} words="work days: load and handling together" />
      <Figure
        figure={counters.loadDays}
        words={`load days: lunge, lines, saddle, rider, or over ${HANDLING_MINUTES} minutes of handling`}
      />
      <Figure figure={counters.handlingDays} words="handling days" />
      <Figure figure={counters.loadDaysThisWeek} words="load days in the last 7 calendar days" />
      <Figure figure={counters.sessions} words="sessions" />
      <Figure figure={counters.daysOff ?? '–'} words="days off since the last work day" />
      <Figure figure={counters.longestGap} words="days off in a row, the most there were" />
    </dl>
  </section>
)

const Times = ({ counters, day }: { counters: Counters; day: string }) => (
  <section>
    <h2 className="mb-2 text-2xl">Times</h2>
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      <dt className="font-bold">Tied</dt>
      <dd>{timesInWords(counters.ties, day)}</dd>
      <dt className="font-bold">Ridden</dt>
      <dd>
        {timesInWords(counters.rides, day)}
        {counters.rides.times > 0 ? ' (sessions with somebody up)' : ''}
      </dd>
      {counters.things.map(({ thing, ...times }) => (
        <div key={thing} className="contents">
          <dt className="font-bold">{thing}</dt>
          <dd>{timesInWords(times, day)}</dd>
        </div>
      ))}
    </dl>
  </section>
)

const Tracks = ({
  counters,
  program,
  horseId,
}: {
  counters: Counters
  program: Program
  horseId: string
}) => {
  const order = new Map(program.steps.map(({ key }, i) => [key, i]))
  const tracks = counters.tracks
    .filter(({ step }) => order.has(step))
    .sort((a, b) => order.get(a.step)! - order.get(b.step)! || a.side.localeCompare(b.side))
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <caption className="mb-2 text-left font-name text-2xl font-bold">
          {count(counters.answers, 'answer')}, by step and side
        </caption>
        <thead className="text-left text-quiet">
          <tr>
            <th scope="col">Step</th>
            <th scope="col" className="text-right">
              Answers
            </th>
            <th scope="col" className="px-4 text-right">
              Work days
            </th>
            <th scope="col">Last asked</th>
            <th scope="col" className="text-right">
              Longest gap, days off
            </th>
          </tr>
        </thead>
        <tbody>
          {tracks.map((track) => (
            <tr key={`${track.step}${track.side}`} className="border-t border-line">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                <Link className="underline" to={`/horses/${horseId}/steps/${track.step}`}>
                  {stepOf(program, track.step)!.name}
                  {sideAfter(track.side)}
                </Link>
              </th>
              <td className="text-right">{track.times}</td>
              <td className="px-4 text-right">{track.days}</td>
              <td>{track.lastDay && shortDay(track.lastDay)}</td>
              <td className="text-right">{track.longestGap}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

/** Every number people keep in the head and mix up, each with its kind. */
const CountsPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: worked, error: workedError } = useQuery('worked', { horseId })
  const counters = useMemo(
    () =>
      line && program && worked
        ? countersOf(program, worked.rows, { arrived: line.horse.arrived, on: line.day })
        : null,
    [line, program, worked],
  )
  if (!line || !program || !counters) return <Loading error={error ?? workedError} retry={retry} />
  return (
    <main className="flex flex-col gap-6 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <Days counters={counters} />
      <div className="grid gap-6 desk:grid-cols-[1fr_2fr]">
        <Times counters={counters} day={line.day} />
        {counters.answers > 0 ? (
          <Tracks counters={counters} program={program} horseId={horseId} />
        ) : (
          <p className="text-lg">
            Nothing was asked of {line.horse.name} yet.{' '}
            <Link className="underline" to={`/pen/${horseId}`}>
              Open the pen
            </Link>{' '}
            and the counting begins.
          </p>
        )}
      </div>
    </main>
  )
}

export default CountsPage
