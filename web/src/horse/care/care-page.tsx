import { PutIncident, type Check, type Incident } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { addDays } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { useQuery, useCommand, wordsFor } from '../../app/client'
import { useCare } from '../use-care'
import { keepHere } from '../../offline/keep'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { longDay } from '../../shared/words'
import { HorseHeader } from '../../shared/horse-header'
import { NoticeList } from '../../shared/notice-list'
import { ShutList } from '../../shared/shut-list'
import { useHorse } from '../../shared/use-horse'
import { CheckForm, formOfCheck, kindWord, LEAVES_WORDS } from './check-form'
import { EarlierWordings } from './earlier-wordings'
import { formOfIncident, IncidentForm } from './incident-form'
import { HURT_WORDS, INCIDENT_WORDS } from '../../shared/incident-words'
import { Withdraw } from './withdraw'

const newestFirst = <T extends { on: string }>(list: readonly T[]): readonly T[] =>
  [...list].sort((a, b) => b.on.localeCompare(a.on))

const isInForce = ({ kind, until, withdrawn }: Check, today: string): boolean =>
  kind === 'veterinary-hold' && !withdrawn && (until === null || until >= today)

type CheckWording = Omit<Check, 'id' | 'withdrawn' | 'earlier'>

const checkWords = ({ kind, on, until, passed, leaves, note }: CheckWording): string => {
  const isHold = kind === 'veterinary-hold'
  const ends =
    until === null
      ? isHold
        ? ', until further word'
        : ''
      : isHold
        ? `, to ${longDay(until)}`
        : `, next on ${longDay(until)}`
  const how = isHold ? `, leaves ${LEAVES_WORDS[leaves ?? 'nothing']}` : passed ? ': all well' : ': not right'
  return `${longDay(on)}${ends}${how}${note && `. ${note}`}`
}

/** A hold is lifted by its last day; one that began today still counts for today. */
const LiftHold = ({ check, horseId, today }: { check: Check; horseId: string; today: string }) => {
  const [put, { isLoading }] = useCommand('putCheck')
  const lift = async (): Promise<void> => {
    const body = formOfCheck(check)
    const yesterday = addDays(today, -1)
    const until = yesterday < body.on ? body.on : yesterday
    const done = await put({
      horseId,
      checkId: check.id,
      body: { ...body, until, because: 'the vet lifted it' },
    })
    if (done.error) toast.error(wordsFor(done.error))
    else
      toast('The hold is lifted.', {
        action: { label: 'Undo', onClick: () => void put({ horseId, checkId: check.id, body }) },
      })
  }
  return (
    <Button disabled={isLoading} onClick={() => void lift()}>
      The vet has lifted it
    </Button>
  )
}

interface ChecksProps {
  readonly checks: readonly Check[]
  readonly horseId: string
  readonly today: string
  readonly mayRecord: boolean
  readonly correct: (check: Check) => void
}

