import { zodResolver } from '@hookform/resolvers/zod'
import { ResetPassword } from '@still-pine/contract'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Button } from '../ui/button'
import { Notice } from '../ui/field'
import { TextField } from '../ui/inputs'
import { useCommand, wordsFor } from './client'

/** Where a link to a new password leads: what signs it stands behind the #, which is sent nowhere by itself. */
const NewPasswordPage = () => {
  const [reset, { error, isLoading, isSuccess }] = useCommand('resetPassword')
  const [token] = useState(() => window.location.hash.slice(1))
  const { register, handleSubmit, formState } = useForm<ResetPassword>({
    resolver: zodResolver(ResetPassword),
    defaultValues: { token, password: '' },
  })
  return (
    <main className="mx-auto flex max-w-md flex-col gap-6 px-4 py-10">
      <h1 className="text-3xl">A new password</h1>
      {isSuccess ? (
        <>
          <p className="text-lg">It is changed. Sign in with it; every device that was signed in is out.</p>
          <a className="inline-flex min-h-11 items-center underline" href="/">
            To the sign-in
          </a>
        </>
      ) : (
        <form
          className="flex flex-col gap-4"
          noValidate
          onSubmit={(event) => void handleSubmit((body) => reset({ body }))(event)}
        >
          <TextField
            label="Your new password"
            hint="At least 10 characters."
            type="password"
            autoComplete="new-password"
            error={formState.errors.password?.message}
            {...register('password')}
          />
          <Button look="act" type="submit" className="min-h-14 text-xl" disabled={isLoading}>
            Take it
          </Button>
        </form>
      )}
      {error !== undefined && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </main>
  )
}

export default NewPasswordPage
