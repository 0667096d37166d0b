import { zodResolver } from '@hookform/resolvers/zod'
import type { School } from '@still-pine/contract'
import { SCHOOLS } from '@still-pine/core/program'
import { count } from '@still-pine/core/answer'
import { copyOfSchool } from '@still-pine/core/school-edit'
import { useForm } from 'react-hook-form'
import { Link, useNavigate } from 'react-router'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { z } from 'zod'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { ChoiceField, TextField } from '../../ui/inputs'
import { ImportSchool } from './import-school'
import { freeKey } from './free-key'

const Copied = z.object({ from: z.string(), name: z.string().trim().min(1).max(80) })

const CopyForm = ({ schools }: { schools: readonly School[] }) => {
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(Copied),
    mode: 'onChange',
    defaultValues: { from: SCHOOLS[0]!.school, name: '' },
  })
  const [put, { isLoading }] = useCommand('putProgram')
  const navigate = useNavigate()
  const copy = handleSubmit(async ({ from, name }) => {
    const source = SCHOOLS.find(({ school }) => school === from)!
    const program = copyOfSchool(source, freeKey(name, schools), name)
    const done = await put({ programId: uuid(), body: { basedOn: 0, program } })
    if (done.error) toast.error(wordsFor(done.error))
    else void navigate(`/yard/schools/${program.school}/edit`)
  })
  return (
    <form className="flex max-w-3xl flex-wrap items-end gap-3" onSubmit={(event) => void copy(event)}>
      <ChoiceField
        label="Copy"
        words={SCHOOLS.map(({ school, name }) => [school, name] as const)}
        {...register('from')}
      />
      <div className="grow">
        <TextField label="and call it" maxLength={80} {...register('name')} />
      </div>
      <Button look="act" type="submit" disabled={!formState.isValid || isLoading}>
        Copy and change it
      </Button>
    </form>
  )
}

const horsesOf = ({ versions }: School): number =>
  versions.reduce((sum, { horses }) => sum + horses.length, 0)

/** The yard’s own schools, a copy to begin another from, and one from a file. */
export const OwnSchools = ({ schools, mayEdit }: { schools: readonly School[]; mayEdit: boolean }) => {
  const own = schools.filter(({ ships }) => !ships)
  const offered = schools.filter((school) => school.offered !== null)
  return (
    <section className="no-print flex flex-col gap-4">
      {offered.map(({ school, name, offered: version }) => (
        <p key={school} className="border-l-4 border-act bg-panel p-3">
          <Link className="font-bold underline" to={`/yard/schools/${school}`}>
            Version {version} of {name}
          </Link>{' '}
          came with the newest Still Pine. See what it changes, and take it in where you like.
        </p>
      ))}
      <h2 className="text-2xl">Your own</h2>
      {own.length === 0 && <p>None yet. Copy one of the four and change what you do otherwise.</p>}
      <ul>
        {own.map((school) => (
          <li key={school.school} className="border-t border-line">
            <Link
              className="flex min-h-12 flex-wrap items-center gap-x-3"
              to={`/yard/schools/${school.school}`}
            >
              <b className="font-name underline">{school.name}</b>
              <span className="text-quiet">
                version {school.versions[0]?.version}, {count(horsesOf(school), 'horse')}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {mayEdit && (
        <>
          <CopyForm schools={schools} />
          <ImportSchool schools={schools} />
        </>
      )}
    </section>
  )
}
