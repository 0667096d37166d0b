import { count } from '@still-pine/core/answer'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { Loading } from '../shared/loading'
import { shortDay } from '../shared/words'

/** Who was worked in the last seven days, and what goes stale. */
export const LastSevenDays = () => {
  const { data, error, refetch } = useQuery('week')
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  return (
    <div className="flex flex-col gap-2">
      {data.rows.length === 0 ? (
        <p>No horses yet. Add one under Yard, and its days show here.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full border-collapse">
            <caption className="sr-only">Answers per horse and day</caption>
            <thead>
              <tr className="text-left text-quiet">
                <th scope="col" className="py-2">
                  Horse
                </th>
                {data.days.map((day) => (
                  <th key={day} scope="col" className="px-2 text-center">
                    {shortDay(day)}
                  </th>
                ))}
                <th scope="col">Going stale</th>
              </tr>
            </thead>
            <tbody>
              {data.rows.map((row) => (
                <tr key={row.horseId} className="border-t border-line align-top">
                  <th scope="row" className="py-3 text-left">
                    <Link className="font-name text-lg underline" to={`/horses/${row.horseId}`}>
                      {row.horseName}
                    </Link>
                  </th>
                  {row.days.map(({ day, answers }) => (
                    <td key={day} className="px-2 py-3 text-center">
                      {answers === 0 ? <span className="text-quiet">rest</span> : <b>{answers}</b>}
                    </td>
                  ))}
                  <td className="py-3">
                    {row.goingStale.length === 0
                      ? 'nothing'
                      : row.goingStale
                          .slice(0, 3)
                          .map(
                            ({ name, side, days }) =>
                              `${name}${side === 'none' ? '' : `, ${side}`}: not asked for ${count(days, 'day')}`,
                          )
                          .join('; ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="text-quiet">Numbers are answers kept that day; “rest” is a day without any.</p>
    </div>
  )
}
