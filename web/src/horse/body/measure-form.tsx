import { PutMeasurement, type Measurement } from '@still-pine/contract'
import { useState, type FormEvent } from 'react'
import { Button } from '../../ui/button'
import { ChoiceField, LinesField, TextField } from '../../ui/inputs'
import { cmOf, heightCmOf, kgOf, type Units } from './units'

interface Props {
  readonly today: string
  /** The one to correct. */
  readonly told: Measurement | null
  readonly onPut: (measurement: PutMeasurement) => void
}

const FIELDS = ['girth', 'length', 'withers', 'croup', 'scale'] as const
type FieldName = (typeof FIELDS)[number]

const LABELS: Readonly<Record<FieldName, readonly [label: string, hint: string]>> = {
  girth: ['Girth', 'round the barrel, close behind the withers and the elbow'],
  length: ['Length', 'from the point of the shoulder to the point of the buttock'],
  withers: ['Withers', 'standing square, on level ground'],
  croup: ['Croup', 'its highest point'],
  scale: ['On a scale', 'where there is one'],
}

const unitOf = (field: FieldName, units: Units): string => {
  if (field === 'scale') return units === 'metric' ? 'kg' : 'lb'
  if (units === 'metric') return 'cm'
  return field === 'withers' || field === 'croup' ? 'hands, 15.2' : 'inches'
}

/** Where each is said in what is put. */
const PUT_AS: Readonly<Record<FieldName, keyof PutMeasurement>> = {
  girth: 'girthCm',
  length: 'lengthCm',
  withers: 'withersCm',
  croup: 'croupCm',
  scale: 'scaleKg',
}

const asTyped = (value: number | null): string => (value === null ? '' : String(Math.round(10 * value) / 10))

const SCORES = Array.from({ length: 17 }, (_, i) => 1 + i / 2)

/** What was measured on a day, in the units of the tape at hand; anything may be left out. */
export const MeasureForm = ({ today, told, onPut }: Props) => {
  const [units, setUnits] = useState<Units>('metric')
  const [on, setOn] = useState(told?.on ?? today)
  const [condition, setCondition] = useState(told?.condition ?? null)
  const [note, setNote] = useState(told?.note ?? '')
  const [typed, setTyped] = useState<Record<FieldName, string>>({
    girth: asTyped(told?.girthCm ?? null),
    length: asTyped(told?.lengthCm ?? null),
    withers: asTyped(told?.withersCm ?? null),
    croup: asTyped(told?.croupCm ?? null),
    scale: asTyped(told?.scaleKg ?? null),
  })
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const send = (event: FormEvent): void => {
    event.preventDefault()
    const read = PutMeasurement.safeParse({
      on,
      girthCm: cmOf(typed.girth, units),
      lengthCm: cmOf(typed.length, units),
      withersCm: heightCmOf(typed.withers, units),
      croupCm: heightCmOf(typed.croup, units),
      scaleKg: kgOf(typed.scale, units),
      condition,
      note,
    })
    if (read.success) return onPut(read.data)
    setFaults(
      Object.fromEntries(
        read.error.issues.map(({ path, message, code }) => [
          String(path[0]),
          code === 'invalid_type' ? 'This is not a number that can be read.' : message,
        ]),
      ),
    )
  }
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <div className="grid gap-3 desk:grid-cols-2">
        <TextField
          label="On"
          type="date"
          max={today}
          value={on}
          error={faults.on}
          onChange={(event) => setOn(event.target.value)}
        />
        {!told && (
          <ChoiceField
            label="Measured in"
            words={[
              ['metric', 'centimetres and kilograms'],
              ['imperial', 'inches, hands and pounds'],
            ]}
            value={units}
            onChange={(event) => setUnits(event.target.value as Units)}
          />
        )}
        {FIELDS.map((field) => (
          <TextField
            key={field}
            label={`${LABELS[field][0]}, ${unitOf(field, units)}`}
            hint={LABELS[field][1]}
            inputMode="decimal"
            value={typed[field]}
            error={faults[PUT_AS[field]]}
            onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
          />
        ))}
        <ChoiceField
          label="Condition"
          hint="1 starved, 5 ready, 9 very fat; ribs felt and not seen are 5"
          words={[['', 'not looked at'], ...SCORES.map((score) => [String(score), String(score)] as const)]}
          value={condition === null ? '' : String(condition)}
          error={faults.condition}
          onChange={({ target }) => setCondition(target.value === '' ? null : Number(target.value))}
        />
      </div>
      <LinesField
        label="Note"
        value={note}
        error={faults.note}
        onChange={({ target }) => setNote(target.value)}
      />
      <Button look="act" type="submit" className="min-h-14">
        {told ? 'Correct' : 'Keep what was measured'}
      </Button>
    </form>
  )
}
