import { FirstRun } from '@still-pine/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useForm } from 'react-hook-form'
import { deviceTold } from '@still-pine/device'
import { Button } from '../ui/button'
import { Field, INPUT, Notice } from '../ui/field'
import { useCommand, wordsFor } from './client'

const zones = (): string[] => Intl.supportedValuesOf('timeZone')
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

/** The first page of an empty server: makes the yard and its first person. */
const FirstRunPage = () => {
  const [firstRun, { error, isLoading }] = useCommand('firstRun')
  const { register, handleSubmit, watch, formState } = useForm<FirstRun>({
    resolver: zodResolver(FirstRun),
    defaultValues: { timeZone: ownZone() },
  })
  const { errors } = formState
  return (
    <main className="mx-auto flex max-w-md flex-col gap-6 px-4 py-10">
      <h1 className="text-3xl">Make your yard</h1>
      <p>This server is empty. You become its first starter, and can add horses at once.</p>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) =>
          void handleSubmit(async (form) => firstRun({ body: { ...form, device: await deviceTold() } }))(
            event,
          )
        }
      >
        <Field label="Name of the yard" error={errors.yardName?.message}>
          {(props) => (
            <input className={INPUT} autoComplete="organization" {...props} {...register('yardName')} />
          )}
        </Field>
        <Field label="Your name" error={errors.personName?.message}>
          {(props) => <input className={INPUT} autoComplete="name" {...props} {...register('personName')} />}
        </Field>
        <Field
          label="E-mail"
          hint="You sign in with it; nothing is sent to it."
          error={errors.email?.message}
        >
          {(props) => (
            <input type="email" className={INPUT} autoComplete="email" {...props} {...register('email')} />
          )}
        </Field>
        <Field label="Password" hint="At least 10 characters." error={errors.password?.message}>
          {(props) => (
            <input
              type="password"
              className={INPUT}
              autoComplete="new-password"
              {...props}
              {...register('password')}
            />
          )}
        </Field>
        <details>
          <summary className="min-h-11 py-2">
            The clock is {watch('timeZone')}. <span className="underline">Another one</span>
          </summary>
          <Field
            label="Time zone"
            hint="A day begins and ends by this clock."
            error={errors.timeZone?.message}
          >
            {(props) => (
              <select className={INPUT} {...props} {...register('timeZone')}>
                {[...new Set([ownZone(), ...zones()])].map((zone) => (
                  <option key={zone}>{zone}</option>
                ))}
              </select>
            )}
          </Field>
        </details>
        <Button look="act" type="submit" className="min-h-14 text-xl" disabled={isLoading}>
          Make the yard
        </Button>
      </form>
      {error && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </main>
  )
}

export default FirstRunPage
