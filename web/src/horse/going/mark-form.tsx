import type { PutEntry } from '@still-pine/contract'
import type { EntryOf } from '@still-pine/contract/entries-of'
import { EntryForm, SIDE_WORDS, typedNumber, type EntryField } from '../../shared/entry-form'
import { FEATURE_NAMES } from './sentences'

const FEATURES = ['stretch', 'swing', 'rhythm', 'behindVertical', 'hollow', 'braces'] as const

const MARKS = [
  ['', 'not looked at'],
  ['0', '0: not at all'],
  ['1', '1'],
  ['2', '2'],
  ['3', '3: all the time'],
] as const

const FIELDS: readonly EntryField[] = [
  { name: 'rein', label: 'Rein', as: SIDE_WORDS.slice(1) },
  { name: 'minute', label: 'At minute', as: 'number', of: 'going' },
  ...FEATURES.map((name) => ({
    name,
    label: FEATURE_NAMES[name],
    as: MARKS,
    read: (typed: string) => typedNumber(typed),
  })),
]

const NEW_NOTE = { rein: 'left', minute: '', ...Object.fromEntries(FEATURES.map((one) => [one, ''])) }

interface Props {
  readonly work: EntryOf<'line-work'>
  readonly onPut: (entry: PutEntry) => void
}

/** How it went on a rein, marked after. */
export const MarkForm = ({ work, onPut }: Props) => (
  <EntryForm
    kind="line-work"
    today={work.on}
    told={work}
    fields={FIELDS}
    start={NEW_NOTE}
    read={(note) => ({ going: [...work.going, { ...note, minute: note.minute ?? 0 }] })}
    submit={[['Keep these marks', {}]]}
    onPut={onPut}
  />
)
