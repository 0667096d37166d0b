import type { SavedAnswer } from '@still-pine/contract'
import { count, chancePercent } from '@still-pine/core/answer'
import {
  coldBursts,
  OUTCOME_WORDS,
  outcomeOf,
  type Recheck,
  type RecheckSheet,
} from '@still-pine/core/recheck'
import { useNavigate } from 'react-router'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { longDay, sideAfter, STATE_WORDS, withDays } from '../../shared/words'
import { HorseHeader } from '../../shared/horse-header'
import { ShutList } from '../../shared/shut-list'
import { useHorse } from '../../shared/use-horse'
import { useTodaysAnswers } from '../use-todays-answers'
import { useRecheck } from './use-recheck'
import { TableRoom } from '../../ui/table-room'

const sizeWords = ({ asks, held, gapDays, leftOver }: RecheckSheet): string => {
  const known = `${count(held, 'skill')} held when it was last worked, ${count(gapDays, 'calendar day')} ago`
  if (held === 0) return 'Nothing held yet when it was last worked: there is nothing to check again.'
  if (asks.length === 0)
    return `${known}. The break is too short to have spoilt any of them: nothing needs to be checked for it.`
  const left =
    leftOver < 0.5
      ? 'what is left off is hardly spoilt'
      : `about ${Math.round(leftOver)} more may be spoilt: check again another day`
  return `${known}. ${count(asks.length, 'first ask')} tell what the break has spoilt; ${left}.`
}

interface TableProps {
  readonly sheet: RecheckSheet
  readonly answers: readonly SavedAnswer[]
  readonly day: string
}

const keyOf = ({ step, side }: Recheck): string => `${step}/${side}`

const Sheet = ({ sheet, answers, day }: TableProps) => (
  <TableRoom label="First asks">
    <table className="w-full border-collapse">
      <caption className="sr-only">First asks, in the order in which they are safe</caption>
      <thead className="text-left text-quiet">
        <tr>
          <th scope="col">Ask</th>
          <th scope="col">Before the break</th>
          <th scope="col">Now</th>
          <th scope="col">Today</th>
        </tr>
      </thead>
      <tbody>
        {sheet.asks.map((ask) => {
          const outcome = outcomeOf(ask, answers, day)
          return (
            <tr key={keyOf(ask)} className="break-inside-avoid border-t border-line align-top">
              <th scope="row" className="py-2 pr-3 text-left font-normal">
                <b>
                  {ask.name}
                  {sideAfter(ask.side)}
                </b>
                , “{ask.rungName}”<span className="block text-quiet phone:hidden">{ask.reason}</span>
              </th>
              <td className="py-2 pr-3">
                {STATE_WORDS[ask.was.state]},{' '}
                <span className="whitespace-nowrap">{chancePercent(ask.was.chance)}</span>
              </td>
              <td className="py-2 pr-3 whitespace-nowrap">{chancePercent(ask.chance)}</td>
              <td
                className={`py-2 ${outcome === 'not-asked' ? 'text-quiet' : outcome === 'as-before' ? 'font-bold text-solid' : 'font-bold text-worn'}`}
              >
                {OUTCOME_WORDS[outcome]}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  </TableRoom>
)

/** After a break: the fewest first asks that tell, and how they went. */
const RecheckPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { sheet, lastDay, error: sheetError } = useRecheck(line, program)
  const answers = useTodaysAnswers(line)
  const navigate = useNavigate()
  if (!line || !program || (!sheet && lastDay !== null))
    return <Loading error={error ?? sheetError} retry={retry} />
  const left = sheet?.asks.filter((ask) => outcomeOf(ask, answers, line.day) === 'not-asked') ?? []
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-2xl">Re-check after the break</h2>
        {sheet && sheet.asks.length > 0 && (
          <Button className="no-print phone:hidden" onClick={() => window.print()}>
            Print
          </Button>
        )}
      </div>
      {!sheet || lastDay === null ? (
        <p className="text-lg">{line.horse.name} has not been worked before today: there is no break yet.</p>
      ) : (
        <>
          <p className="text-lg">
            Last worked {longDay(lastDay)}. {sizeWords(sheet)}
          </p>
          {line.plan.rests && (
            <p className="border-l-8 border-stop bg-panel px-4 py-2 text-lg">{withDays(line.plan.reason)}</p>
          )}
          {left.length > 0 && !line.plan.rests && (
            <Button
              look="act"
              className="no-print min-h-16 self-start text-xl"
              onClick={() =>
                void navigate(`/pen/${horseId}?gate=recheck`, { state: { bursts: coldBursts(left) } })
              }
            >
              Run {left.length === sheet.asks.length ? 'them' : `the ${left.length} left`} in the pen
            </Button>
          )}
          {sheet.waits.length > 0 && (
            <section>
              <h3 className="text-xl">Not yet on the sheet</h3>
              <ul>
                {sheet.waits.map(({ name, words }) => (
                  <li key={words} className="border-t border-line py-1">
                    <b>{name}</b>: {words}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {sheet.asks.length > 0 && <Sheet sheet={sheet} answers={answers} day={line.day} />}
        </>
      )}
    </main>
  )
}

export default RecheckPage
