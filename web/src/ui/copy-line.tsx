import { useState } from 'react'
import { Button } from './button'
import { Field, INPUT } from './field'

/** A line of text to be passed on: to be copied with one press, or by hand where a browser allows no more. */
export const CopyLine = ({ label, text }: { label: string; text: string }) => {
  const [isCopied, setCopied] = useState(false)
  const copy = (): void => void navigator.clipboard?.writeText(text).then(() => setCopied(true))
  return (
    <div className="flex w-full items-end gap-2">
      <div className="min-w-0 flex-1">
        <Field label={label}>
          {(props) => (
            <input
              readOnly
              className={INPUT}
              value={text}
              onFocus={(event) => event.target.select()}
              {...props}
            />
          )}
        </Field>
      </div>
      <Button onClick={copy}>{isCopied ? 'Copied' : 'Copy'}</Button>
    </div>
  )
}
