import { zodResolver } from '@hookform/resolvers/zod'
import { PutPerson, type ListedPerson } from '@still-pine/contract'
import { ROLES, type Role } from '@still-pine/contract/rights'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { problemOf, useCommand, useQuery, wordsFor } from '../../app/client'
import { EditList } from '../../shared/edit-list'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'
import { toast } from '../../ui/toast'

/** What each part may do, in a line. */
const MAY: Readonly<Record<Role, string>> = {
  starter: 'everything: horses, schools, gates, people',
  helper: 'logs answers, confirms sessions and what was there on the day, records incidents',
  owner: 'reads the reports of their own horses, and nothing else',
}

/** What is left empty is not told. */
const orNothing = { setValueAs: (text: string | null): string | null => text?.trim() || null }

const PersonForm = ({ person, onDone }: { person: ListedPerson | null; onDone: () => void }) => {
  const [personId] = useState(() => person?.id ?? uuid())
  const [put, { isLoading }] = useCommand('putPerson')
  const { register, handleSubmit, setError, watch, formState } = useForm<PutPerson>({
    resolver: zodResolver(PutPerson),
    defaultValues: {
      name: person?.name ?? '',
      role: person?.role ?? 'helper',
      email: person?.email ?? null,
      password: null,
    },
  })
  const { errors } = formState
  const save = handleSubmit(async (body) => {
    const { error } = await put({ personId, body })
    if (!error) return onDone()
    const fields = problemOf(error)?.fields ?? []
    for (const { path, message } of fields) setError(path as keyof PutPerson, { message })
    if (fields.length === 0) toast.error(wordsFor(error))
  })
  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void save(event)}>
      <TextField label="Name" error={errors.name?.message} {...register('name')} />
      <ChoiceField
        label="Role"
        hint={MAY[watch('role')]}
        error={errors.role?.message}
        words={ROLES.map((role) => [role, role])}
        {...register('role')}
      />
      <TextField
        label="E-mail"
        hint="Empty for somebody who never signs in."
        error={errors.email?.message}
        type="email"
        autoComplete="off"
        {...register('email', orNothing)}
      />
      <TextField
        label={person ? 'A new password' : 'Password to begin with'}
        hint={person ? 'Empty leaves it as it is.' : 'At least 10 characters; tell it to them.'}
        error={errors.password?.message}
        type="password"
        autoComplete="new-password"
        {...register('password', { setValueAs: (text: string | null) => text || null })}
      />
      <Button look="act" type="submit" disabled={isLoading}>
        {person ? 'Save' : 'Add them'}
      </Button>
    </form>
  )
}

/** Who works here and what each may do. */
export const People = ({ mayEdit }: { mayEdit: boolean }) => {
  const { data } = useQuery('people')
  return (
    <EditList
      title="People"
      one="person"
      items={data?.people}
      mayEdit={mayEdit}
      name={({ name }) => name}
      words={({ role }) => role}
      form={(person, close) => <PersonForm person={person} onDone={close} />}
    />
  )
}
