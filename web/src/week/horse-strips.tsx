import type { PlannedVisit, ReplyOf } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import { horseIn } from '@still-pine/use-cases/week-asked'
import { Link } from 'react-router'
import { dayHead } from './words'

type Week = ReplyOf<'plannedWeek'>

interface Props {
  readonly week: Week
  readonly days: readonly Day[]
  readonly visits: readonly PlannedVisit[]
}

/** What a day of the week is to a horse: load, handling or none; worked, or planned and not done. */
const dayOf = ({ week, visits }: Props, horseId: string, day: Day) => {
  const visit = visits.find((one) => one.horseId === horseId && one.day === day && one.due === null)
  const isWorked = week.worked.some((one) => one.horseId === horseId && one.day === day)
  const isMissed = visit !== undefined && !isWorked && day < week.today
  const kind = visit ? (visit.load ? 'load' : 'handling') : 'none'
  return {
    mark: isMissed ? '✗' : isWorked ? '✓' : visit ? (visit.load ? '●' : '○') : '·',
    word: [kind, isWorked ? (visit ? 'done' : 'worked, not planned') : isMissed ? 'not done' : '']
      .filter(Boolean)
      .join(', '),
    isMissed,
  }
}

/** Each horse over the week: its load days, its visits against what was wanted, and the days that went otherwise. */
export const HorseStrips = (props: Props) => {
  const { week, days, visits } = props
  return (
    <section>
      <h2 className="mb-1 text-2xl">Horse by horse</h2>
      <div className="overflow-x-auto">
        <table className="border-collapse">
          <caption className="sr-only">Load and handling of each horse by day</caption>
          <thead>
            <tr className="text-left text-quiet">
              <th scope="col">Horse</th>
              {days.map((day) => (
                <th key={day} scope="col" className="px-2 text-center font-normal">
                  {dayHead(day).slice(0, 3)}
                </th>
              ))}
              <th scope="col" className="px-2 font-normal">
                Visits
              </th>
              <th scope="col" className="px-2 font-normal">
                Load days
              </th>
            </tr>
          </thead>
          <tbody>
            {week.horses.map(({ id, name }) => {
              const work = visits.filter(({ horseId, due }) => horseId === id && due === null)
              const wanted = horseIn(week, id).wantedVisits
              const had = week.worked.filter(
                (one) => one.horseId === id && !work.some(({ day }) => day === one.day),
              ).length
              return (
                <tr key={id} className="border-t border-line">
                  <th scope="row" className="min-h-9 py-1 pr-3 text-left">
                    <Link className="font-name underline" to={`/horses/${id}`}>
                      {name}
                    </Link>
                  </th>
                  {days.map((day) => {
                    const { mark, word, isMissed } = dayOf(props, id, day)
                    return (
                      <td
                        key={day}
                        className={`px-2 text-center ${isMissed ? 'bg-worn-fill/30 font-bold' : ''}`}
                      >
                        <span aria-hidden>{mark}</span>
                        <span className="sr-only">{word}</span>
                      </td>
                    )
                  })}
                  <td className="px-2 tabular-nums">
                    {work.length + had} of {wanted}
                  </td>
                  <td className="px-2 tabular-nums">{work.filter(({ load }) => load).length}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-quiet">● load · ○ handling · ✓ worked · ✗ planned and not done</p>
    </section>
  )
}
