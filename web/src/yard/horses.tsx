import type { Horse, Me } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import { useState } from 'react'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { jobWords } from '../app/tag-rail'
import { Loading } from '../shared/loading'
import { plainDay, VERDICTS } from '../shared/words'
import { Button } from '../ui/button'
import { INPUT } from '../ui/field'
import { Fold } from '../ui/fold'
import { GONE_WORDS } from './edit-horse-page'
import {
  KEEP_WORDS,
  KEEPS,
  listed,
  ORDER_WORDS,
  ORDERS,
  withDue,
  type Keep,
  type ListedHorse,
  type Order,
} from './horse-list'
import { SeveralBar } from './several-bar'

const Choice = <T extends string>({
  label,
  value,
  words,
  choose,
}: {
  label: string
  value: T
  words: readonly (readonly [T, string])[]
  choose: (value: T) => void
}) => (
  <select
    aria-label={label}
    className={INPUT}
    value={value}
    onChange={(event) => choose(event.target.value as T)}
  >
    {words.map(([key, word]) => (
      <option key={key} value={key}>
        {word}
      </option>
    ))}
  </select>
)

/** What is due or shut, gravest first, or else how far its next gate is. */
const waitsFor = ({ due }: ListedHorse): string => {
  const graver = due?.notices.find(({ tone }) => tone !== 'soon')
  if (graver) return graver.tone === 'stop' ? 'a hold or a stop' : 'something is due'
  const gate = due?.gate
  return gate ? `${gate.name}: ${VERDICTS[gate.verdict]}, ${gate.holding} of ${gate.tracks} hold` : ''
}

interface RowProps {
  readonly row: ListedHorse
  /** Ticked or not, while several are chosen. */
  readonly ticked: boolean | null
  readonly tick: () => void
}

const Row = ({ row, ticked, tick }: RowProps) => (
  <li className="flex items-center gap-3 border-t border-line">
    {ticked !== null && (
      <input
        type="checkbox"
        className="size-7 shrink-0"
        aria-label={`Choose ${row.horse.name}`}
        checked={ticked}
        onChange={tick}
      />
    )}
    <Link
      className="grid min-h-14 min-w-0 flex-1 items-center gap-x-4 py-1 desk:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)_minmax(0,1.4fr)]"
      to={`/horses/${row.horse.id}`}
    >
      <span className="min-w-0">
        <b className="font-name text-lg break-words underline">{row.horse.name}</b>{' '}
        <span className="text-quiet">{row.horse.sex}</span>
      </span>
      <span>{jobWords(row)}</span>
      <span className="text-quiet">{waitsFor(row)}</span>
    </Link>
  </li>
)

/** Who has left, to be looked up and taken back. */
const Gone = ({ gone }: { gone: readonly Horse[] }) => (
  <Fold title={`Gone: ${gone.length}`}>
    <ul>
      {gone.map((horse) => (
        <li key={horse.id} className="border-t border-line">
          <Link className="flex min-h-12 flex-wrap items-center gap-x-3" to={`/horses/${horse.id}/edit`}>
            <b className="font-name underline">{horse.name}</b>
            <span className="text-quiet">
              {horse.archived && `${GONE_WORDS[horse.archived.reason]}, ${plainDay(horse.archived.on)}`}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  </Fold>
)

/** Every horse of the yard: to be found, kept apart, sorted and opened, one or several at once. */
export const Horses = ({ person }: { person: Me['person'] }) => {
  const { data, error, refetch } = useQuery('today')
  const { data: due } = useQuery('due')
  const [typed, setTyped] = useState('')
  const [order, setOrder] = useState<Order>('today')
  const [keep, setKeep] = useState<Keep>('all')
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null)
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  const shown = listed(withDue(data.rows, due?.horses), { typed, order, keep, me: person.id })
  const mayEdit = mayDo(person.role, 'edit-horse')
  const tick = (id: string): void => {
    const next = new Set(chosen)
    if (!next.delete(id)) next.add(id)
    setChosen(next)
  }
  return (
    <section>
      <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
        <h2 className="text-2xl">{count(data.rows.length, 'horse')}</h2>
        {mayEdit && (
          <span className="flex flex-wrap gap-2">
            {data.rows.length > 0 && (
              <Button
                look="quiet"
                aria-pressed={chosen !== null}
                onClick={() => setChosen(chosen === null ? new Set() : null)}
              >
                {chosen === null ? 'Choose several' : 'Leave it'}
              </Button>
            )}
            <Link
              to="/horses/new"
              className="inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
            >
              Add a horse
            </Link>
          </span>
        )}
      </div>
      <div className="mb-2 grid grid-cols-2 gap-2 desk:grid-cols-3">
        <input
          type="search"
          aria-label="Find a horse"
          placeholder="Name or marks"
          className={`${INPUT} phone:col-span-2`}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Choice
          label="Shown"
          value={keep}
          words={KEEPS.map((one) => [one, KEEP_WORDS[one]])}
          choose={setKeep}
        />
        <Choice
          label="Sorted by"
          value={order}
          words={ORDERS.map((one) => [one, `by ${ORDER_WORDS[one]}`])}
          choose={setOrder}
        />
      </div>
      {(typed !== '' || keep !== 'all') && (
        <p role="status" className="text-quiet">
          {count(shown.length, 'horse')} found
        </p>
      )}
      {chosen !== null && (
        <SeveralBar
          horses={data.rows.map(({ horse }) => horse).filter(({ id }) => chosen.has(id))}
          today={data.day}
          all={() => setChosen(new Set(shown.map(({ horse }) => horse.id)))}
          done={() => setChosen(null)}
        />
      )}
      <ul>
        {shown.map((row) => (
          <Row
            key={row.horse.id}
            row={row}
            ticked={chosen === null ? null : chosen.has(row.horse.id)}
            tick={() => tick(row.horse.id)}
          />
        ))}
      </ul>
      {data.gone.length > 0 && <Gone gone={data.gone} />}
    </section>
  )
}
