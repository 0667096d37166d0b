import { PutEntry } from '@still-pine/contract'
import type { EntryKind, EntryOf } from '@still-pine/contract/entries-of'
import { useId, useState, type FormEvent } from 'react'
import { Button } from '../ui/button'
import { ChoiceField, TextField, Tick } from '../ui/inputs'
import { asPut } from './use-entries'

/** A number as it is typed, with a comma or a point; what is none is kept for the form to say so. */
export const typedNumber = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.trim().replace(',', '.'))

/** What stands in the fields, by their names. */
export type Typed = Readonly<Record<string, string | boolean>>
type Words = readonly (readonly [key: string, word: string])[]

export const SIDE_WORDS: Words = [
  ['both', 'both sides'],
  ['left', 'left'],
  ['right', 'right'],
]

export interface EntryField {
  readonly name: string
  readonly label: string
  readonly hint?: string
  /** A text where nothing is said; words are a choice, and no key is nothing chosen. */
  readonly as?: 'number' | 'day' | 'tick' | 'list' | Words
  /** What stands there in a new entry. */
  readonly start?: string | boolean
  readonly suggested?: readonly string[]
  /** The part of the entry that it is of, where that is called otherwise: its faults are said here. */
  readonly of?: string
  /** Where it stands otherwise in the entry than it is typed. */
  readonly show?: (told: unknown) => string | boolean
  readonly read?: (typed: string) => unknown
}

const shownOf = ({ as, show }: EntryField, told: unknown): string | boolean => {
  if (show) return show(told)
  if (as === 'tick') return told === true
  if (as === 'list') return (told as readonly string[]).join(', ')
  return told === null || told === undefined ? '' : String(told as string | number)
}

const startOf = ({ as, start }: EntryField): string | boolean =>
  start ?? (as === 'tick' ? false : typeof as === 'object' ? as[0]![0] : '')

const readOf = ({ as, read }: EntryField, typed: string | boolean): unknown => {
  if (typeof typed === 'boolean') return typed
  if (read) return read(typed)
  if (as === 'number') return typedNumber(typed)
  if (as === 'list') return typed.split(',').filter((one) => one.trim() !== '')
  return typeof as === 'object' && typed === '' ? null : typed
}

interface FieldProps {
  readonly field: EntryField
  readonly typed: string | boolean
  readonly fault: string | undefined
  readonly onType: (typed: string | boolean) => void
}

const OneField = ({ field: { label, hint, as, suggested }, typed, fault, onType }: FieldProps) => {
  const listId = useId()
  if (typeof typed === 'boolean')
    return (
      <>
        <Tick checked={typed} onChange={({ target }) => onType(target.checked)}>
          {label}
        </Tick>
        {fault && (
          <p role="alert" className="font-bold text-stop">
            {fault}
          </p>
        )}
      </>
    )
  const props = {
    label,
    hint,
    error: fault,
    value: typed,
    onChange: ({ target }: { target: { value: string } }) => onType(target.value),
  }
  if (typeof as === 'object') return <ChoiceField words={as} {...props} />
  return (
    <>
      <TextField
        {...(as === 'number' ? { inputMode: 'decimal' } : as === 'day' ? { type: 'date' } : {})}
        {...(suggested ? { list: listId } : {})}
        {...props}
      />
      {suggested && (
        <datalist id={listId}>
          {suggested.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
      )}
    </>
  )
}

type Faults = Readonly<Record<string, string>>

export interface EntryFormProps<Kind extends EntryKind> {
  readonly kind: Kind
  readonly today: string
  readonly fields: readonly EntryField[]
  /** What is changed; nothing where it is new. */
  readonly told: EntryOf<Kind> | null
  /** The word on its button; several buttons each say something of their own. */
  readonly submit: string | readonly (readonly [word: string, also: object])[]
  /** What stands in the fields instead of what was told. */
  readonly start?: Typed
  /** What the entry says, from what the fields say. */
  readonly read?: (values: Readonly<Record<string, unknown>>) => object
  /** What else is wrong with an entry, by the names of its fields. */
  readonly faultsIn?: (entry: EntryOf<Kind>) => Faults
  readonly onPut: (entry: PutEntry) => void
}

/** Says an entry, or says it otherwise: what is wrong stands at its field. */
export const EntryForm = <Kind extends EntryKind>(props: EntryFormProps<Kind>) => {
  const { kind, today, fields, told, submit, start, read = (values) => values, faultsIn, onPut } = props
  const [typed, setTyped] = useState<Typed>(() =>
    Object.fromEntries(
      fields.map((field) => [
        field.name,
        start?.[field.name] ?? (told ? shownOf(field, (told as never)[field.name]) : startOf(field)),
      ]),
    ),
  )
  const [faults, setFaults] = useState<Faults>({})
  const buttons = typeof submit === 'string' ? [[submit, {}] as const] : submit
  const send = (event: FormEvent): void => {
    event.preventDefault()
    const pressed = (event.nativeEvent as SubmitEvent).submitter as HTMLButtonElement | null
    const values = Object.fromEntries(fields.map((field) => [field.name, readOf(field, typed[field.name]!)]))
    const found = PutEntry.safeParse({
      on: today,
      ...(told && asPut(told as never)),
      kind,
      ...read(values),
      ...buttons[Number(pressed?.value ?? 0)]![1],
    })
    if (!found.success)
      return setFaults(
        Object.fromEntries(found.error.issues.map(({ path, message }) => [String(path[0]), message])),
      )
    const others = faultsIn?.(found.data as unknown as EntryOf<Kind>) ?? {}
    return Object.keys(others).length > 0 ? setFaults(others) : onPut(found.data)
  }
  return (
    <form className="flex flex-col gap-3" noValidate onSubmit={send}>
      <div className="grid grid-cols-2 gap-3">
        {fields.map((field) => (
          <div key={field.name} className={field.as === 'number' ? '' : 'phone:col-span-2'}>
            <OneField
              field={field}
              typed={typed[field.name]!}
              fault={faults[field.of ?? field.name]}
              onType={(now) => setTyped({ ...typed, [field.name]: now })}
            />
          </div>
        ))}
      </div>
      <div className="flex flex-wrap gap-2">
        {buttons.map(([word], i) => (
          <Button
            key={word}
            look={i === 0 ? 'act' : 'plain'}
            type="submit"
            value={i}
            className="min-h-14 flex-1"
          >
            {told && typeof submit === 'string' ? 'Correct' : word}
          </Button>
        ))}
      </div>
    </form>
  )
}
