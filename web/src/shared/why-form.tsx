import { zodResolver } from '@hookform/resolvers/zod'
import type { ReactNode } from 'react'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { Button } from '../ui/button'
import { Field, INPUT } from '../ui/field'

interface Props {
  readonly label: string
  readonly hint?: string
  /** What its button says. */
  readonly act: string
  /** Letters that make a reason. */
  readonly least?: number
  /** Room for more than a word. */
  readonly isLong?: boolean
  readonly isBusy?: boolean
  readonly error?: string | undefined
  readonly className?: string
  /** Saves the reason; what it gives says whether the field is to be emptied. */
  readonly onWhy: (why: string) => Promise<boolean> | void
  /** Further buttons. */
  readonly children?: ReactNode
}

const MOST = 200
const MOST_LONG = 2000

/** A reason that is kept with what is done for it: nothing is done without one. */
export const WhyForm = (props: Props) => {
  const { label, hint, act, least = 1, isLong = false, isBusy = false, error, onWhy, children } = props
  const told = z.object({
    why: z
      .string()
      .trim()
      .min(least)
      .max(isLong ? MOST_LONG : MOST),
  })
  const { register, handleSubmit, reset, formState } = useForm({
    resolver: zodResolver(told),
    mode: 'onChange',
    defaultValues: { why: '' },
  })
  const send = handleSubmit(async ({ why }) => {
    if (await onWhy(why)) reset()
  })
  return (
    <form className={`no-print flex gap-3 ${props.className ?? ''}`} onSubmit={(event) => void send(event)}>
      <Field label={label} {...(hint === undefined ? {} : { hint })} error={error}>
        {(field) =>
          isLong ? (
            <textarea className={INPUT} rows={3} {...field} {...register('why')} />
          ) : (
            <input className={INPUT} maxLength={MOST} {...field} {...register('why')} />
          )
        }
      </Field>
      <Button type="submit" className="min-h-12 self-start" disabled={isBusy || !formState.isValid}>
        {act}
      </Button>
      {children}
    </form>
  )
}
