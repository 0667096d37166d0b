import type { Line } from '@still-pine/contract'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { toast } from 'sonner'
import { v7 as uuid } from 'uuid'
import { mayDo } from '@still-pine/contract/rights'
import { useMeQuery, usePutConfirmationsMutation, usePutOverruleMutation, wordsFor } from '../app/api'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'
import { Loading } from '../ui/loading'
import { longDay, percent, STATE_WORDS, VERDICTS } from '../ui/words'
import { useHorse } from './use-horse'

type Gate = Line['gates'][number]

const TONE: Record<Gate['verdict'], string> = {
  go: 'border-solid text-solid',
  'check-first': 'border-worn text-worn',
  'not-yet': 'border-ink text-ink',
  stop: 'border-stop text-stop',
}

const CONFIRM = {
  helper: 'A second person is here',
  helmet: 'Helmet on',
  'safe-rail': 'Safe rail and quick release',
  company: 'A quiet horse comes along',
} as const

type Confirmable = keyof typeof CONFIRM

const sideWord = (side: string): string => (side === 'none' ? '' : `, ${side}`)

const Tracks = ({ gate, program, horseId }: { gate: Gate; program: Program; horseId: string }) => (
  <table className="w-full border-collapse">
    <caption className="mb-2 text-left font-name text-lg font-bold">What it looks at</caption>
    <thead className="text-left text-quiet">
      <tr>
        <th scope="col">Step</th>
        <th scope="col">Must be</th>
        <th scope="col">Is</th>
        <th scope="col">Chance</th>
      </tr>
    </thead>
    <tbody>
      {gate.tracks.map((track) => {
        const step = stepOf(program, track.step)!
        return (
          <tr key={`${track.step}${track.side}`} className="border-t border-line align-top">
            <th scope="row" className="py-2 pr-3 text-left font-normal">
              <Link className="underline" to={`/horses/${horseId}/steps/${track.step}`}>
                {track.name}
                {sideWord(track.side)}
              </Link>
              <span className="block text-quiet">{rungName(step, track.rung)}</span>
            </th>
            <td className="py-2">{track.must === 'solid' ? 'Solid' : 'met'}</td>
            <td className="py-2 font-bold">
              {track.must === 'solid' ? STATE_WORDS[track.state] : track.holds ? 'met' : 'not met'}
            </td>
            <td className="py-2">
              {percent(track.chance)}, not tight {percent(track.calmChance)}
            </td>
          </tr>
        )
      })}
    </tbody>
  </table>
)

const DueAsks = ({ gate, program, horseId }: { gate: Gate; program: Program; horseId: string }) => (
  <section>
    <h2 className="mb-2 text-lg">Run these first</h2>
    <ul className="flex flex-col gap-2">
      {gate.due.map((due) => (
        <li
          key={`${due.step}${due.side}`}
          className="flex flex-wrap items-center justify-between gap-2 border-t border-line py-2"
        >
          <span>
            <b>
              {due.name}
              {sideWord(due.side)}
            </b>
            , {rungName(stepOf(program, due.step)!, due.rung)}: {due.asks}{' '}
            {due.asks === 1 ? 'cold ask' : 'asks, the first cold'}
            {due.places.length > 0 && `, from place ${due.places.join(', ')}`}. {due.reason}.
          </span>
          <Link
            className="inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act"
            to={`/pen/${horseId}?step=${due.step}`}
          >
            Ask it
          </Link>
        </li>
      ))}
    </ul>
    <p className="mt-2">Each passes when its first answer is light and not tight.</p>
  </section>
)

