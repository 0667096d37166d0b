import type { Arrival, ArrivalResult, Line } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import { arrivalCheck, type ArrivalAsk, type ArrivalCheck } from '@still-pine/core/arrival'
import { GENERAL_CAUTIONS, onLadders, rungName, stepOf, type Program } from '@still-pine/core/program'
import { coldBursts } from '@still-pine/core/recheck'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { v7 as uuid } from 'uuid'
import { useArrivalsQuery, useMeQuery, usePutArrivalMutation, wordsFor } from '../../app/api'
import { Button } from '../../ui/button'
import { Loading } from '../../ui/loading'
import { dayOfYear } from '../../ui/words'
import { HorseHeader } from '../horse-header'
import { useHorse } from '../use-horse'
import { useTodaysAnswers } from '../use-todays-answers'

const namesOf = (program: Program, keys: readonly string[]): string =>
  keys.map((key) => stepOf(program, key)?.name ?? key).join(', ')

const holds = (program: Program, step: string, rung: number): string => {
  const known = stepOf(program, step)
  return known ? `“${rungName(known, rung)}”` : `rung ${rung}`
}

/** The page for the owner: what was shown, what is taken as known below it, and where the work begins. */
const Result = ({ arrival, program, name }: { arrival: Arrival; program: Program; name: string }) => {
  const { result } = arrival
  const shown = result.known.filter(({ how }) => how === 'shown')
  const below = result.known.filter(({ how }) => how === 'below')
  return (
    <article className="flex flex-col gap-4 border-t-4 border-ink bg-panel p-4">
      <div>
        <h2 className="text-2xl">How {name} arrived</h2>
        <p className="text-quiet">
          {dayOfYear(arrival.on)}, {count(result.asked, 'first ask')}, by {arrival.byName}
        </p>
      </div>
      <p className="text-lg font-bold">{result.end}</p>
      <section>
        <h3 className="text-xl">Shown, light and easy</h3>
        {shown.length === 0 && <p>Nothing yet: it begins at the beginning.</p>}
        <ul>
          {shown.map(({ step, name: words, rung }) => (
            <li key={step} className="border-t border-line py-1">
              <b>{words}</b> to {holds(program, step, rung)}
            </li>
          ))}
        </ul>
      </section>
      {result.failed.length > 0 && (
        <section>
          <h3 className="text-xl">Did not go</h3>
          <p>{namesOf(program, result.failed)}. This is where its work begins.</p>
        </section>
      )}
      {below.length > 0 && (
        <section>
          <h3 className="text-xl">Taken as known, since it lies below</h3>
          <p>{below.map(({ name: words }) => words).join(', ')}.</p>
        </section>
      )}
      <section>
        <h3 className="text-xl">Open for work now</h3>
        <p>{namesOf(program, result.opens)}.</p>
      </section>
      <p className="text-quiet">
        A first ask that went well is one answer. Every gate still wants its own evidence, asked on several
        days.
      </p>
    </article>
  )
}

interface RunningProps {
  readonly line: Line
  readonly check: ArrivalCheck
  readonly mayKeep: boolean
}

const burstsFor = (ask: ArrivalAsk) => coldBursts([ask])

const Running = ({ line, check, mayKeep }: RunningProps) => {
  const navigate = useNavigate()
  const [put, { isLoading }] = usePutArrivalMutation()
  // Made once, so that pressing twice keeps one.
  const [id] = useState(() => uuid())
  const { horse } = line
  const goOn = (ask: ArrivalAsk): void =>
    void navigate(`/pen/${horse.id}?gate=arrival`, { state: { bursts: burstsFor(ask) } })
  const keep = async (): Promise<void> => {
    const done = await put({ horseId: horse.id, id, on: line.day })
    if (done.error) toast.error(wordsFor(done.error))
    else toast('Kept. What it showed opens the next steps now.')
  }
  return (
    <section className="no-print flex flex-col gap-3">
      <p className="text-lg">
        {check.asked === 0
          ? 'One to three first asks a step, up the path in a safe order, until two steps do not go: ten to twenty minutes in the pen. What it shows opens the next steps at once; gates still want their own evidence.'
          : `${count(check.asked, 'ask')} so far today. ${check.next ? `Next: ${check.next.name}. ${check.next.reason}.` : check.end}`}
      </p>
      {check.asked === 0 && (
        <ul className="list-disc pl-6">
          {GENERAL_CAUTIONS.slice(0, 4).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap gap-3">
        {check.next && (
          <Button look="act" className="min-h-16 text-xl" onClick={() => goOn(check.next!)}>
            {check.asked === 0 ? 'Begin in the pen' : 'Go on in the pen'}
          </Button>
        )}
        {check.asked > 0 && mayKeep && (
          <Button
            look={check.next ? 'plain' : 'act'}
            className="min-h-16 text-xl"
            disabled={isLoading}
            onClick={() => void keep()}
          >
            Keep what it showed
          </Button>
        )}
      </div>
    </section>
  )
}

const isOf = (day: string) => (arrival: Arrival & { readonly result: ArrivalResult }) => arrival.on === day

/** A half-handled, restarted or bought-in horse: where on the path its work begins. */
const ArrivalPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: me } = useMeQuery()
  const { data, error: noArrivals, refetch } = useArrivalsQuery(horseId)
  const answers = useTodaysAnswers(line)
  if (!line || !program || !me || !data)
    return <Loading error={error ?? noArrivals} retry={() => (error ? retry() : void refetch())} />
  const check = arrivalCheck(
    program,
    onLadders(
      program,
      answers.filter(({ uncued }) => !uncued),
    ),
  )
  const [newest] = data.arrivals
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <div className="no-print flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-2xl">Arrival check</h2>
        {newest && (
          <Button className="phone:hidden" onClick={() => window.print()}>
            Print the result
          </Button>
        )}
      </div>
      {!data.arrivals.some(isOf(line.day)) && (
        <Running line={line} check={check} mayKeep={mayDo(me.person.role, 'edit-horse')} />
      )}
      {newest && <Result arrival={newest} program={program} name={line.horse.name} />}
    </main>
  )
}

export default ArrivalPage
