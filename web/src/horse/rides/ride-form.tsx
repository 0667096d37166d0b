import type { PutEntry } from '@still-pine/contract'
import type { EntryOf } from '@still-pine/contract/entries-of'
import { useState } from 'react'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'

type Ride = EntryOf<'ride'>

/** In the order in which they are ridden: the walk before is the warm-up. */
const PARTS = [
  ['before', 'straight', 'walk', 'Walk before, minutes'],
  ['trotLeft', 'left', 'trot', 'Trot to the left'],
  ['trotRight', 'right', 'trot', 'Trot to the right'],
  ['canterLeft', 'left', 'canter', 'Canter to the left'],
  ['canterRight', 'right', 'canter', 'Canter to the right'],
  ['after', 'straight', 'walk', 'Walk after'],
] as const

type Part = (typeof PARTS)[number][0]

/** What was told of each part; a ride told row by row elsewhere is changed part by part. */
const typedFrom = (told: Ride | null): Record<Part, string> => {
  const typed = Object.fromEntries(PARTS.map(([part]) => [part, ''])) as Record<Part, string>
  const firstFast = told?.rows.findIndex(({ gait }) => gait !== 'walk') ?? -1
  told?.rows.forEach(({ rein, gait, minutes }, i) => {
    const part =
      gait === 'walk'
        ? firstFast !== -1 && i > firstFast
          ? 'after'
          : 'before'
        : (PARTS.find(([, onRein, atGait]) => onRein === rein && atGait === gait)?.[0] ?? 'before')
    typed[part] = String((typedNumber(typed[part]) ?? 0) + minutes)
  })
  return typed
}

interface Props {
  readonly today: string
  readonly told: Ride | null
  readonly onPut: (entry: PutEntry) => void
}

/** A ride as it is told after: who, how long at what, how it went. */
export const RideForm = ({ today, told, onPut }: Props) => {
  const [form, setForm] = useState({
    on: told?.on ?? today,
    rider: told?.rider ?? '',
    helper: told?.helper ?? '',
    groundMinutes: String(told?.groundMinutes ?? ''),
    went: told?.went ?? 'well',
    ended: told?.ended ?? '',
  })
  const [typed, setTyped] = useState(() => typedFrom(told))
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'ride',
      ...form,
      beganAt: told?.beganAt ?? null,
      groundMinutes: typedNumber(form.groundMinutes) ?? 0,
      rows: PARTS.flatMap(([part, rein, gait]) => {
        const minutes = typedNumber(typed[part])
        return minutes === null || minutes === 0 ? [] : [{ rein, gait, minutes }]
      }),
    }),
    onPut,
  )
  const field = (name: keyof typeof form) => ({
    value: form[name],
    error: faults[name],
    onChange: ({ target }: { target: { value: string } }) => setForm({ ...form, [name]: target.value }),
  })
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <div className="grid gap-3 desk:grid-cols-2">
        <TextField label="On" type="date" max={today} {...field('on')} />
        <TextField label="Rider" {...field('rider')} />
        <TextField label="Helper on the ground" hint="leave it where nobody was" {...field('helper')} />
        <TextField label="Ground work before, minutes" inputMode="decimal" {...field('groundMinutes')} />
        {PARTS.map(([part, , , label]) => (
          <TextField
            key={part}
            label={label}
            inputMode="decimal"
            value={typed[part]}
            error={part === 'before' ? faults.rows : undefined}
            onChange={({ target }) => setTyped({ ...typed, [part]: target.value })}
          />
        ))}
        <ChoiceField
          label="It went"
          words={[
            ['well', 'well'],
            ['so-so', 'so-so'],
            ['badly', 'badly'],
          ]}
          {...field('went')}
        />
        <TextField label="What ended it" {...field('ended')} />
      </div>
      <Button look="act" type="submit" className="min-h-14">
        {told ? 'Correct' : 'Keep this ride'}
      </Button>
    </form>
  )
}
