import { useState } from 'react'
import { Field, INPUT } from '../../../ui/field'

interface Props {
  readonly label: string
  readonly hint?: string
  readonly value: string
  readonly lines?: number
  readonly onSave: (value: string) => void
}

/** Words that are one edit when they are left, not one a letter. */
export const TextInput = ({ label, hint, value, lines = 1, onSave }: Props) => {
  const [text, setText] = useState(value)
  const [shown, setShown] = useState(value)
  if (shown !== value) {
    setShown(value)
    setText(value)
  }
  const keep = (): void => {
    const trimmed = text.trim()
    if (trimmed === '') setText(value)
    else if (trimmed !== value) onSave(trimmed)
  }
  return (
    <Field label={label} {...(hint ? { hint } : {})}>
      {(props) =>
        lines > 1 ? (
          <textarea
            className={INPUT}
            rows={lines}
            value={text}
            onChange={(e) => setText(e.target.value)}
            onBlur={keep}
            {...props}
          />
        ) : (
          <input
            className={INPUT}
            value={text}
            onChange={(e) => setText(e.target.value)}
            onBlur={keep}
            onKeyDown={(e) => {
              if (e.key === 'Enter') e.currentTarget.blur()
            }}
            {...props}
          />
        )
      }
    </Field>
  )
}
