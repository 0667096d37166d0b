import { PutIncident, type Check, type Incident } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { addDays } from '@still-pine/core/answer'
import type { Program } from '@still-pine/core/program'
import { toast } from '../../ui/toast'
import { useQuery, useCommand, wordsFor } from '../../app/client'
import { useCare } from '../use-care'
import { saveHere } from '../../offline/save'
import { Button } from '../../ui/button'
import { Loading } from '../../shared/loading'
import { longDay } from '../../shared/words'
import { Attachments } from '../../shared/attachments/attachments'
import { EditList } from '../../shared/edit-list'
import { HorseHeader } from '../../shared/horse-header'
import { NoticeList } from '../../shared/notice-list'
import { ShutList } from '../../shared/shut-list'
import { useHorse } from '../../shared/use-horse'
import { CheckForm, formOfCheck, kindWord, LEAVES_WORDS } from './check-form'
import { EarlierWordings } from './earlier-wordings'
import { formOfIncident, IncidentForm } from './incident-form'
import { HURT_WORDS, INCIDENT_WORDS } from '../../shared/incident-words'
import { Patterns } from './patterns'
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
  readonly checks: readonly Check[] | undefined
  readonly horseId: string
  readonly today: string
  readonly mayRecord: boolean
}

const Checks = ({ checks, horseId, today, mayRecord }: ChecksProps) => {
  const [put] = useCommand('putCheck')
  const withdraw = async (check: Check, withdrawn: string | null): Promise<void> => {
    const done = await put({ horseId, checkId: check.id, body: { ...formOfCheck(check), withdrawn } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <EditList
      title="Checks"
      one="check"
      empty="Nothing recorded. Gates before the first bit and the first saddle ask for a look."
      items={checks && newestFirst(checks)}
      mayEdit={mayRecord}
      name={({ kind }) => kindWord(kind)}
      words={checkWords}
      isStruck={({ withdrawn }) => withdrawn !== null}
      beneath={({ id, earlier, withdrawn }) => (
        <>
          <EarlierWordings
            earlier={earlier}
            withdrawn={withdrawn}
            words={(was) => `${kindWord(was.kind)}, ${checkWords(was)}`}
          />
          <Attachments record={{ to: 'check', recordId: id, horseId }} adding="folded" />
        </>
      )}
      actions={(check) => (
        <>
          {isInForce(check, today) && <LiftHold check={check} horseId={horseId} today={today} />}
          <Withdraw isWithdrawn={check.withdrawn !== null} put={(because) => void withdraw(check, because)} />
        </>
      )}
      form={(check, close) => <CheckForm horseId={horseId} today={today} told={check} onDone={close} />}
    />
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
  readonly incidents: readonly Incident[] | undefined
  readonly program: Program
  readonly line: { readonly horseId: string; readonly today: string }
  readonly personId: string
}

const Incidents = ({ incidents, program, line: { horseId, today }, personId }: IncidentsProps) => {
  const withdraw = (one: Incident, withdrawn: string | null): void => {
    const incident = PutIncident.parse({ ...formOfIncident(one), withdrawn })
    void saveHere(personId, horseId, { do: 'incident', id: one.id, horseId, incident })
  }
  return (
    <EditList
      title="Incidents"
      one="incident"
      empty="None. In the pen, Danger records one in two taps."
      items={incidents && newestFirst(incidents)}
      mayEdit
      name={({ kind }) => INCIDENT_WORDS[kind]}
      words={(incident) => incidentWords(incident, program)}
      isStruck={({ withdrawn }) => withdrawn !== null}
      beneath={({ id, earlier, withdrawn }) => (
        <>
          <EarlierWordings
            earlier={earlier}
            withdrawn={withdrawn}
            words={(was) => `${INCIDENT_WORDS[was.kind]}, ${incidentWords(was, program)}`}
          />
          <Attachments record={{ to: 'incident', recordId: id, horseId }} adding="folded" />
        </>
      )}
      actions={(incident) => (
        <Withdraw isWithdrawn={incident.withdrawn !== null} put={(because) => withdraw(incident, because)} />
      )}
      form={(incident, close) => (
        <IncidentForm horseId={horseId} today={today} program={program} told={incident} onDone={close} />
      )}
    />
  )
}

/** Checks, holds and incidents: what may be asked hangs on them. */
const CarePage = () => {
  const { horseId, line, program, error, retry } = useHorse()
  const { data } = useCare(horseId)
  const { data: me } = useQuery('me')
  if (!line || !program || !me) return <Loading error={error} retry={retry} />
  return (
    <main className="flex flex-col gap-5 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <ShutList horseId={horseId} shut={line.shut} />
      <NoticeList notices={line.notices.filter(({ tone }) => tone !== 'stop')} />
      <div className="grid gap-6 desk:grid-cols-2">
        <Checks
          checks={data?.checks}
          horseId={horseId}
          today={line.day}
          mayRecord={mayDo(me.person.role, 'record-check')}
        />
        <Incidents
          incidents={data?.incidents}
          program={program}
          line={{ horseId, today: line.day }}
          personId={me.person.id}
        />
      </div>
      {data && <Patterns horseId={horseId} incidents={data.incidents} program={program} />}
    </main>
  )
}

export default CarePage
