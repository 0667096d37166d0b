import type { VisitTold } from '@still-pine/contract'
import { addDays, type Day } from '@still-pine/core/answer'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { longDay } from '../shared/words'

const AHEAD_DAYS = 6

const Visits = ({
  title,
  visits,
  withDay,
}: {
  title: string
  visits: readonly VisitTold[]
  withDay: boolean
}) =>
  visits.length > 0 && (
    <>
      <h3 className="text-lg font-bold">{title}</h3>
      <ul>
        {visits.map((visit) => (
          <li key={visit.id} className="border-t border-line py-1">
            {withDay && `${longDay(visit.day)}, `}
            <span className="tabular-nums">{visit.start.replace(/^0/, '')}</span>{' '}
            <Link className="font-bold underline" to={`/before/${visit.horseId}`}>
              {visit.horseName}
            </Link>{' '}
            with {visit.leadName}
            {visit.helperName && ` and ${visit.helperName}`}
          </li>
        ))}
      </ul>
    </>
  )

/** What the week has planned: today’s visits, and who comes for what is due in the days after. */
export const WeekList = ({ today }: { today: Day }) => {
  const { data } = useQuery('visits', { from: today, until: addDays(today, AHEAD_DAYS) })
  if (!data || data.days.length === 0) return null
  const own = data.visits.filter(({ day }) => day === today)
  const dues = data.visits.filter(({ day, due }) => day > today && due !== null)
  return (
    <section aria-label="This week" className="mb-6">
      <h2 className="mb-1 text-2xl">
        <Link to="/week" className="underline decoration-2 underline-offset-4">
          This week
        </Link>
      </h2>
      {own.length === 0 && <p>Nothing more is planned for today.</p>}
      <Visits title="Today" visits={own} withDay={false} />
      <Visits title="Who comes" visits={dues} withDay />
    </section>
  )
}
