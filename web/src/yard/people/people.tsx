import { PutPerson, type ListedPerson } from '@still-pine/contract'
import { ROLES, type Role } from '@still-pine/contract/rights'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { problemOf, useQuery, useCommand, wordsFor } from '../../app/client'
import { Picker } from '../../shared/pickers'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { Sheet } from '../../ui/sheet'

/** What each part may do, in a line. */
const MAY: Readonly<Record<Role, string>> = {
  starter: 'everything: horses, schools, gates, people',
  helper: 'logs answers, confirms sessions and what was there on the day, records incidents',
  owner: 'reads the reports of their own horses, and nothing else',
}

interface Faults {
  readonly [path: string]: string
}

const PersonForm = ({ person, onDone }: { person: ListedPerson | null; onDone: () => void }) => {
  const [id] = useState(() => person?.id ?? uuid())
  const [name, setName] = useState(person?.name ?? '')
  const [role, setRole] = useState<Role>(person?.role ?? 'helper')
  const [email, setEmail] = useState(person?.email ?? '')
  const [password, setPassword] = useState('')
  const [faults, setFaults] = useState<Faults>({})
  const [put, { isLoading }] = useCommand('putPerson')
  const save = async (): Promise<void> => {
    const form = { name, role, email: email.trim() || null, password: password || null }
    const read = PutPerson.safeParse(form)
    if (!read.success) {
      setFaults(Object.fromEntries(read.error.issues.map(({ path, message }) => [path.join('.'), message])))
      return
    }
    const done = await put({ personId: id, body: read.data })
    const fields = problemOf(done.error)?.fields ?? []
    setFaults(Object.fromEntries(fields.map(({ path, message }) => [path, message])))
    if (!done.error) onDone()
    else if (fields.length === 0) toast.error(wordsFor(done.error))
  }
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <Field label="Name" error={faults.name}>
        {(props) => (
          <input className={INPUT} value={name} onChange={(e) => setName(e.target.value)} {...props} />
        )}
      </Field>
      <Picker label="Part" value={role} onPick={(value) => setRole(value as Role)}>
        {ROLES.map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
      </Picker>
      <p className="text-quiet">{MAY[role]}</p>
      {faults.role && (
        <p role="alert" className="font-bold text-stop">
          {faults.role}
        </p>
      )}
      <Field label="E-mail" hint="Empty for somebody who never signs in." error={faults.email}>
        {(props) => (
          <input
            type="email"
            autoComplete="off"
            className={INPUT}
            value={email}
            onChange={(e) => setEmail(e.target.value)}
            {...props}
          />
        )}
      </Field>
      <Field
        label={person ? 'A new password' : 'Password to begin with'}
        hint={person ? 'Empty leaves it as it is.' : 'At least 10 characters; tell it to them.'}
        error={faults.password}
      >
        {(props) => (
          <input
            type="password"
            autoComplete="new-password"
            className={INPUT}
            value={password}
            onChange={(e) => setPassword(e.target.value)}
            {...props}
          />
        )}
      </Field>
      <Button look="act" type="submit" disabled={isLoading}>
        {person ? 'Keep it' : 'Add them'}
      </Button>
    </form>
  )
}

/** Who works here and what each may do. */
export const People = ({ mayEdit }: { mayEdit: boolean }) => {
  const { data } = useQuery('people')
  const [open, setOpen] = useState<ListedPerson | 'new' | null>(null)
  return (
    <section>
      <h2 className="mb-2 text-2xl">People</h2>
      <ul>
        {data?.people.map((person) => (
          <li key={person.id} className="flex min-h-11 flex-wrap items-center gap-x-3 border-t border-line">
            <b>{person.name}</b> <span className="text-quiet">{person.role}</span>
            {mayEdit && (
              <Button
                look="quiet"
                className="ml-auto"
                aria-label={`Change ${person.name}`}
                onClick={() => setOpen(person)}
              >
                Change
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <Button className="mt-2" onClick={() => setOpen('new')}>
          Add a person
        </Button>
      )}
      <Sheet
        open={open !== null}
        title={open === 'new' ? 'A new person' : 'Change a person'}
        onClose={() => setOpen(null)}
      >
        {open !== null && <PersonForm person={open === 'new' ? null : open} onDone={() => setOpen(null)} />}
      </Sheet>
    </section>
  )
}
