import type { PutEntry } from '@still-pine/contract'
import type { EntryOf } from '@still-pine/contract/entries-of'
import { useState } from 'react'
import { typedNumber, useEntryForm } from '../../shared/use-entry-form'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'
import { FEATURE_NAMES } from './sentences'

const FEATURES = ['stretch', 'swing', 'rhythm', 'behindVertical', 'hollow', 'braces'] as const

const MARKS: readonly (readonly [string, string])[] = [
  ['', 'not looked at'],
  ['0', '0: not at all'],
  ['1', '1'],
  ['2', '2'],
  ['3', '3: all the time'],
]

interface Props {
  readonly work: EntryOf<'line-work'>
  readonly onPut: (entry: PutEntry) => void
}

/** How it went on a rein, marked after. */
export const MarkForm = ({ work, onPut }: Props) => {
  const [rein, setRein] = useState<'left' | 'right'>('left')
  const [minute, setMinute] = useState('')
  const [marks, setMarks] = useState<Readonly<Record<string, string>>>({})
  const { id: _id, byName: _by, ...told } = work
  const { faults, send } = useEntryForm(
    () => ({
      ...told,
      going: [
        ...told.going,
        {
          rein,
          minute: typedNumber(minute) ?? 0,
          ...Object.fromEntries(FEATURES.map((one) => [one, typedNumber(marks[one] ?? '')])),
        },
      ],
    }),
    onPut,
  )
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <div className="grid grid-cols-2 gap-3">
        <ChoiceField
          label="Rein"
          words={[
            ['left', 'left'],
            ['right', 'right'],
          ]}
          value={rein}
          onChange={({ target }) => setRein(target.value as 'left' | 'right')}
        />
        <TextField
          label="At minute"
          inputMode="decimal"
          value={minute}
          error={faults.going}
          onChange={({ target }) => setMinute(target.value)}
        />
        {FEATURES.map((one) => (
          <ChoiceField
            key={one}
            label={FEATURE_NAMES[one]}
            words={MARKS}
            value={marks[one] ?? ''}
            onChange={({ target }) => setMarks({ ...marks, [one]: target.value })}
          />
        ))}
      </div>
      <Button look="act" type="submit" className="min-h-14">
        Keep these marks
      </Button>
    </form>
  )
}