const Confirmations = ({
  gate,
  line,
  confirmable,
}: {
  gate: Gate
  line: Line
  confirmable: readonly Confirmable[]
}) => {
  const missing = new Set(gate.stops.map(({ rule }) => rule as string))
  const [confirm] = usePutConfirmationsMutation()
  // What was just ticked stands at once; the server's word replaces it when it comes.
  const [ticked, setTicked] = useState<readonly Confirmable[] | null>(null)
  const standing = ticked ?? confirmable.filter((rule) => !missing.has(rule))
  const toggle = async (rule: Confirmable): Promise<void> => {
    const next = standing.includes(rule) ? standing.filter((one) => one !== rule) : [...standing, rule]
    setTicked(next)
    const done = await confirm({ horseId: line.horse.id, day: line.day, body: { confirmed: next } })
    if (!done.error) return
    setTicked(null)
    toast.error(wordsFor(done.error))
  }
  return (
    <section>
      <h2 className="mb-2 text-lg">Confirmed at the pen, today only</h2>
      {confirmable.map((rule) => (
        <label key={rule} className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={standing.includes(rule)}
            onChange={() => void toggle(rule)}
          />
          {CONFIRM[rule]}
        </label>
      ))}
    </section>
  )
}

const Overrule = ({ gate, horseId }: { gate: Gate; horseId: string }) => {
  const [reason, setReason] = useState('')
  const [putOverrule, { error, isLoading }] = usePutOverruleMutation()
  const send = async (): Promise<void> => {
    const done = await putOverrule({ horseId, id: uuid(), body: { gate: gate.gate, reason } })
    if (!done.error) setReason('')
  }
  return (
    <details className="no-print">
      <summary className="min-h-11 font-bold">Go on all the same, with a reason</summary>
      <form
        className="mt-2 flex max-w-xl flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void send()
        }}
      >
        <Field
          label="Why"
          hint="It is kept with your name and the time, beside how it went."
          error={error ? wordsFor(error) : undefined}
        >
          {(props) => (
            <textarea
              className={INPUT}
              rows={3}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
              {...props}
            />
          )}
        </Field>
        <Button type="submit" className="self-start" disabled={isLoading || reason.trim().length < 10}>
          Overrule {VERDICTS[gate.verdict]}
        </Button>
      </form>
    </details>
  )
}

/** One gate on one day: its verdict and all that stands behind it. */
const GatePage = () => {
  const { gateKey = '' } = useParams()
  const { data: me } = useMeQuery()
  const { horseId, line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  const gate = line.gates.find((one) => one.gate === gateKey)
  const spec = program.gates.find(({ key }) => key === gateKey)
  if (!gate || !spec)
    return <Loading error={{ data: { title: `“${gateKey}” is not a gate of this horse’s program.` } }} />
  const confirmable = spec.stops.filter((rule): rule is Confirmable => rule in CONFIRM)
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
      {overrules.map((one) => (
        <p key={one.id} className="border-l-4 border-worn bg-panel px-4 py-2">
          Overruled today by {one.byName} ({VERDICTS[one.verdict]}): {one.reason}
        </p>
      ))}
      <div className="grid gap-6 desk:grid-cols-[1.3fr_1fr]">
        <div className="flex flex-col gap-5">
          {gate.due.length > 0 && gate.verdict === 'check-first' && (
            <DueAsks gate={gate} program={program} horseId={horseId} />
          )}
          <Tracks gate={gate} program={program} horseId={horseId} />
        </div>
        <div className="flex flex-col gap-5">
          <section>
            <h2 className="mb-1 text-lg">Likely misses</h2>
            <p>{gate.likelyMissesWords}</p>
          </section>
          <section>
            <h2 className="mb-1 text-lg">The weakest</h2>
            <ol className="flex flex-col gap-1">
              {gate.weakest.map((track) => (
                <li key={`${track.step}${track.side}`}>
                  <b>{track.name}</b>, {track.words}. {percent(track.chance * track.calmChance)} light and
                  easy.
                </li>
              ))}
            </ol>
          </section>
          {confirmable.length > 0 && <Confirmations gate={gate} line={line} confirmable={confirmable} />}
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
            <Overrule gate={gate} horseId={horseId} />
          )}
        </div>
      </div>
    </main>
  )
}

export default GatePage