const Checks = ({ checks, horseId, today, mayRecord, correct }: ChecksProps) => {
  const [put] = useCommand('putCheck')
  const withdraw = async (check: Check, withdrawn: string | null): Promise<void> => {
    const done = await put({ horseId, checkId: check.id, body: { ...formOfCheck(check), withdrawn } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <section>
      <h2 className="mb-2 text-2xl">Checks</h2>
      {checks.length === 0 && (
        <p>Nothing recorded. Gates before the first bit and the first saddle ask for a look.</p>
      )}
      <ul>
        {newestFirst(checks).map((check) => (
          <li key={check.id} className="border-t border-line py-2">
            <span className={check.withdrawn ? 'text-quiet line-through' : ''}>
              <b>{kindWord(check.kind)}</b>, {checkWords(check)}
            </span>
            <EarlierWordings
              earlier={check.earlier}
              withdrawn={check.withdrawn}
              words={(was) => `${kindWord(was.kind)}, ${checkWords(was)}`}
            />
            {mayRecord && (
              <span className="flex flex-wrap gap-x-3">
                {isInForce(check, today) && <LiftHold check={check} horseId={horseId} today={today} />}
                <Button look="quiet" className="no-print" onClick={() => correct(check)}>
                  Correct
                </Button>
                <Withdraw
                  isWithdrawn={check.withdrawn !== null}
                  put={(because) => void withdraw(check, because)}
                />
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

type IncidentWording = Omit<Incident, 'id' | 'withdrawn' | 'earlier'>

const incidentWords = (incident: IncidentWording, program: Program): string => {
  const step = program.steps.find(({ key }) => key === incident.step)?.name ?? ''
  return [
    longDay(incident.on),
    incident.mounted ? 'somebody was riding' : '',
    incident.fell ? 'it fell' : '',
    incident.hurt === 'none' ? '' : HURT_WORDS[incident.hurt],
    step,
    incident.side ?? '',
  ]
    .filter(Boolean)
    .join(', ')
    .concat(
      incident.where && `. Where: ${incident.where}`,
      incident.before && `. Before: ${incident.before}`,
      incident.after && `. After: ${incident.after}`,
    )
}

interface IncidentsProps {
  readonly incidents: readonly Incident[]
  readonly program: Program
  readonly horseId: string
  readonly personId: string
  readonly correct: (incident: Incident) => void
}

const Incidents = ({ incidents, program, horseId, personId, correct }: IncidentsProps) => {
  const withdraw = (one: Incident, withdrawn: string | null): void => {
    const incident = PutIncident.parse({ ...formOfIncident(one), withdrawn })
    void keepHere(personId, horseId, { do: 'incident', id: one.id, horseId, incident })
  }
  return (
    <section>
      <h2 className="mb-2 text-2xl">Incidents</h2>
      {incidents.length === 0 && <p>None. In the pen, Danger records one in two taps.</p>}
      <ul>
        {newestFirst(incidents).map((incident) => (
          <li key={incident.id} className="border-t border-line py-2">
            <span className={incident.withdrawn ? 'text-quiet line-through' : ''}>
              <b>{INCIDENT_WORDS[incident.kind]}</b>, {incidentWords(incident, program)}
            </span>
            <EarlierWordings
              earlier={incident.earlier}
              withdrawn={incident.withdrawn}
              words={(was) => `${INCIDENT_WORDS[was.kind]}, ${incidentWords(was, program)}`}
            />
            <span className="flex flex-wrap gap-x-3">
              <Button look="quiet" className="no-print" onClick={() => correct(incident)}>
                Tell more or correct
              </Button>
              <Withdraw
                isWithdrawn={incident.withdrawn !== null}
                put={(because) => withdraw(incident, because)}
              />
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

type Telling = { readonly incident: Incident | 'new' } | { readonly check: Check } | null

/** Checks, holds and incidents: what may be asked hangs on them. */
const CarePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data } = useCare(horseId)
  const { data: me } = useQuery('me')
  const [telling, setTelling] = useState<Telling>(null)
  if (!line || !program || !me) return <Loading error={error} retry={retry} />
  const mayRecord = mayDo(me.person.role, 'record-check')
  const done = (): void => setTelling(null)
  const incident = telling && 'incident' in telling ? telling.incident : null
  const check = telling && 'check' in telling ? telling.check : null
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <NoticeList notices={line.notices.filter(({ tone }) => tone !== 'stop')} />
      <div className="grid gap-6 desk:grid-cols-2">
        <div className="flex flex-col gap-6">
          <Checks
            checks={data?.checks ?? []}
            horseId={horseId}
            today={line.day}
            mayRecord={mayRecord}
            correct={(one) => setTelling({ check: one })}
          />
          <Incidents
            incidents={data?.incidents ?? []}
            program={program}
            horseId={horseId}
            personId={me.person.id}
            correct={(one) => setTelling({ incident: one })}
          />
        </div>
        <div className="flex flex-col gap-6">
          {incident === null ? (
            <Button className="no-print self-start" onClick={() => setTelling({ incident: 'new' })}>
              Record an incident
            </Button>
          ) : (
            <IncidentForm
              key={incident === 'new' ? 'new' : incident.id}
              horseId={horseId}
              today={line.day}
              program={program}
              told={incident === 'new' ? null : incident}
              onDone={done}
            />
          )}
          {mayRecord && (
            <CheckForm
              key={check?.id ?? 'new'}
              horseId={horseId}
              today={line.day}
              told={check}
              onDone={done}
            />
          )}
        </div>
      </div>
    </main>
  )
}

export default CarePage
