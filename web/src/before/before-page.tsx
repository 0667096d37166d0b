import type { Line, TodayRow } from '@still-pine/contract'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { Link } from 'react-router'
import { useTodayQuery } from '../app/api'
import { NoticeList } from '../horse/notice-list'
import { useHorse } from '../horse/use-horse'
import { PlacePicker } from '../pen/place-picker'
import { Button } from '../ui/button'
import { Loading } from '../ui/loading'
import { longDay } from '../ui/words'

type Burst = Line['plan']['bursts'][number]

const PURPOSE = { check: 'Check', mend: 'Mend', work: 'Work', begin: 'Begin', close: 'End on' } as const

/** "right 4, goes off; then left 2, the whole lap": each side with its own rung. */
const askWords = (burst: Burst, program: Program): string => {
  const step = stepOf(program, burst.step)!
  const rungs = new Set(burst.sides.map(({ rung }) => rung))
  const at = (rung: number): string => `“${rungName(step, rung)}”`
  const parts = burst.sides.map(({ side, asks, rung }) =>
    [
      side === 'none' ? `${asks} ${asks === 1 ? 'ask' : 'asks'}` : `${side} ${asks}`,
      rungs.size > 1 ? at(rung) : '',
    ]
      .filter(Boolean)
      .join(' '),
  )
  return `${parts.join(', then ')}${rungs.size === 1 ? `, ${at(burst.sides[0]!.rung)}` : ''}`
}

const BurstRow = ({ burst, number, program }: { burst: Burst; number: number; program: Program }) => (
  <li className="grid grid-cols-[2rem_1fr] gap-x-3 border-t border-line py-2 break-inside-avoid">
    <span className="font-name text-xl font-extrabold text-quiet">{number}</span>
    <div>
      <p className="flex flex-wrap items-baseline gap-x-3 text-lg">
        <b className="font-name">{burst.name}</b>
        <span>{askWords(burst, program)}</span>
        <span className="text-quiet">
          {burst.again ? 'back to it' : PURPOSE[burst.purpose].toLowerCase()}
        </span>
      </p>
      {!burst.again && <p className="text-quiet">{burst.reasons.join('. ')}.</p>}
      {burst.lightAsk && !burst.again && (
        <p className="text-quiet">
          Then one light ask: {burst.lightAsk.name.toLowerCase()}, {burst.lightAsk.rungName}, so that the feet
          still listen.
        </p>
      )}
    </div>
  </li>
)

const cautionsOf = (plan: Line['plan']): readonly string[] => [
  ...new Set(plan.bursts.flatMap(({ cautions }) => cautions)),
]

const ClosedSteps = ({ line }: { line: Line }) => (
  <details className="no-print">
    <summary className="min-h-11 font-bold">{line.plan.closed.length} steps are not open yet: why</summary>
    <ul className="columns-1 gap-8 desk:columns-2">
      {line.plan.closed.map(({ step, name, words }) => (
        <li key={step} className="mb-1 break-inside-avoid">
          <b>{name}</b> {words}
        </li>
      ))}
    </ul>
  </details>
)

const PlanSheet = ({ line, program }: { line: Line; program: Program }) => (
  <article className="flex flex-col gap-3">
    <div className="flex flex-wrap items-baseline justify-between gap-3">
      <h1 className="text-3xl">
        <Link to={`/horses/${line.horse.id}`} className="underline decoration-2 underline-offset-4">
          {line.horse.name}
        </Link>
      </h1>
      <div className="no-print flex gap-2">
        <Button onClick={() => window.print()}>Print</Button>
        {!line.plan.rests && (
          <Link
            to={`/pen/${line.horse.id}`}
            className="inline-flex min-h-11 items-center rounded-md bg-act px-5 font-name text-lg font-bold text-on-act"
          >
            Take {line.horse.name} to the pen
          </Link>
        )}
      </div>
    </div>
    <p className="text-xl">{line.plan.reason}</p>
    <NoticeList notices={line.notices.filter(({ about }) => about !== 'veterinary-hold')} />
    {!line.plan.rests && (
      <div className="grid gap-x-8 gap-y-3 desk:grid-cols-[1fr_17rem]">
        <ol>
          {line.plan.bursts.map((burst, i) => (
            <BurstRow key={`${burst.step} ${i}`} burst={burst} number={i + 1} program={program} />
          ))}
        </ol>
        <aside className="flex flex-col gap-4">
          <div className="no-print">
            <PlacePicker label="Where today" />
          </div>
          <section className="border-t-4 border-ink bg-panel p-3">
            <h2 className="mb-1 text-lg">Carry out</h2>
            <ul>
              {line.plan.kit.map((item) => (
                <li key={item}>{item}</li>
              ))}
            </ul>
          </section>
          <section className="border-t-4 border-stop bg-panel p-3">
            <h2 className="mb-1 text-lg text-stop">Take care</h2>
            <ul className="flex flex-col gap-1">
              {cautionsOf(line.plan).map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          </section>
        </aside>
      </div>
    )}
    <ClosedSteps line={line} />
  </article>
)

const Order = ({ rows, chosen }: { rows: readonly TodayRow[]; chosen: string }) => (
  <section className="no-print" aria-label="Running order">
    <h2 className="mb-2 text-lg">Today’s order</h2>
    <ol className="flex flex-col gap-2">
      {rows.map(({ horse, plan, answersToday }, i) => (
        <li key={horse.id}>
          <Link
            to={`/before/${horse.id}`}
            aria-current={horse.id === chosen ? 'true' : undefined}
            className={`block border-l-4 px-3 py-2 ${horse.id === chosen ? 'border-ink bg-panel' : 'border-line'}`}
          >
            <b className="font-name">
              {i + 1}. {horse.name}
            </b>
            <span className="block text-quiet">
              {plan.reason}
              {answersToday > 0 && ` ${answersToday} answers so far.`}
            </span>
          </Link>
        </li>
      ))}
    </ol>
  </section>
)

/** What each horse does today, in which order, with which kit, and why. */
const BeforePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: today } = useTodayQuery()
  if (!line || !program || !today) return <Loading error={error} retry={retry} />
  return (
    <main className="grid gap-6 px-4 py-3 desk:grid-cols-[15rem_1fr] desk:px-5">
      <div className="phone:hidden">
        <p className="mb-3 hidden font-bold print:block">{longDay(today.day)}</p>
        <Order rows={today.rows} chosen={horseId} />
      </div>
      <PlanSheet line={line} program={program} />
    </main>
  )
}

export default BeforePage
