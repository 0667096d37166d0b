import type { ComponentProps, ReactNode } from 'react'
import { Field, INPUT } from './field'

interface Labelled {
  readonly label: string
  readonly hint?: string | undefined
  readonly error?: string | undefined
}

/** A line to type in, as a form registers it. */
export const TextField = ({ label, hint, error, ...input }: Labelled & ComponentProps<'input'>) => (
  <Field label={label} {...(hint === undefined ? {} : { hint })} error={error}>
    {(props) => <input className={INPUT} {...props} {...input} />}
  </Field>
)

/** A few lines to type in. */
export const LinesField = ({ label, hint, error, ...input }: Labelled & ComponentProps<'textarea'>) => (
  <Field label={label} {...(hint === undefined ? {} : { hint })} error={error}>
    {(props) => <textarea className={INPUT} rows={2} {...props} {...input} />}
  </Field>
)

/** One of a few words, by key. */
export const ChoiceField = ({
  label,
  hint,
  error,
  words,
  ...input
}: Labelled & ComponentProps<'select'> & { readonly words: readonly (readonly [string, string])[] }) => (
  <Field label={label} {...(hint === undefined ? {} : { hint })} error={error}>
    {(props) => (
      <select className={INPUT} {...props} {...input}>
        {words.map(([key, word]) => (
          <option key={key} value={key}>
            {word}
          </option>
        ))}
      </select>
    )}
  </Field>
)

/** Something that is so or not. */
export const Tick = ({ children, ...input }: ComponentProps<'input'> & { readonly children: ReactNode }) => (
  <label className="flex min-h-11 items-center gap-3">
    <input type="checkbox" className="size-6 shrink-0" {...input} />
    <span>{children}</span>
  </label>
)
