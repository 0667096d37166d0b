import { zodResolver } from '@hookform/resolvers/zod'
import { PutPerson, type ListedPerson } from '@still-pine/contract'
import { mayDo, ROLES, type Role } from '@still-pine/contract/rights'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { problemOf, useCommand, useQuery, wordsFor } from '../../app/client'
import { EditList } from '../../shared/edit-list'
import { Loading } from '../../shared/loading'
import { Button } from '../../ui/button'
import { CopyLine } from '../../ui/copy-line'
import { Notice } from '../../ui/field'
import { Fold } from '../../ui/fold'
import { ChoiceField, TextField } from '../../ui/inputs'
import { Sheet } from '../../ui/sheet'
import { toast } from '../../ui/toast'
import { Devices } from './devices'
import { YardHeader } from '../yard-header'

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

/** A link by which somebody chooses a new password, once; shown to be passed on. */
const ResetLinkSheet = ({ person, onClose }: { person: ListedPerson; onClose: () => void }) => {
  const [make, { data, error, isLoading }] = useCommand('resetLink')
  const link = data && `${window.location.origin}/new-password#${data.token}`
  return (
    <Sheet open title={`A new password for ${person.name}`} onClose={onClose}>
      <div className="flex flex-col items-start gap-3">
        <p>
          With this link {person.name} chooses a new password: once, and until this time tomorrow. Whoever has
          the link can; pass it on to {person.name} alone. One made before is worth nothing then.
        </p>
        {!link && (
          <Button
            look="act"
            disabled={isLoading}
            onClick={() => void make({ personId: person.id, body: {} })}
          >
            Make the link
          </Button>
        )}
        {error !== undefined && <Notice tone="stop">{wordsFor(error)}</Notice>}
        {link && <CopyLine label="The link" text={link} />}
      </div>
    </Sheet>
  )
}

/** What may be done with somebody besides changing what is written of them. */
const PersonActions = ({ person, isSelf }: { person: ListedPerson; isSelf: boolean }) => {
  const [put] = useCommand('putStanding')
  const [isLinking, setLinking] = useState(false)
  const stand = async (standing: ListedPerson['standing'], was = person.standing): Promise<void> => {
    const done = await put({ personId: person.id, body: { standing } })
    if (done.error) toast.error(wordsFor(done.error))
    else
      toast(`${person.name}: ${STANDING_WORDS[standing]}`, {
        action: { label: 'Undo', onClick: () => void stand(was, standing) },
      })
  }
  if (person.standing !== 'here')
    return (
      <Button look="quiet" onClick={() => void stand('here')}>
        Let back
      </Button>
    )
  return (
    <>
      {person.email !== null && (
        <Button look="quiet" onClick={() => setLinking(true)}>
          New password
        </Button>
      )}
      {!isSelf && (
        <>
          <Button look="quiet" onClick={() => void stand('suspended')}>
            Suspend
          </Button>
          <Button look="quiet" onClick={() => void stand('removed')}>
            Remove
          </Button>
        </>
      )}
      {isLinking && <ResetLinkSheet person={person} onClose={() => setLinking(false)} />}
    </>
  )
}

const STANDING_WORDS: Readonly<Record<ListedPerson['standing'], string>> = {
  here: 'may sign in.',
  suspended: 'suspended, and signed out everywhere.',
  removed: 'removed. What they logged stays.',
}

/** Who works here, what each may do, and who may sign in no more. */
const PeoplePage = () => {
  const { data: me, error, refetch } = useQuery('me')
  const { data } = useQuery('people')
  if (!me) return <Loading error={error} retry={() => void refetch()} />
  const gone = data?.people.filter(({ standing }) => standing === 'removed') ?? []
  const mayEdit = mayDo(me.person.role, 'edit-people')
  const actions = (person: ListedPerson) => (
    <PersonActions person={person} isSelf={person.id === me.person.id} />
  )
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <YardHeader title="People" />
      <div className="grid gap-8 desk:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="flex flex-col gap-4">
          <EditList
            title="Who works here"
            one="person"
            items={data?.people.filter(({ standing }) => standing !== 'removed')}
            mayEdit={mayEdit}
            name={({ name }) => name}
            words={({ role, standing, email }) =>
              [role, standing === 'suspended' ? 'suspended' : '', email].filter(Boolean).join(', ')
            }
            actions={actions}
            form={(person, close) => <PersonForm person={person} onDone={close} />}
          />
          {gone.length > 0 && (
            <Fold title={`Removed: ${gone.length}`}>
              <ul>
                {gone.map((person) => (
                  <li
                    key={person.id}
                    className="flex min-h-12 flex-wrap items-center justify-between gap-x-3 border-t border-line"
                  >
                    <span>
                      <b>{person.name}</b>, {person.role}
                    </span>
                    {mayEdit && actions(person)}
                  </li>
                ))}
              </ul>
            </Fold>
          )}
        </div>
        <Devices />
      </div>
    </main>
  )
}

export default PeoplePage
