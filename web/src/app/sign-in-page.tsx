import { SignIn } from '@still-pine/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useForm } from 'react-hook-form'
import { WaitsHere } from './waits-here'
import { deviceTold } from '@still-pine/device'
import { Button } from '../ui/button'
import { Field, INPUT, Notice } from '../ui/field'
import { useCommand, wordsFor } from './client'

const SignInPage = ({ demo, why }: { demo: boolean; why: string | null }) => {
  const [signIn, { error, isLoading }] = useCommand('signIn')
  const [signInDemo, demoState] = useCommand('signInDemo')
  const { register, handleSubmit, formState } = useForm<SignIn>({ resolver: zodResolver(SignIn) })
  const { errors } = formState
  const failed = error ?? demoState.error
  return (
    <main className="mx-auto flex max-w-md flex-col gap-6 px-4 py-10">
      <h1 className="text-3xl">Still Pine</h1>
      {why && <Notice tone="stop">{why}</Notice>}
      {demo && (
        <section className="flex flex-col gap-3 border-l-4 border-act bg-panel p-4">
          <p>This is a made-up yard to try things in. Nothing here is a real horse.</p>
          <Button
            look="act"
            className="min-h-14 text-xl"
            disabled={demoState.isLoading}
            onClick={() => void deviceTold().then((device) => signInDemo({ body: { device } }))}
          >
            Sign in as the demo starter
          </Button>
        </section>
      )}
      {!demo && (
        <form
          className="flex flex-col gap-4"
          noValidate
          onSubmit={(event) =>
            void handleSubmit(async (form) => signIn({ body: { ...form, device: await deviceTold() } }))(
              event,
            )
          }
        >
          <Field label="E-mail" error={errors.email?.message}>
            {(props) => (
              <input
                type="email"
                autoComplete="username"
                className={INPUT}
                {...props}
                {...register('email')}
              />
            )}
          </Field>
          <Field label="Password" error={errors.password?.message}>
            {(props) => (
              <input
                type="password"
                autoComplete="current-password"
                className={INPUT}
                {...props}
                {...register('password')}
              />
            )}
          </Field>
          <Button look="act" type="submit" className="min-h-14 text-xl" disabled={isLoading}>
            Sign in
          </Button>
        </form>
      )}
      <WaitsHere />
      {failed && <Notice tone="stop">{wordsFor(failed)}</Notice>}
    </main>
  )
}

export default SignInPage
