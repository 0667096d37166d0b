import { HorseForm, KINDS, SEXES } from '@still-pine/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import type { ReactNode } from 'react'
import { useForm, type Path } from 'react-hook-form'
import type { z } from 'zod'
import { problemOf, wordsFor } from '../app/client'
import { Button } from '../ui/button'
import { Field, INPUT, Notice } from '../ui/field'

type Told = z.input<typeof HorseForm>

const upper = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)

export const blankHorse = (today: string): Told => ({
  name: '',
  born: null,
  sex: 'mare',
  kind: 'horse',
  marks: '',
  origin: '',
  handled: false,
  arrived: today,
  estimate: null,
  feral: false,
  bitted: false,
  heightCm: null,
})

interface Props {
  readonly told: Told
  readonly today: string
  readonly save: string
  readonly isBusy: boolean
  /** Puts the form; gives what went wrong. */
  readonly put: (form: HorseForm) => Promise<unknown>
  readonly error: unknown
  readonly children?: ReactNode
}

const yearsIn = (months: number | undefined): string => (months === undefined ? '' : String(months / 12))

const monthsFrom = (years: string): number | undefined =>
  years === '' ? undefined : Math.round(Number(years.replace(',', '.')) * 12)

interface YearsProps {
  readonly label: string
  readonly error?: string | undefined
  readonly months: number | undefined
  readonly guess: (years: string) => void
}

/** One end of an age by guess, told in years and kept in months. */
const YearsField = ({ label, error, months, guess }: YearsProps) => (
  <Field label={label} error={error}>
    {(props) => (
      <input
        type="number"
        min={0}
        max={50}
        step={0.5}
        className={INPUT}
        defaultValue={yearsIn(months)}
        onChange={(event) => guess(event.target.value)}
        {...props}
      />
    )}
  </Field>
)

/** Who a horse is, as a person writes it: the same for a new one and for one that is corrected. */
export const HorseFields = ({ told, today, save, isBusy, put, error, children }: Props) => {
  const { register, handleSubmit, formState, setError, setValue, watch } = useForm<Told, unknown, HorseForm>({
    resolver: zodResolver(HorseForm),
    defaultValues: told,
  })
  const { errors } = formState
  const [born, estimate] = watch(['born', 'estimate'])
  const submit = async (form: HorseForm): Promise<void> => {
    // An age that was guessed is of no use beside the day.
    const failed = await put(form.born === null ? form : { ...form, estimate: null })
    for (const { path, message } of problemOf(failed)?.fields ?? []) setError(path as Path<Told>, { message })
  }
  const guess = (key: 'lowMonths' | 'highMonths', years: string): void => {
    const months = monthsFrom(years)
    const next = {
      lowMonths: 0,
      highMonths: 0,
      how: '',
      ...estimate,
      on: estimate?.on ?? today,
      [key]: months ?? 0,
    }
    // Both ends empty is no guess at all, and not a foal of today.
    const isEmpty = months === undefined && next.lowMonths === 0 && next.highMonths === 0
    setValue('estimate', isEmpty ? null : next, { shouldValidate: formState.isSubmitted })
  }
  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void handleSubmit(submit)(event)}>
      <Field label="Name" error={errors.name?.message}>
        {(props) => <input className={INPUT} autoComplete="off" {...props} {...register('name')} />}
      </Field>
      <div className="grid gap-4 desk:grid-cols-2">
        <Field label="Born" hint="The nearest day you know; empty if unknown." error={errors.born?.message}>
          {(props) => (
            <input
              type="date"
              className={INPUT}
              {...props}
              {...register('born', { setValueAs: (v: string | null) => v || null })}
            />
          )}
        </Field>
        <Field label="Came here" error={errors.arrived?.message}>
          {(props) => <input type="date" className={INPUT} {...props} {...register('arrived')} />}
        </Field>
      </div>
      {!born && (
        <fieldset className="border-l-4 border-act bg-panel p-3">
          <legend className="font-bold">About how old, where nobody knows the day</legend>
          <p className="text-quiet">
            Say what is known: about four, give or take one, is from 3 to 5. Without an age nothing with a
            bit, a girth or a person is asked. It is the lower end that counts.
          </p>
          <div className="grid gap-4 desk:grid-cols-3">
            <YearsField
              label="At least, years"
              months={estimate?.lowMonths}
              guess={(years) => guess('lowMonths', years)}
            />
            <YearsField
              label="At most, years"
              error={errors.estimate?.highMonths?.message ?? errors.estimate?.message}
              months={estimate?.highMonths}
              guess={(years) => guess('highMonths', years)}
            />
            <Field label="How it is known" hint="Teeth, papers of the dam, somebody told.">
              {(props) => (
                <input
                  className={INPUT}
                  maxLength={200}
                  defaultValue={estimate?.how ?? ''}
                  onChange={(event) =>
                    estimate && setValue('estimate', { ...estimate, how: event.target.value })
                  }
                  {...props}
                />
              )}
            </Field>
          </div>
        </fieldset>
      )}
      <div className="grid gap-4 desk:grid-cols-3">
        <Field label="Sex" error={errors.sex?.message}>
          {(props) => (
            <select className={INPUT} {...props} {...register('sex')}>
              {SEXES.map((sex) => (
                <option key={sex} value={sex}>
                  {upper(sex)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Kind" error={errors.kind?.message}>
          {(props) => (
            <select className={INPUT} {...props} {...register('kind')}>
              {KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {upper(kind)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Height at the wither, cm" hint="May stay empty." error={errors.heightCm?.message}>
          {(props) => (
            <input
              type="number"
              step={0.5}
              className={INPUT}
              {...props}
              {...register('heightCm', {
                setValueAs: (v: string | number | null) => (v === '' || v === null ? null : Number(v)),
              })}
            />
          )}
        </Field>
      </div>
      <Field
        label="Marks"
        hint="Colour, white, brands: how a stranger would know it."
        error={errors.marks?.message}
      >
        {(props) => <input className={INPUT} {...props} {...register('marks')} />}
      </Field>
      <Field label="Where from" error={errors.origin?.message}>
        {(props) => <input className={INPUT} {...props} {...register('origin')} />}
      </Field>
      <label className="flex min-h-11 items-center gap-3 font-bold">
        <input type="checkbox" className="size-6" {...register('handled')} />
        Handled before
      </label>
      <label className="flex min-h-11 items-center gap-3 font-bold">
        <input type="checkbox" className="size-6" {...register('feral')} />
        Feral, or off a herd
      </label>
      <label className="flex min-h-11 items-center gap-3 font-bold">
        <input type="checkbox" className="size-6" {...register('bitted')} />
        Ridden in a bit
      </label>
      {children}
      <Button look="act" type="submit" className="min-h-14 text-xl" disabled={isBusy}>
        {save}
      </Button>
      {error !== undefined && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </form>
  )
}
