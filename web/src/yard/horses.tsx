import type { TodayRow } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { useState } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { jobWords } from '../app/tag-rail'
import { Loading } from '../shared/loading'
import { fullDay } from '../shared/words'
import { INPUT } from '../ui/field'
import { GONE_WORDS } from './edit-horse-page'
import { listed, ORDER_WORDS, ORDERS, type Order } from './horse-list'

/** So many horses are seen at a glance; more are searched and sorted. */
const AT_A_GLANCE = 8

const Row = ({ row }: { row: TodayRow }) => (
  <li className="border-t border-line">
    <Link className="flex min-h-12 flex-wrap items-center gap-x-3" to={`/horses/${row.horse.id}`}>
      <b className="min-w-0 font-name break-words underline">{row.horse.name}</b>
      <span>{jobWords(row)}</span>
      <span className="text-quiet">{[row.horse.sex, row.horse.marks].filter(Boolean).join(', ')}</span>
    </Link>
  </li>
)

/** Every horse of the yard: to be found, sorted and opened. */
export const Horses = () => {
  const { data, error, refetch } = useQuery('today')
  const [typed, setTyped] = useState('')
  const [order, setOrder] = useState<Order>('today')
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  const shown = listed(data.rows, { typed, order })
  return (
    <section>
      <h2 className="mb-2 text-2xl">
        Horses <span className="font-normal text-quiet">{data.rows.length}</span>
      </h2>
      {data.rows.length > AT_A_GLANCE && (
        <div className="mb-2 grid grid-cols-2 gap-2">
          <input
            type="search"
            aria-label="Find a horse"
            placeholder="Name or marks"
            className={INPUT}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <select
            aria-label="Sorted by"
            className={INPUT}
            value={order}
            onChange={(event) => setOrder(event.target.value as Order)}
          >
            {ORDERS.map((one) => (
              <option key={one} value={one}>
                by {ORDER_WORDS[one]}
              </option>
            ))}
          </select>
        </div>
      )}
      {typed !== '' && (
        <p role="status" className="text-quiet">
          {count(shown.length, 'horse')} found
        </p>
      )}
      <ul>
        {shown.map((row) => (
          <Row key={row.horse.id} row={row} />
        ))}
      </ul>
      {data.gone.length > 0 && (
        <details>
          <summary className="min-h-11 font-bold">Gone: {data.gone.length}</summary>
          <ul>
            {data.gone.map((horse) => (
              <li key={horse.id} className="border-t border-line">
                <Link
                  className="flex min-h-12 flex-wrap items-center gap-x-3"
                  to={`/horses/${horse.id}/edit`}
                >
                  <b className="font-name underline">{horse.name}</b>
                  <span className="text-quiet">
                    {horse.archived && `${GONE_WORDS[horse.archived.reason]}, ${fullDay(horse.archived.on)}`}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Link
        to="/horses/new"
        className="mt-3 inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
      >
        Add a horse
      </Link>
    </section>
  )
}
