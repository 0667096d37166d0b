import type { Check, Incident } from '@still-pine/contract'
import { addDays } from '@still-pine/core/answer'
import { mayDo } from '@still-pine/contract/rights'
import { useState } from 'react'
import { toast } from 'sonner'
import { useCareQuery, useMeQuery, usePutCheckMutation, wordsFor } from '../../app/api'
import { Button } from '../../ui/button'
import { Loading } from '../../ui/loading'
import { longDay } from '../../ui/words'
import { HorseHeader } from '../horse-header'
import { NoticeList } from '../notice-list'
import { useHorse } from '../use-horse'
import { CheckForm, kindWord } from './check-form'
import { IncidentForm } from './incident-form'
import { INCIDENT_WORDS } from './incident-words'

const newestFirst = <T extends { on: string }>(list: readonly T[]): readonly T[] =>
  [...list].sort((a, b) => b.on.localeCompare(a.on))

const isInForce = ({ kind, until }: Check, today: string): boolean =>
  kind === 'veterinary-hold' && (until === null || until >= today)

const untilWords = ({ kind, until }: Check): string => {
  if (kind === 'veterinary-hold') return until === null ? ', until further word' : `, to ${longDay(until)}`
  return until === null ? '' : `, next on ${longDay(until)}`
}

/** A hold is lifted by its last day; one that began today still counts for today. */
const LiftHold = ({ check, horseId, today }: { check: Check; horseId: string; today: string }) => {
  const [put, { isLoading }] = usePutCheckMutation()
  const lift = async (): Promise<void> => {
    const { id, ...body } = check
    const yesterday = addDays(today, -1)
    const until = yesterday < body.on ? body.on : yesterday
    const done = await put({ horseId, id, body: { ...body, until } })
    if (done.error) toast.error(wordsFor(done.error))
    else
      toast('The hold is lifted.', {
        action: { label: 'Undo', onClick: () => void put({ horseId, id, body }) },
      })
  }
  return (
    <Button disabled={isLoading} onClick={() => void lift()}>
      The vet has lifted it
    </Button>
  )
}

const Checks = ({
  checks,
  horseId,
  today,
  mayRecord,
}: {
  checks: readonly Check[]
  horseId: string
  today: string
  mayRecord: boolean
}) => (
  <section>
    <h2 className="mb-2 text-2xl">Checks</h2>
    {checks.length === 0 && (
      <p>Nothing recorded. Gates before the first bit and the first saddle ask for a look.</p>
    )}
    <ul>
      {newestFirst(checks).map((check) => (
        <li
          key={check.id}
          className="flex flex-wrap items-center justify-between gap-2 border-t border-line py-2"
        >
          <span>
            <b>{kindWord(check.kind)}</b>, {longDay(check.on)}
            {untilWords(check)}
            {check.kind !== 'veterinary-hold' && (check.passed ? ': all well' : ': not right')}
            {check.note && `. ${check.note}`}
          </span>
          {mayRecord && isInForce(check, today) && <LiftHold check={check} horseId={horseId} today={today} />}
        </li>
      ))}
    </ul>
  </section>
)

/** Checks, holds and incidents: what the gates’ stops read. */
const CarePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data } = useCareQuery(horseId)
  const { data: me } = useMeQuery()
  const [telling, setTelling] = useState<Incident | 'new' | null>(null)
  if (!line || !program || !me) return <Loading error={error} retry={retry} />
  const stepName = (key: string | null): string => program.steps.find((step) => step.key === key)?.name ?? ''
  const mayRecord = mayDo(me.person.role, 'record-check')
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <NoticeList notices={line.notices} />
      <div className="grid gap-6 desk:grid-cols-2">
        <div className="flex flex-col gap-6">
          <Checks checks={data?.checks ?? []} horseId={horseId} today={line.day} mayRecord={mayRecord} />
          <section>
            <h2 className="mb-2 text-2xl">Incidents</h2>
            {data?.incidents.length === 0 && <p>None. In the pen, Danger records one in two taps.</p>}
            <ul>
              {newestFirst(data?.incidents ?? []).map((incident) => (
                <li key={incident.id} className="border-t border-line py-2">
                  <b>{INCIDENT_WORDS[incident.kind]}</b>, {longDay(incident.on)}
                  {incident.serious && ', a person was up or the horse fell'}. {stepName(incident.step)}
                  {incident.side && `, ${incident.side}`}
                  {incident.where && `. Where: ${incident.where}`}
                  {incident.before && `. Before: ${incident.before}`}
                  {incident.after && `. After: ${incident.after}`}{' '}
                  <Button look="quiet" className="no-print" onClick={() => setTelling(incident)}>
                    Tell more
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        </div>
        <div className="flex flex-col gap-6">
          {telling === null ? (
            <Button className="no-print self-start" onClick={() => setTelling('new')}>
              Record an incident
            </Button>
          ) : (
            <IncidentForm
              key={telling === 'new' ? 'new' : telling.id}
              horseId={horseId}
              today={line.day}
              program={program}
              told={telling === 'new' ? null : telling}
              onDone={() => setTelling(null)}
            />
          )}
          {mayRecord && <CheckForm horseId={horseId} today={line.day} />}
        </div>
      </div>
    </main>
  )
}

export default CarePage
