import { HorseForm, KINDS, SEXES } from '@still-pine/contract'
import { FEET_FIRST } from '@still-pine/core/program'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { problemOf, useMeQuery, usePutHorseMutation, wordsFor } from '../app/api'
import { Button } from '../ui/button'
import { Field, INPUT, Notice } from '../ui/field'
import { Loading } from '../ui/loading'
import { SchoolPicker } from './schools/school-picker'

const upper = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)

const Form = ({ today }: { today: string }) => {
  const navigate = useNavigate()
  // The id is made once, so that pressing twice adds one horse.
  const [id] = useState(() => uuid())
  const [school, setSchool] = useState(FEET_FIRST.school)
  const [putHorse, { error, isLoading }] = usePutHorseMutation()
  const { register, handleSubmit, formState, setError } = useForm<HorseForm>({
    resolver: zodResolver(HorseForm),
    defaultValues: {
      name: '',
      born: null,
      sex: 'mare',
      kind: 'horse',
      marks: '',
      origin: '',
      handled: false,
      arrived: today,
    },
  })
  const { errors } = formState

  const save = async (form: HorseForm): Promise<void> => {
    const done = await putHorse({ id, body: { ...form, school, version: 0 } })
    for (const { path, message } of problemOf(done.error)?.fields ?? [])
      setError(path as keyof HorseForm, { message })
    if (!done.error) void navigate(`/horses/${id}`)
  }

  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void handleSubmit(save)(event)}>
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
      <SchoolPicker school={school} onPick={setSchool} />
      <p className="text-quiet">
        Every step begins New, whatever it could elsewhere, until it is asked here.
      </p>
      <Button look="act" type="submit" className="min-h-14 text-xl" disabled={isLoading}>
        Add this horse
      </Button>
      {error && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </form>
  )
}

const NewHorsePage = () => {
  const { data: me } = useMeQuery()
  return (
    <main className="mx-auto flex w-full max-w-xl flex-col gap-5 px-4 py-4">
      <h1 className="text-3xl">Add a horse</h1>
      {me ? <Form today={me.today} /> : <Loading />}
    </main>
  )
}

export default NewHorsePage
