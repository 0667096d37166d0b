import type { Arrival, Line } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import { arrivalCheck, type ArrivalAsk, type ArrivalCheck } from '@still-pine/core/arrival'
import { GENERAL_CAUTIONS, onLadders } from '@still-pine/core/program'
import { coldBursts } from '@still-pine/core/recheck'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { v7 as uuid } from 'uuid'
import { useArrivalsQuery, useMeQuery, usePutArrivalMutation, wordsFor } from '../../app/api'
import { Button } from '../../ui/button'
import { Loading } from '../../ui/loading'
import { HorseHeader } from '../horse-header'
import { useHorse } from '../use-horse'
import { useTodaysAnswers } from '../use-todays-answers'
import { ArrivalSheet } from './arrival-result'

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

const isOf = (day: string) => (arrival: Arrival) => arrival.on === day

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
      {newest && <ArrivalSheet arrival={newest} name={line.horse.name} />}
    </main>
  )
}

export default ArrivalPage
