import { chancePercent } from '@still-pine/core/answer'
import type { Line } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { Link, useParams } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { longDay, VERDICTS } from '../../shared/words'
import { useHorse } from '../../shared/use-horse'
import { isWeighed } from '@still-pine/core/facts'
import { isConfirmation } from '@still-pine/core/readiness'
import { ShutList } from '../../shared/shut-list'
import { Confirmations } from '../../shared/confirmations'
import { TakeBack } from './overrule-form'
import { DueAsks } from './due-asks'
import { LawNotes } from '../../shared/law-notes'
import { lawsOf } from '../../shared/law-words'
import { GateTracks } from './gate-tracks'
import { MissingTwins } from './missing-twins'
import { HandOverTicks } from './hand-over-ticks'
import { OverruleForm } from './overrule-form'

type Gate = Line['gates'][number]

const TONE: Record<Gate['verdict'], string> = {
  go: 'border-solid text-solid',
  'check-first': 'border-worn text-worn',
  'not-yet': 'border-ink text-ink',
  stop: 'border-stop text-stop',
}

/** One gate on one day: its verdict and all that stands behind it. */
const GatePage = () => {
  const { gateKey = '' } = useParams()
  const { data: me } = useQuery('me')
  const { horseId, line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  const gate = line.gates.find((one) => one.gate === gateKey)
  const spec = program.gates.find(({ key }) => key === gateKey)
  if (!gate || !spec)
    return <Loading error={{ data: { title: `“${gateKey}” is not a gate of this horse’s program.` } }} />
  // What the scale says nobody has to say.
  const confirmable = spec.stops
    .filter(isConfirmation)
    .filter((rule) => rule !== 'rider-share' || !isWeighed(line.facts))
  const overrules = line.overrules.filter((one) => one.gate === gateKey)
  const mayOverrule = me !== undefined && mayDo(me.person.role, 'overrule-gate')
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <h1 className="text-3xl">
        <Link to={`/horses/${horseId}`} className="underline decoration-2 underline-offset-4">
          {line.horse.name}
        </Link>
        : {gate.name} gate
      </h1>
      <div className={`border-l-8 bg-panel px-5 py-4 ${TONE[gate.verdict]}`}>
        <p className="font-name text-4xl font-extrabold">{VERDICTS[gate.verdict]}</p>
        <p className="text-lg text-ink">
          {longDay(gate.day)}. {gate.sentence}
        </p>
      </div>
      <LawNotes horseId={horseId} about={lawsOf(spec)} />
      {gateKey === 'first-time-up' && (
        <>
          <Link className="no-print inline-flex min-h-11 items-center underline" to={`/pen/${horseId}/up`}>
            The run sheet for two
          </Link>
          <MissingTwins horseId={horseId} />
        </>
      )}
      {gateKey === 'farrier' && (
        <Link
          className="no-print inline-flex min-h-11 items-center underline"
          to={`/horses/${horseId}/farrier`}
        >
          A sheet for the farrier, to print
        </Link>
      )}
      <ShutList horseId={horseId} shut={line.shut} gates={false} />
      {overrules.map((one) => (
        <p key={one.id} className="border-l-4 border-worn bg-panel px-4 py-2">
          <span className={one.takenBack ? 'line-through' : ''}>
            Overruled today by {one.byName} ({VERDICTS[one.verdict]}): {one.reason}
          </span>
          {one.takenBack ? ' Taken back.' : mayOverrule && <TakeBack overrule={one} horseId={horseId} />}
        </p>
      ))}
      <div className="grid gap-6 desk:grid-cols-[1.3fr_1fr]">
        <div className="flex flex-col gap-5">
          {gate.due.length > 0 && gate.verdict === 'check-first' && (
            <DueAsks gate={gate} program={program} horseId={horseId} />
          )}
          {gate.tracks.length > 0 && <GateTracks gate={gate} program={program} horseId={horseId} />}
          {spec.ticked && <HandOverTicks line={line} program={program} />}
        </div>
        <div className="flex flex-col gap-5">
          {gate.tracks.length > 0 && (
            <section>
              <h2 className="mb-1 text-lg">Likely misses</h2>
              <p>{gate.likelyMissesWords}</p>
              <h2 className="mt-4 mb-1 text-lg">The weakest</h2>
              <ol className="flex flex-col gap-1">
                {gate.weakest.map((track) => (
                  <li key={`${track.step}${track.side}`}>
                    <b>{track.name}</b>, {track.words}. {chancePercent(track.chance * track.calmChance)} light
                    and easy.
                  </li>
                ))}
              </ol>
            </section>
          )}
          {confirmable.length > 0 && <Confirmations line={line} confirmable={confirmable} />}
          <section>
            <h2 className="mb-1 text-lg">Carry out</h2>
            <p>{gate.kit.join(', ')}</p>
            <h2 className="mt-3 mb-1 text-lg text-stop">Take care</h2>
            <ul>
              {gate.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          </section>
          {mayOverrule && (gate.verdict === 'not-yet' || gate.verdict === 'check-first') && (
            <OverruleForm gate={gate} horseId={horseId} />
          )}
        </div>
      </div>
    </main>
  )
}

export default GatePage
