import type { PlannedVisit, ReplyOf } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import { longDay } from '../shared/words'
import { hour, visitWord } from './words'

interface Props {
  readonly week: ReplyOf<'plannedWeek'>
  readonly days: readonly Day[]
  readonly visits: readonly PlannedVisit[]
}

/** On paper alone: a sheet for each person, to hang up or to fold into a pocket. */
export const PersonSheets = ({ week, days, visits }: Props) => {
  const name = (list: readonly { id: string; name: string }[], id: string | null): string =>
    list.find((one) => one.id === id)?.name ?? ''
  return (
    <div className="hidden print:block">
      {week.people.map(({ id, name: who }) => {
        const own = visits.filter(({ leadId, helperId }) => leadId === id || helperId === id)
        if (own.length === 0) return null
        return (
          <section key={id} className="break-after-page last:break-after-auto">
            <h1 className="text-2xl">
              {who}: the week of {longDay(days[0]!)}
            </h1>
            {days.map((day) => {
              const today = own
                .filter((visit) => visit.day === day)
                .toSorted((a, b) => a.start.localeCompare(b.start))
              if (today.length === 0) return null
              return (
                <div key={day} className="mt-3 break-inside-avoid">
                  <h2 className="border-b-2 border-ink text-lg">{longDay(day)}</h2>
                  <table className="w-full">
                    <tbody>
                      {today.map((visit) => (
                        <tr key={visit.id} className="border-b border-line align-top">
                          <td className="w-14 tabular-nums">{hour(visit.start)}</td>
                          <td className="w-32 font-bold">{name(week.horses, visit.horseId)}</td>
                          <td>
                            {visitWord(visit)}, {visit.minutes} min
                          </td>
                          <td>{name(week.places, visit.placeId)}</td>
                          <td>
                            {visit.leadId === id
                              ? visit.helperId && `helped by ${name(week.people, visit.helperId)}`
                              : `helps ${name(week.people, visit.leadId)}`}
                          </td>
                          <td className="w-8">□</td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </div>
              )
            })}
          </section>
        )
      })}
    </div>
  )
}
