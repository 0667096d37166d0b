import type { School } from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import { copyOfSchool } from '@still-pine/core/school-edit'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { freeKey } from './free-key'
import { readSchool, type ReadSchool } from './read-school'

const Found = ({
  program,
  schools,
  onDone,
}: {
  program: Program
  schools: readonly School[]
  onDone: () => void
}) => {
  const [put] = useCommand('putProgram')
  const navigate = useNavigate()
  const own = schools.find(({ school, ships }) => school === program.school && !ships)
  const newest = own?.versions[0]?.version ?? 0
  const keep = async (document: Program, basedOn: number): Promise<void> => {
    const done = await put({ programId: uuid(), body: { basedOn, program: document } })
    if (done.error) {
      toast.error(wordsFor(done.error))
      return
    }
    onDone()
    void navigate(`/yard/schools/${document.school}`)
  }
  const asNew = copyOfSchool(program, freeKey(program.name, schools), program.name)
  return (
    <div className="flex flex-col gap-2">
      <p>
        <b>{program.name}</b>: {program.steps.length} steps and {program.gates.length} gates, all of it in
        order.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="act" onClick={() => void keep(asNew, 0)}>
          Bring it in as a new school
        </Button>
        {own && (
          <Button onClick={() => void keep({ ...program, version: newest + 1 }, newest)}>
            Bring it in as version {newest + 1} of {own.name}
          </Button>
        )}
      </div>
    </div>
  )
}

/** Brings a school in from its file: all of it, or nothing and what is wrong, line by line. */
export const ImportSchool = ({ schools }: { schools: readonly School[] }) => {
  const [read, setRead] = useState<ReadSchool | null>(null)
  const open = async (file: File | undefined): Promise<void> =>
    setRead(file ? readSchool(await file.text()) : null)
  return (
    <section className="flex max-w-3xl flex-col gap-3">
      <Field label="Import a school" hint="A file that Still Pine exported (JSON).">
        {(props) => (
          <input
            type="file"
            accept="application/json,.json"
            className={INPUT}
            onChange={(e) => void open(e.target.files?.[0])}
            {...props}
          />
        )}
      </Field>
      {read && 'program' in read && (
        <Found program={read.program} schools={schools} onDone={() => setRead(null)} />
      )}
      {read && 'faults' in read && (
        <div role="alert">
          <p className="font-bold">Nothing was brought in:</p>
          <ul>
            {read.faults.map(({ line, path, words }) => (
              <li key={`${line} ${path} ${words}`} className="border-t border-line py-1">
                Line {line}
                {path && <code className="mx-1">{path}</code>}: {words}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  )
}
