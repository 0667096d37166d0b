import { Label } from 'radix-ui'
import { useId, type ReactElement, type ReactNode } from 'react'

interface Props {
  readonly label: string
  readonly hint?: string
  readonly error?: string | undefined
  readonly children: (props: {
    id: string
    'aria-describedby'?: string
    'aria-invalid'?: boolean
  }) => ReactElement
}

/** A labelled input with its hint and its fault below it. */
export const Field = ({ label, hint, error, children }: Props) => {
  const id = useId()
  const note = error ?? hint
  return (
    <div className="flex max-w-full min-w-0 flex-col gap-1">
      <Label.Root htmlFor={id} className="font-bold">
        {label}
      </Label.Root>
      {children({
        id,
        ...(note ? { 'aria-describedby': `${id}-note` } : {}),
        ...(error ? { 'aria-invalid': true } : {}),
      })}
      {note && (
        <p
          id={`${id}-note`}
          className={error ? 'font-bold text-stop' : 'text-quiet'}
          role={error ? 'alert' : undefined}
        >
          {note}
        </p>
      )}
    </div>
  )
}

export const INPUT = 'min-h-11 w-full rounded-md border-2 border-ink bg-panel px-3 py-2 text-ink'

export const Notice = ({ children, tone = 'plain' }: { children: ReactNode; tone?: 'plain' | 'stop' }) => (
  <p
    role="status"
    className={`border-l-4 bg-panel px-4 py-3 ${tone === 'stop' ? 'border-stop' : 'border-ink'}`}
  >
    {children}
  </p>
)
