import type { PutEntry } from '@still-pine/contract'
import type { EntryOf } from '@still-pine/contract/entries-of'
import { useState } from 'react'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { Button } from '../../ui/button'
import { ChoiceField, TextField, Tick } from '../../ui/inputs'

interface Props {
  readonly today: string
  readonly onPut: (entry: PutEntry) => void
}

const typed = (value: number | null | undefined): string => (value == null ? '' : String(value))

/** What it wears from today on; what has not changed stands as it was. */
export const TackForm = ({ today, worn, onPut }: Props & { readonly worn: EntryOf<'tack'> | undefined }) => {
  const [form, setForm] = useState({
    saddle: worn?.saddle ?? '',
    pad: worn?.pad ?? '',
    bridle: worn?.bridle ?? '',
    bit: worn?.bit ?? '',
    cheek: worn?.cheek ?? 'loose',
    mouthMm: typed(worn?.mouthMm),
    girthHole: typed(worn?.girthHole),
    lineM: typed(worn?.lineM),
  })
  const { faults, send } = useEntryForm(
    () => ({
      kind: 'tack',
      on: today,
      ...form,
      mouthMm: typedNumber(form.mouthMm),
      girthHole: typedNumber(form.girthHole),
      lineM: typedNumber(form.lineM),
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
        <TextField label="Saddle" {...field('saddle')} />
        <TextField label="Pad" {...field('pad')} />
        <TextField label="Girth hole" inputMode="numeric" {...field('girthHole')} />
        <TextField label="Bridle" {...field('bridle')} />
        <TextField label="Bit" {...field('bit')} />
        <ChoiceField
          label="Its cheeks"
          words={[
            ['loose', 'loose rings'],
            ['fixed', 'fixed'],
          ]}
          {...field('cheek')}
        />
        <TextField label="Mouth, mm" hint="from corner to corner" inputMode="numeric" {...field('mouthMm')} />
        <TextField label="Line, m" inputMode="decimal" {...field('lineM')} />
      </div>
      <Button look="act" type="submit" className="min-h-14">
        This is what it wears
      </Button>
    </form>
  )
}

/** How long the bit was carried, and how much of it quietly. */
export const CarryForm = ({ today, onPut }: Props) => {
  const [minutes, setMinutes] = useState('')
  const [quiet, setQuiet] = useState('')
  const { faults, send } = useEntryForm(
    () => ({ kind: 'bit-carry', on: today, minutes: typedNumber(minutes), quietMinutes: typedNumber(quiet) }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="Minutes with the bit"
        inputMode="decimal"
        value={minutes}
        error={faults.minutes}
        onChange={({ target }) => setMinutes(target.value)}
      />
      <TextField
        label="Quiet minutes"
        hint="mouth still, no chewing on it, tongue where it belongs"
        inputMode="decimal"
        value={quiet}
        error={faults.quietMinutes}
        onChange={({ target }) => setQuiet(target.value)}
      />
      <Button look="act" type="submit" className="min-h-14">
        Keep it
      </Button>
    </form>
  )
}

/** How long the strings were, and how it went in them. */
export const StringsForm = ({ today, onPut }: Props) => {
  const [cm, setCm] = useState('')
  const [isWell, setWell] = useState(true)
  const [isAhead, setAhead] = useState(true)
  const { faults, send } = useEntryForm(
    () => ({ kind: 'strings', on: today, cm: typedNumber(cm), well: isWell, noseAhead: isAhead }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <TextField
        label="Length, cm"
        inputMode="decimal"
        value={cm}
        error={faults.cm}
        onChange={({ target }) => setCm(target.value)}
      />
      <Tick checked={isWell} onChange={({ target }) => setWell(target.checked)}>
        It went well
      </Tick>
      <Tick checked={isAhead} onChange={({ target }) => setAhead(target.checked)}>
        The nose stayed ahead of the vertical
      </Tick>
      <Button look="act" type="submit" className="min-h-14">
        Keep it
      </Button>
    </form>
  )
}
