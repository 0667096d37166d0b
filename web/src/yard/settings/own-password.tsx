import { zodResolver } from '@hookform/resolvers/zod'
import { OwnPassword } from '@still-pine/contract'
import { useForm } from 'react-hook-form'
import { problemOf, useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { TextField } from '../../ui/inputs'
import { toast } from '../../ui/toast'

/** A person's own change of password: who knows the old one chooses another. */
export const OwnPasswordForm = () => {
  const [put, { isLoading }] = useCommand('ownPassword')
  const { register, handleSubmit, setError, reset, formState } = useForm<OwnPassword>({
    resolver: zodResolver(OwnPassword),
    defaultValues: { old: '', password: '' },
  })
  const { errors } = formState
  const save = handleSubmit(async (body) => {
    const { error } = await put({ body })
    if (!error) {
      reset()
      return toast('Your password is changed. Every other device has to sign in again.')
    }
    const fields = problemOf(error)?.fields ?? []
    for (const { path, message } of fields) setError(path as keyof OwnPassword, { message })
    if (fields.length === 0) toast.error(wordsFor(error))
  })
  return (
    <form className="flex flex-col items-start gap-3" noValidate onSubmit={(event) => void save(event)}>
      <h2 className="text-2xl">Your password</h2>
      <TextField
        label="The one you have now"
        type="password"
        autoComplete="current-password"
        error={errors.old?.message}
        {...register('old')}
      />
      <TextField
        label="A new one"
        hint="At least 10 characters."
        type="password"
        autoComplete="new-password"
        error={errors.password?.message}
        {...register('password')}
      />
      <Button type="submit" disabled={isLoading}>
        Change it
      </Button>
    </form>
  )
}
