import { knownStep, markOf, rungAt, type Program } from '@still-pine/core/program'
import type { Side } from '@still-pine/core/answer'
import type { TodayRow } from '@still-pine/contract'
import { useState } from 'react'
import { Picker, RungPicker, SidePicker } from '../../shared/pickers'
import { useQuery } from '../../app/client'
import {
  asAnswerTo,
  ofHorse,
  type Remedy,
  saidAt,
  sendMended,
  shifted,
  type Waiting,
} from '@still-pine/device'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'

type Group = readonly Waiting[]
interface Props {
  readonly group: Group
  readonly rows: readonly TodayRow[]
}

const sendAll = async (group: Group, mend: (entry: Waiting) => Waiting['item'], horseId?: string) => {
  for (const entry of group) await sendMended(entry.order, mend(entry), horseId ?? entry.horseId)
}

const ToHorse = ({ group, rows }: Props) => {
  const [horseId, setHorse] = useState(
    rows.find(({ horse }) => horse.id === group[0]!.horseId)?.horse.id ?? rows[0]?.horse.id ?? '',
  )
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Picker label="They belong to" value={horseId} onPick={setHorse}>
        {rows.map(({ horse }) => (
          <option key={horse.id} value={horse.id}>
            {horse.name}
          </option>
        ))}
      </Picker>
      <Button
        look="act"
        disabled={horseId === ''}
        onClick={() => void sendAll(group, ({ item }) => ofHorse(item, horseId), horseId)}
      >
        Send them so
      </Button>
    </div>
  )
}

/** "2026-05-14T09:30" in this device's own time, as the browser's field wants it. */
const localTime = (iso: string): string => {
  const at = new Date(iso)
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}

const ToTime = ({ group }: Props) => {
  const began = saidAt(group[0]!.item)
  const [at, setAt] = useState(() => localTime(new Date().toISOString()))
  const isTime = !Number.isNaN(Date.parse(at))
  const by = isTime ? Date.parse(at) - Date.parse(began) : 0
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label="It really began">
        {(props) => (
          <input
            type="datetime-local"
            className={INPUT}
            value={at}
            onChange={(event) => setAt(event.target.value)}
            {...props}
          />
        )}
      </Field>
      <Button
        look="act"
        disabled={!isTime}
        onClick={() => void sendAll(group, ({ item }) => shifted(item, by))}
      >
        Send {group.length === 1 ? 'it' : 'all'} at that time
      </Button>
    </div>
  )
}

const OneAnswer = ({ entry, program }: { entry: Waiting; program: Program }) => {
  const answer = entry.item.do === 'add' ? entry.item.answer : null
  const [key, setKey] = useState(answer?.step ?? '')
  const asked = answer && knownStep(program, answer.step)
  const [rung, setRung] = useState(asked ? rungAt(asked, answer.rung) : 1)
  const [side, setSide] = useState<Side>(answer?.side ?? 'none')
  const step = knownStep(program, key) ?? program.steps[0]!
  const realSide: Side = step.sided ? (side === 'none' ? 'left' : side) : 'none'
  const realRung = Math.min(rung, step.rungs.length)
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Picker label="Step" value={step.key} onPick={setKey}>
        {program.steps.map(({ key: one, name }) => (
          <option key={one} value={one}>
            {name}
          </option>
        ))}
      </Picker>
      {step.sided && <SidePicker side={realSide} onPick={setSide} />}
      <RungPicker step={step} rung={realRung} onPick={setRung} />
      <Button
        look="act"
        onClick={() =>
          void sendAll([entry], ({ item }) =>
            asAnswerTo(item, { step: step.key, rung: markOf(step, realRung), side: realSide }),
          )
        }
      >
        Send it so
      </Button>
    </div>
  )
}

const ToAnswer = ({ group, rows }: Props) => {
  const row = rows.find(({ horse }) => horse.id === group[0]!.horseId)
  const { currentData } = useQuery('program', { programId: row?.horse.programId ?? '' }, { skip: !row })
  if (!currentData) return null
  return group
    .filter(({ item }) => item.do === 'add')
    .map((entry) => <OneAnswer key={entry.order} entry={entry} program={currentData.program} />)
}

const Again = ({ group }: Props) => (
  <Button onClick={() => void sendAll(group, ({ item }) => item)}>Send it again as it is</Button>
)

const FORMS: Record<Remedy, (props: Props) => React.ReactNode> = {
  horse: ToHorse,
  time: ToTime,
  answer: ToAnswer,
  again: Again,
}

/** What a person can do about entries that were refused, by what was wrong with them. */
export const MendGroup = ({ remedy, ...props }: Props & { remedy: Remedy }) => {
  const Form = FORMS[remedy]
  return <Form {...props} />
}
