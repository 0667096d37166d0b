import type { Incident } from '@still-pine/contract'
import { count } from '@still-pine/core/answer'
import { oneIn } from '@still-pine/core/arithmetic'
import { valuesOf } from '@still-pine/core/circumstances'
import { incidentFactors, incidentPatterns } from '@still-pine/core/patterns'
import { stepOf, type Program } from '@still-pine/core/program'
import { useMemo } from 'react'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { Fold } from '../../ui/fold'
import { TableRoom } from '../../ui/table-room'

/** Fewer than these tell no pattern from chance. */
const ENOUGH = 5

type Row = ReturnType<typeof incidentPatterns>['rows'][number]

const WEATHER = new Map(valuesOf('weather'))

const levelWords = ({ factor, level }: Row, program: Program): string => {
  switch (factor) {
    case 'side':
      return `on the ${level}`
    case 'step':
      return `in ${stepOf(program, level)?.name ?? level}`
    case 'place':
      return `at ${level}`
    case 'weather':
      return `in ${WEATHER.get(level) ?? level}${level === 'fair' ? ' weather' : ''}`
    case 'minute':
      return `from minute ${level}`
    default:
      return `with ${level}`
  }
}

/** "9 on the right, where 4.7 of the 10 would fall by its share of the asks: 1 in 73, guarded." */
const foundWords = (row: Row, program: Program): string =>
  `${row.incidents} ${levelWords(row, program)}, where ${row.expected!.toFixed(1)} would fall by its share of the asks: ${oneIn(row.pGuarded!)} by chance, guarded for all that was looked at.`

const SAYS: Readonly<Record<Row['says'], string>> = {
  'more-than-its-share': 'more than its share',
  'as-usual': 'as usual',
  'too-few': 'too few to say',
  'no-asks-there': 'nothing was asked there',
}

const Table = ({ rows, program }: { rows: readonly Row[]; program: Program }) => (
  <TableRoom label="Incidents by where they were">
    <table className="w-full text-left [&_td]:py-1 [&_td]:pr-4 [&_th]:pr-4">
      <thead>
        <tr className="border-b border-ink">
          {['Where', 'Incidents', 'In 100 asks', 'By its share', 'By chance', ''].map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.factor} ${row.level}`} className="border-b border-line">
            <th scope="row" className="font-normal">
              {levelWords(row, program)}
            </th>
            <td>{row.incidents}</td>
            <td>{row.per100 === null ? '–' : row.per100.toFixed(1)}</td>
            <td>{row.expected === null ? '–' : row.expected.toFixed(1)}</td>
            <td>{row.pGuarded === null ? '–' : oneIn(row.pGuarded)}</td>
            <td>{SAYS[row.says]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </TableRoom>
)

const Found = ({ horseId, incidents, program }: Props) => {
  const { data, error, refetch } = useQuery('evidence', { horseId })
  const patterns = useMemo(
    () =>
      data && incidentPatterns(incidentFactors({ asks: data.answers, sessions: data.sessions, incidents })),
    [data, incidents],
  )
  if (!patterns) return <Loading error={error} retry={() => void refetch()} />
  const found = patterns.rows.filter(({ says }) => says === 'more-than-its-share')
  return (
    <>
      {found.length > 0 ? (
        <ul className="text-lg font-bold">
          {found.map((row) => (
            <li key={`${row.factor} ${row.level}`}>{foundWords(row, program)}</li>
          ))}
        </ul>
      ) : (
        <p className="text-lg">
          {patterns.says === 'too-few'
            ? 'Too few to say: not enough of them are told with side, step or moment.'
            : 'No side, step, place, weather, minute or handler stands out from its share of the asks.'}
        </p>
      )}
      <Fold title="All that was looked at">
        <Table
          rows={patterns.rows.filter(({ incidents: here, per100 }) => here > 0 || per100 !== null)}
          program={program}
        />
      </Fold>
    </>
  )
}

interface Props {
  readonly horseId: string
  readonly incidents: readonly Incident[]
  readonly program: Program
}

/** Whether incidents and near misses gather anywhere more than the asks there would have it. */
export const Patterns = ({ incidents, ...props }: Props) => {
  const standing = useMemo(() => incidents.filter(({ withdrawn }) => withdrawn === null), [incidents])
  if (standing.length === 0) return null
  return (
    <section className="max-w-prose">
      <h2 className="mb-2 text-2xl">Do they gather anywhere?</h2>
      {standing.length < ENOUGH ? (
        <p>
          {count(standing.length, 'incident')}: too few to say. From {ENOUGH} on side, step, place, weather,
          minute and handler are looked at. Near misses count: record the attention that was lost, too.
        </p>
      ) : (
        <Found incidents={standing} {...props} />
      )}
    </section>
  )
}
