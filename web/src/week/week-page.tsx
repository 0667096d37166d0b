import type { PlannedVisit, ReplyOf } from '@still-pine/contract'
import { addDays, count } from '@still-pine/core/answer'
import { isBehind, plannedFrom, rulesIn } from '@still-pine/use-cases/week-asked'
import { useEffect, useEffectEvent, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../app/client'
import { Loading } from '../shared/loading'
import { useMay } from '../shared/use-may'
import { longDay } from '../shared/words'
import { Button } from '../ui/button'
import { Fold } from '../ui/fold'
import { isTyping } from '../ui/typing'
import { useIsDesk } from '../ui/use-is-desk'
import { Board } from './board'
import { DaysAre } from './days-are'
import { HorseStrips } from './horse-strips'
import { LastSevenDays } from './last-seven-days'
import { movedBy, pinOf, takenOff, withPin, type Move } from './moves'
import { PersonSheets } from './person-sheets'
import { useWeekPlan, type Busy, type WeekPlanning } from './use-week-plan'
import { VisitSheet } from './visit-sheet'
import { dayHead, daysOfWeek, mondayOf } from './words'

type Week = ReplyOf<'plannedWeek'>

const busyWords = (busy: NonNullable<Busy>): string =>
  busy.does === 'looking'
    ? `Looking at the horses: ${busy.done} of ${busy.of} …`
    : 'Looking for a better week …'

const HowGood = ({ plan }: { plan: WeekPlanning }) => (
  <p role="status" className="flex min-h-11 flex-wrap items-center gap-x-3 text-lg">
    {plan.busy ? busyWords(plan.busy) : plan.shown?.told.words}
    {!plan.busy && plan.moved.length > 0 && <b>{count(plan.moved.length, 'other')} moved.</b>}
    {plan.busy?.does === 'solving' && (
      <Button look="quiet" onClick={plan.stop}>
        Stop: this will do
      </Button>
    )}
  </p>
)

/** Who gets less than was wanted and why, and what could not be had. */
const Lacking = ({ told }: { told: NonNullable<WeekPlanning['shown']>['told'] }) => (
  <>
    {told.clashes.length > 0 && (
      <section className="border-l-4 border-stop bg-panel px-4 py-2">
        <h2 className="text-xl">Cannot be had</h2>
        <ul>
          {told.clashes.map(({ must, words }) => (
            <li key={must}>{words}</li>
          ))}
        </ul>
      </section>
    )}
    {told.lacking.length > 0 && (
      <section>
        <h2 className="mb-1 text-2xl">Who gets less</h2>
        <ul>
          {told.lacking.map((words) => (
            <li key={words} className="border-t border-line py-1">
              {words}
            </li>
          ))}
        </ul>
      </section>
    )}
  </>
)

const MOST_HORSES = 60

const Empty = ({ week, plan, mayPlan }: { week: Week; plan: WeekPlanning; mayPlan: boolean }) => (
  <div className="flex max-w-prose flex-col items-start gap-3 text-lg">
    <p>
      {week.horses.length === 0
        ? 'No horses yet. Add one under Yard, and its week is planned here.'
        : 'Nothing is planned yet. A plan says who works which horse when: what saves most days on the way to each horse’s gate, within everybody’s hours and the rules.'}
    </p>
    {plan.busy && <p role="status">{busyWords(plan.busy)}</p>}
    {week.horses.length > MOST_HORSES && (
      <p role="alert">
        {`${week.horses.length} horses are more than one week is planned for: ${MOST_HORSES} at the most. Archive those that are not worked.`}
      </p>
    )}
    {mayPlan && week.horses.length > 0 && week.horses.length <= MOST_HORSES && (
      <Button look="act" disabled={plan.busy !== null} onClick={() => void plan.make()}>
        Plan this week
      </Button>
    )}
    <Link className="min-h-11 underline" to="/week/from">
      Look at hours, horses and rules first
    </Link>
  </div>
)

const DayTabs = ({
  days,
  day,
  choose,
}: {
  days: readonly string[]
  day: string
  choose: (day: string) => void
}) => (
  <div role="group" aria-label="Day" className="no-print flex gap-1 overflow-x-auto">
    {days.map((one) => (
      <button
        key={one}
        type="button"
        aria-pressed={one === day}
        onClick={() => choose(one)}
        className={`min-h-12 shrink-0 rounded-md border-2 px-3 font-bold ${one === day ? 'border-ink bg-ink text-ground' : 'border-line'}`}
      >
        {dayHead(one).slice(0, 6)}
      </button>
    ))}
  </div>
)

const Planned = ({ week }: { week: Week }) => {
  const plan = useWeekPlan(week)
  const mayPlan = useMay('plan-week')
  const isDesk = useIsDesk()
  const days = daysOfWeek(week.firstDay)
  const [day, setDay] = useState(days.includes(week.today) ? week.today : days[0]!)
  const [opened, setOpened] = useState<PlannedVisit | null>(null)
  const undo = useEffectEvent(() => void plan.undo())
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.key.toLowerCase() !== 'z' || event.altKey || event.shiftKey || isTyping(event.target)) return
      undo()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [])
  const { shown } = plan
  if (!shown) return <Empty week={week} plan={plan} mayPlan={mayPlan} />
  const { visits, pins } = shown
  const pinned = new Set(pins.map(({ id }) => id))
  const isOver = addDays(week.firstDay, 6) < week.today
  const canMove = mayPlan && !isOver
  const move = (visit: PlannedVisit, by: Move): void => {
    const there = movedBy(visit, by)
    if (isBehind(week, there)) return
    void plan.change({
      visits: visits.map((one) => (one.id === visit.id ? there : one)),
      pins: withPin(pins, pinOf(there, by)),
    })
  }
  const pin = (visit: PlannedVisit): void =>
    void plan.change({
      pins: pinned.has(visit.id)
        ? pins.filter(({ id }) => id !== visit.id)
        : withPin(pins, pinOf(visit, { minutes: 0, leadId: visit.leadId })),
    })
  const takeOff = (visit: PlannedVisit): void =>
    void plan.change({
      visits: visits.filter(({ id }) => id !== visit.id),
      pins: pins.filter(({ id }) => id !== visit.id),
      wishes: [takenOff(visit, uuid()), ...shown.wishes],
    })
  const acts = { move, pin, takeOff }
  return (
    <>
      <div className="no-print flex flex-col gap-3">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <HowGood plan={plan} />
          <span className="ml-auto flex flex-wrap gap-2">
            {plan.canUndo && (
              <Button look="quiet" onClick={() => void plan.undo()}>
                Undo
              </Button>
            )}
            <Button className="phone:hidden" onClick={() => window.print()}>
              Print
            </Button>
            {canMove && (
              <Button disabled={plan.busy !== null} onClick={() => void plan.make()}>
                Plan anew
              </Button>
            )}
          </span>
        </div>
        {!isDesk && <DayTabs days={days} day={day} choose={setDay} />}
        <Board
          week={week}
          days={isDesk ? days : [day]}
          visits={visits}
          pinned={pinned}
          moved={new Set(plan.moved)}
          slotMinutes={rulesIn(week).slotMinutes}
          mayPlan={canMove}
          open={setOpened}
          {...acts}
        />
        {canMove && (
          <p className="text-quiet phone:hidden">
            Drag a visit, or on the keys: Enter lifts and drops it, arrows carry it, P pins it, Delete takes
            it off, Z undoes.
          </p>
        )}
        <div className="grid gap-8 desk:grid-cols-2">
          <HorseStrips week={week} days={days} visits={visits} />
          <div className="flex flex-col gap-4">
            <Lacking told={shown.told} />
            {canMove && (
              <DaysAre
                days={days}
                conditions={shown.conditions}
                put={(conditions) => void plan.change({ conditions })}
              />
            )}
          </div>
        </div>
      </div>
      <PersonSheets week={week} days={days} visits={visits} />
      {opened && (
        <VisitSheet
          week={week}
          days={days.filter((one) => one >= plannedFrom(week))}
          visit={opened}
          isPinned={pinned.has(opened.id)}
          mayPlan={canMove && !isBehind(week, opened)}
          onClose={() => setOpened(null)}
          {...acts}
        />
      )}
    </>
  )
}

