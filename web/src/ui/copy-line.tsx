import { useState } from 'react'
import { Button } from './button'
import { INPUT } from './field'

/** A line of text to be passed on: to be copied with one press, or by hand where a browser allows no more. */
export const CopyLine = ({ label, text }: { label: string; text: string }) => {
  const [isCopied, setCopied] = useState(false)
  const copy = (): void => void navigator.clipboard?.writeText(text).then(() => setCopied(true))
  return (
    <label className="flex w-full flex-col gap-1 font-bold">
      {label}
      <span className="flex gap-2">
        <input
          readOnly
          className={`${INPUT} min-w-0 flex-1 font-normal`}
          value={text}
          onFocus={(event) => event.target.select()}
        />
        <Button onClick={copy}>{isCopied ? 'Copied' : 'Copy'}</Button>
      </span>
    </label>
  )
}
