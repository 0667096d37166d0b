import type { Line } from '@still-pine/contract'
import { NO_WISHES, type SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { useState } from 'react'
import { Link } from 'react-router'
import { NoticeList } from '../shared/notice-list'
import { ShutList } from '../shared/shut-list'
import { useHorse } from '../shared/use-horse'
import { whereNow } from '../shared/where'
import { Button } from '../ui/button'
import { Loading } from '../shared/loading'
import { longDay, withDays } from '../shared/words'
import { AS_PLANNED, isTouched } from '../shared/arrangement'
import { OutlookBar } from './arrange/outlook-bar'
import { PlanList } from './arrange/plan-list'
import { useArrangedPlan } from './arrange/use-arranged-plan'
import { Heat } from './heat'
import { Tired } from './tired'
import { Ribbon } from './ribbon'
import { WeekSays } from './week-says'
import { Worn } from './worn'

const cautionsOf = (plan: SessionPlan): readonly string[] => [
  ...new Set(plan.bursts.flatMap(({ cautions }) => cautions)),
]

const ClosedSteps = ({ line }: { line: Line }) => (
  <details className="no-print">
    <summary className="min-h-11 font-bold">{line.plan.closed.length} steps are not open yet: why</summary>
    <ul className="columns-1 gap-8 desk:columns-2">
      {line.plan.closed.map(({ step, name, words }) => (
        <li key={step} className="mb-1 break-inside-avoid">
          <b>{name}</b> {withDays(words)}
        </li>
      ))}
    </ul>
  </details>
)

/** What was asked for and what it costs, what was left out and by which rule. */
const Costs = ({ plan, cost, undo }: { plan: SessionPlan; cost: number | null; undo: () => void }) => (
  <>
    {cost !== null && (
      <p
        role="status"
        className="no-print flex flex-wrap items-center gap-x-3 border-l-4 border-ink bg-panel px-4 py-2"
      >
        {cost < 0.005
          ? 'Your changes cost nothing: the rest is planned around them.'
          : `Your changes cost ${Math.round(cost * 100)} % of what this session was to bring; the rest is planned around them.`}
        <Button look="quiet" onClick={undo}>
          Undo them
        </Button>
      </p>
    )}
    {plan.remarks.map((remark) => (
      <p key={remark} className="border-l-4 border-act bg-panel px-4 py-2">
        {remark}
      </p>
    ))}
  </>
)

const LeftOut = ({ plan }: { plan: SessionPlan }) =>
  plan.left.length > 0 && (
    <details className="no-print">
      <summary className="min-h-11 font-bold">What is left out today, and by which rule</summary>
      <ul>
        {plan.left.map(({ step, name, words }) => (
          <li key={step}>
            <b>{name}</b> {withDays(words)}
          </li>
        ))}
      </ul>
    </details>
  )

/** What will happen, for whom it is the first time: with this horse, or with all of it. */
const FirstDay = ({ name }: { name: string }) => (
  <ol className="no-print max-w-prose list-decimal border-t-4 border-act bg-panel py-3 pr-4 pl-9 text-lg">
    <li>Take {name} to the pen. Press once when you begin to ask, and once more when it answers.</li>
    <li>In the three seconds after, say whether it was loose, watchful or tight; or leave it.</li>
    <li>Afterwards look the session over. Tomorrow’s plan is made from what it did today.</li>
  </ol>
)

const PlanSheet = ({ line, program }: { line: Line; program: Program }) => {
  const [where, setWhere] = useState(whereNow)
  const [chosen, setChosen] = useState(0)
  const { plan, arrangement, change, cost, isBusy } = useArrangedPlan(line, program, where)
  return (
    <article className="flex flex-col gap-3">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">
          <Link to={`/horses/${line.horse.id}`} className="underline decoration-2 underline-offset-4">
            {line.horse.name}
          </Link>
        </h1>
        <div className="no-print flex gap-2">
          <Button className="phone:hidden" onClick={() => window.print()}>
            Print
          </Button>
          {!plan.rests && (
            <Link
              to={`/pen/${line.horse.id}`}
              className="inline-flex min-h-11 items-center rounded-md bg-act px-5 font-name text-lg font-bold text-on-act"
            >
              Take {line.horse.name} to the pen
            </Link>
          )}
        </div>
      </div>
      {line.workDays === 0 && <FirstDay name={line.horse.name} />}
      <OutlookBar arrangement={arrangement} change={change} onPlace={setWhere} />
      <p className="text-xl" aria-busy={isBusy}>
        {plan ? withDays(plan.reason) : 'Still being worked out.'}
      </p>
      <Costs plan={plan} cost={cost} undo={() => change({ wishes: NO_WISHES })} />
      <WeekSays horseId={line.horse.id} day={line.day} />
      <Heat horseId={line.horse.id} day={line.day} place="top" />
      <Tired horseId={line.horse.id} day={line.day} />
      <ShutList horseId={line.horse.id} shut={line.shut} />
      <NoticeList
        notices={line.notices.filter(({ about, tone }) => about !== 'veterinary-hold' && tone !== 'stop')}
      />
      {plan.rests && isTouched(arrangement) && (
        <Button className="self-start" onClick={() => change(AS_PLANNED)}>
          Plan an ordinary day again
        </Button>
      )}
      {!plan.rests && <Ribbon plan={plan} chosen={chosen} choose={setChosen} />}
      {!plan.rests && (
        <div className="grid gap-x-8 gap-y-3 desk:grid-cols-[1fr_17rem]">
          <PlanList
            plan={plan}
            program={program}
            arrangement={arrangement}
            change={change}
            chosen={chosen}
            choose={setChosen}
          />
          <aside className="flex flex-col gap-4">
            <section className="border-t-4 border-ink bg-panel p-3">
              <h2 className="mb-1 text-lg">Carry out</h2>
              <ul>
                {plan.kit.map((item) => (
                  <li key={item}>{item}</li>
                ))}
              </ul>
              <Worn horseId={line.horse.id} />
            </section>
            <section className="border-t-4 border-stop bg-panel p-3">
              <h2 className="mb-1 text-lg text-stop">Take care</h2>
              <ul className="flex flex-col gap-1">
                {cautionsOf(plan).map((caution) => (
                  <li key={caution}>{caution}</li>
                ))}
              </ul>
            </section>
          </aside>
        </div>
      )}
      <Heat horseId={line.horse.id} day={line.day} place="below" />
      <LeftOut plan={plan} />
      {plan.closed.length > 0 && <ClosedSteps line={line} />}
    </article>
  )
}

/** What each horse does today, in which order, with which kit, and why. */
const BeforePage = () => {
  const { line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  return (
    <main className="px-4 py-3 desk:px-5">
      <p className="mb-3 hidden font-bold print:block">{longDay(line.day)}</p>
      <PlanSheet key={`${line.horse.id} ${line.day}`} line={line} program={program} />
    </main>
  )
}

export default BeforePage
