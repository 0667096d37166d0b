import type { YardReading } from '@still-pine/contract'
import { count, daysBetween, percent } from '@still-pine/core/answer'
import { wilson } from '@still-pine/core/evidence'
import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { shortDay, sideAfter, STATE_WORDS, VERDICTS } from '../../shared/words'
import { EmptyYard } from '../empty-yard'
import { YardHeader } from '../yard-header'

type Row = YardReading['horses'][number]
type Gate = NonNullable<Row['nearest']>
type Gap = YardReading['gaps'][number]

const VERDICT_LOOK = {
  go: 'text-solid',
  'check-first': 'text-ink',
  'not-yet': 'text-ink',
  stop: 'text-stop',
} as const

/** What holds it most is named; the page of the gate has the rest. */
const MOST_NAMED = 3

const sinceWords = ({ state, since, daysWorked }: Gate['heldBy'][number], day: string): string => {
  if (since === null) return state === 'new' ? 'not begun' : STATE_WORDS[state]
  const days = daysBetween(since, day)
  const how = state === 'rusty' ? 'Rusty, last worked' : `${STATE_WORDS[state]} since`
  return `${how} ${shortDay(since)} (${count(days, 'day')}, ${count(daysWorked, 'work day')})`
}

const HeldBy = ({ row, gate, day }: { row: Row; gate: Gate; day: string }) => {
  if (gate.heldBy.length === 0) return <>{gate.sentence}</>
  return (
    <ul>
      {gate.verdict === 'stop' && <li className="text-stop">{gate.sentence}</li>}
      {gate.heldBy.slice(0, MOST_NAMED).map((held) => (
        <li key={`${held.step}${held.side}`}>
          <Link className="underline" to={`/horses/${row.horseId}/steps/${held.step}`}>
            {held.name}
            {sideAfter(held.side)}
          </Link>
          : {sinceWords(held, day)}
        </li>
      ))}
      {gate.heldBy.length > MOST_NAMED && (
        <li className="text-quiet">and {count(gate.heldBy.length - MOST_NAMED, 'other track')}</li>
      )}
    </ul>
  )
}

const HorseRow = ({ row, day }: { row: Row; day: string }) => {
  const gate = row.nearest
  return (
    <tr className="border-t border-line align-top phone:flex phone:flex-col phone:py-2">
      <th scope="row" className="py-2 pr-4 text-left font-name text-lg">
        <Link className="underline" to={`/horses/${row.horseId}/reading`}>
          {row.horseName}
        </Link>
      </th>
      {gate ? (
        <>
          <td className="py-2 pr-4 phone:py-0">
            <Link className="underline" to={`/horses/${row.horseId}/gates/${gate.gate}`}>
              {gate.name}
            </Link>
            : <b className={VERDICT_LOOK[gate.verdict]}>{VERDICTS[gate.verdict]}</b>
            <span className="block text-quiet">
              {gate.holding} of {count(gate.tracks, 'skill')} hold
            </span>
          </td>
          <td className="py-2 phone:py-0">
            <HeldBy row={row} gate={gate} day={day} />
          </td>
        </>
      ) : (
        <td className="py-2" colSpan={2}>
          All gates are behind it.
        </td>
      )}
    </tr>
  )
}

const HandlerLine = ({ handler }: { handler: Gap['handlers'][number] }) => {
  const spread = wilson(handler.light, handler.asks)
  return (
    <li>
      <b>{handler.value}</b>: {handler.light} of {count(handler.asks, 'first ask')} light (
      {percent(spread.low)} to {percent(spread.high)}); {percent(handler.said / handler.asks)} was expected
    </li>
  )
}

const GapItem = ({ gap }: { gap: Gap }) => (
  <li className="break-inside-avoid border-t-2 border-ink py-2">
    <p className="text-lg">
      <b className="font-name">{gap.name}</b>: {gap.weak.length} of {count(gap.horses, 'horse')} worked long
      enough are not there (as far as {gap.horses} can tell, {percent(gap.spread.low)} to{' '}
      {percent(gap.spread.high)})
    </p>
    <p>{gap.weak.join(', ')}.</p>
    <ul className="text-quiet">
      {gap.handlers.map((handler) => (
        <HandlerLine key={handler.value} handler={handler} />
      ))}
    </ul>
  </li>
)

const MOST_GAPS = 8

/** Every horse's nearest gate, what holds it and since when; and what several horses are weak on. */
const YardReadingPage = () => {
  const { data, error, refetch } = useQuery('reading')
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  if (data.horses.length === 0) return <EmptyYard />
  return (
    <main className="flex flex-col gap-6 px-4 py-3 desk:px-5">
      <YardHeader title="How the yard stands" />
      <Link className="no-print inline-flex min-h-11 items-center self-start underline" to="/yard/judging">
        How well do we judge?
      </Link>
      <table className="w-full border-collapse">
        <caption className="mb-2 text-left text-lg">
          The nearest gate of each horse, what holds it, and since when.
        </caption>
        <thead className="text-left text-quiet phone:sr-only">
          <tr>
            <th scope="col">Horse</th>
            <th scope="col">Nearest gate</th>
            <th scope="col">Held by</th>
          </tr>
        </thead>
        <tbody>
          {data.horses.map((row) => (
            <HorseRow key={row.horseId} row={row} day={data.day} />
          ))}
        </tbody>
      </table>
      <section>
        <h2 className="text-2xl">What several horses are weak on</h2>
        <p className="mb-2">
          {data.gaps.length === 0
            ? 'No step is weak on two horses that were worked on it long enough to be Solid.'
            : 'Worked long enough to be Solid, and not: that may be the yard and not the horse. Few horses make wide spreads, and who asked the harder horse looks worse.'}
        </p>
        <ul className="grid gap-x-8 desk:grid-cols-2">
          {data.gaps.slice(0, MOST_GAPS).map((gap) => (
            <GapItem key={gap.step} gap={gap} />
          ))}
        </ul>
      </section>
    </main>
  )
}

export default YardReadingPage