/** Who works which horse when: a week as it is planned. */
const WeekPage = () => {
  const { data: me } = useQuery('me')
  const [search, setSearch] = useSearchParams()
  const thisWeek = me && mondayOf(me.today)
  const asked = search.get('from')
  const firstDay = asked !== null && /^\d{4}-\d{2}-\d{2}$/.test(asked) ? mondayOf(asked) : thisWeek
  const { data, error, refetch } = useQuery('plannedWeek', { firstDay: firstDay ?? '' }, { skip: !firstDay })
  // Not the week before while this one is on its way.
  if (!firstDay || data?.firstDay !== firstDay) return <Loading error={error} retry={() => void refetch()} />
  const to = (day: string) => () => setSearch(day === thisWeek ? {} : { from: day })
  return (
    <main className="flex flex-col gap-4 px-4 py-3 desk:px-5 print:p-0">
      <div className="no-print flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1 className="text-3xl">The week of {longDay(firstDay)}</h1>
        <nav aria-label="Weeks" className="flex flex-wrap gap-x-2">
          <Button look="quiet" onClick={to(addDays(firstDay, -7))}>
            Week before
          </Button>
          {firstDay !== thisWeek && (
            <Button look="quiet" onClick={to(thisWeek!)}>
              This week
            </Button>
          )}
          <Button look="quiet" onClick={to(addDays(firstDay, 7))}>
            Week after
          </Button>
        </nav>
        <Link className="ml-auto inline-flex min-h-11 items-center font-bold underline" to="/week/from">
          Hours, horses and rules
        </Link>
      </div>
      <Planned key={firstDay} week={data} />
      <div className="no-print">
        <Fold title="What was done in the last seven days">
          <LastSevenDays />
        </Fold>
      </div>
    </main>
  )
}

export default WeekPage
