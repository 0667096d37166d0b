import type { Arrival, Line } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count } from '@still-pine/core/answer'
import { arrivalCheck, factsMissing, type ArrivalAsk, type ArrivalCheck } from '@still-pine/core/arrival'
import { GENERAL_CAUTIONS, onLadders } from '@still-pine/core/program'
import { coldBursts } from '@still-pine/core/recheck'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useQuery, useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { HorseHeader } from '../../shared/horse-header'
import { useHorse } from '../../shared/use-horse'
import { permitHorse } from '../../shared/permit-horse'
import { useTodaysAnswers } from '../use-todays-answers'
import { ArrivalSheet } from '../../shared/arrival-result'

interface RunningProps {
  readonly line: Line
  readonly check: ArrivalCheck
  readonly maySave: boolean
}

const burstsFor = (ask: ArrivalAsk) => coldBursts([ask])

const Running = ({ line, check, maySave }: RunningProps) => {
  const navigate = useNavigate()
  const [put, { isLoading }] = useCommand('putArrival')
  // Made once, so that pressing twice keeps one.
  const [id] = useState(() => uuid())
  const { horse } = line
  const goOn = (ask: ArrivalAsk): void =>
    void navigate(`/pen/${horse.id}?gate=arrival`, { state: { bursts: burstsFor(ask) } })
  const keep = async (): Promise<void> => {
    const done = await put({ horseId: horse.id, arrivalId: id, body: { on: line.day } })
    if (done.error) toast.error(wordsFor(done.error))
    else toast('Kept. What it showed opens the next steps now.')
  }
  return (
    <section className="no-print flex flex-col gap-3">
      <p className="text-lg">
        {check.asked === 0
          ? line.horse.handled
            ? 'Facts first, then one to three first asks a step, up the path without jumping anything, until two steps of a stage do not go: ten to twenty minutes in the pen. What it shows opens the next steps at once; gates still want their own evidence.'
            : check.end
          : `${count(check.asked, 'ask')} so far today. ${check.next ? `Next: ${check.next.name}. ${check.next.reason}. ${check.next.provided.join(' ')}` : check.end}`}
      </p>
      {check.asked === 0 && line.horse.handled && <FactsFirst line={line} />}
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
        {check.asked > 0 && maySave && (
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

/** What has to be known before the first ask: each is one press away. */
const FactsFirst = ({ line }: { line: Line }) => {
  const missing = factsMissing(line.facts)
  const { id } = line.horse
  return (
    <section className="border-t-4 border-ink bg-panel p-3">
      <h3 className="text-lg">Facts first</h3>
      {missing.length === 0 && line.facts.incidents.length === 0 && (
        <p>Its age, its mouth and a saddle are on record, and no incident is told.</p>
      )}
      <ul className="list-disc pl-6">
        {missing.map((words) => (
          <li key={words}>{words}</li>
        ))}
        {line.facts.incidents.length > 0 && <li>Incidents are on record: read them before you go in.</li>}
      </ul>
      <p className="flex flex-wrap gap-x-6">
        <Link className="inline-flex min-h-11 items-center underline" to={`/horses/${id}/edit`}>
          Age and how it is ridden
        </Link>
        <Link className="inline-flex min-h-11 items-center underline" to={`/horses/${id}/incidents`}>
          Mouth, saddle, incidents told
        </Link>
      </p>
    </section>
  )
}

/** A half-handled, restarted or bought-in horse: where on the path its work begins. */
const ArrivalPage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  const { data, error: noArrivals, refetch } = useQuery('arrivals', { horseId })
  const answers = useTodaysAnswers(line)
  if (!line || !program || !me || !data)
    return <Loading error={error ?? noArrivals} retry={() => (error ? retry() : void refetch())} />
  const check = arrivalCheck(
    { ...permitHorse(line, program), handled: line.horse.handled },
    onLadders(
      program,
      answers.filter(({ uncued }) => !uncued),
    ),
    line.day,
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
        <Running line={line} check={check} maySave={mayDo(me.person.role, 'edit-horse')} />
      )}
      {newest && <ArrivalSheet arrival={newest} name={line.horse.name} />}
    </main>
  )
}

export default ArrivalPage
