import type { School } from '@still-pine/contract'
import { stepOf, type Program } from '@still-pine/core/program'
import { count } from '@still-pine/core/answer'
import type { Edit } from '@still-pine/core/school-edit'
import { savedSchoolDraft, type SavedSchoolDraft } from '@still-pine/device'
import { useEffect, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { useQuery } from '../../../app/client'
import { Button } from '../../../ui/button'
import { Notice } from '../../../ui/field'
import { Loading } from '../../../shared/loading'
import { AddStep } from './add-step'
import { CalendarPart } from './calendar-part'
import { GatesPart } from './gates-part'
import { NeedsPart } from './needs-part'
import { PacePart } from './pace-part'
import { SaveBar } from './save-bar'
import { StepForm } from './step-form'
import { StepList } from './step-list'
import { TextInput } from './text-input'
import { useDraft, type SchoolDraft } from './use-draft'

const PARTS = {
  steps: 'Steps',
  gates: 'Gates',
  pace: 'Pace',
  needs: 'What needs what',
  calendar: 'A made-up horse',
} as const
type Part = keyof typeof PARTS

interface PartProps {
  readonly draft: SchoolDraft
  readonly chosen: string | undefined
  readonly onChoose: (step: string) => void
}

const StepsPart = ({ draft, chosen, onChoose }: PartProps) => {
  const step = chosen === undefined ? undefined : stepOf(draft.program, chosen)
  return (
    <div className="grid gap-6 desk:grid-cols-[20rem_1fr]">
      <div className={`desk:max-h-[70dvh] desk:overflow-y-auto ${step ? 'phone:hidden' : ''}`}>
        <TextInput
          label="Name of the school"
          value={draft.program.name}
          onSave={(name) => draft.make({ do: 'rename', name })}
        />
        <div className="mt-3">
          <AddStep draft={draft} onAdded={onChoose} />
        </div>
        <StepList draft={draft} chosen={chosen} onChoose={onChoose} />
      </div>
      {step ? (
        <div className="desk:max-h-[70dvh] desk:overflow-y-auto">
          <Button className="mb-3 desk:hidden" onClick={() => onChoose('')}>
            Back to the path
          </Button>
          <StepForm key={step.key} step={step} draft={draft} />
        </div>
      ) : (
        <p className="text-lg text-quiet phone:hidden">
          Choose a step to change it, or drag one to another place in its stage.
        </p>
      )}
    </div>
  )
}

const PartOf = ({ part, ...props }: PartProps & { part: Part }) => {
  switch (part) {
    case 'steps':
      return <StepsPart {...props} />
    case 'gates':
      return <GatesPart draft={props.draft} />
    case 'pace':
      return <PacePart draft={props.draft} />
    case 'needs':
      return <NeedsPart {...props} />
    case 'calendar':
      return <CalendarPart draft={props.draft} />
  }
}

interface EditorProps {
  readonly school: School
  readonly programId: string
  readonly base: Program
  readonly begun: readonly Edit[]
}

const Editor = ({ school, programId, base, begun }: EditorProps) => {
  const draft = useDraft(programId, base, begun)
  const [search, setSearch] = useSearchParams()
  const part = (search.get('part') ?? 'steps') as Part
  const chosen = search.get('step') ?? undefined
  const go = (patch: Record<string, string>): void =>
    setSearch({ part, ...(chosen ? { step: chosen } : {}), ...patch }, { replace: true })
  return (
    <main className="flex flex-col gap-4 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div>
          <h1 className="text-3xl">{draft.program.name}</h1>
          <p className="text-quiet">
            Version {base.version}
            {draft.edits.length > 0
              ? `, with ${count(draft.edits.length, 'change')} not saved yet`
              : ', as it is kept'}
            .{' '}
            <Link className="underline" to={`/yard/schools/${school.school}`}>
              Its versions and horses
            </Link>
          </p>
        </div>
        <SaveBar draft={draft} school={school} />
      </div>
      <nav aria-label="Parts of the school" className="flex gap-1 overflow-x-auto border-b-2 border-ink">
        {(Object.entries(PARTS) as [Part, string][]).map(([key, words]) => (
          <button
            key={key}
            type="button"
            aria-current={key === part ? 'page' : undefined}
            onClick={() => go({ part: key })}
            className={`min-h-11 px-4 font-name font-bold whitespace-nowrap ${key === part ? 'bg-ink text-ground' : ''}`}
          >
            {words}
          </button>
        ))}
      </nav>
      <PartOf part={part} draft={draft} chosen={chosen || undefined} onChoose={(step) => go({ step })} />
    </main>
  )
}

const NOTHING_BEGUN: readonly Edit[] = []

interface FromProps {
  readonly school: School
  readonly newest: string
  readonly kept: SavedSchoolDraft | null
}

/** Goes on from the version it began with, also when somebody saves a newer one meanwhile: saving then shows both. */
const FromVersion = ({ school, newest, kept }: FromProps) => {
  const [began] = useState(() =>
    school.versions.some(({ programId }) => programId === kept?.programId) ? kept!.programId : newest,
  )
  const begun = kept?.programId === began ? (kept.edits as readonly Edit[]) : NOTHING_BEGUN
  const { data, error, refetch } = useQuery('program', { programId: began })
  if (!data) return <Loading error={error} retry={() => void refetch()} />
  return <Editor school={school} programId={began} base={data.program} begun={begun} />
}

/** A yard’s own school, changed edit by edit; nothing changes for any horse until it is saved and moved to. */
const EditorPage = () => {
  const { school: key = '' } = useParams()
  const { data, error, refetch } = useQuery('schools')
  const [kept, setSaved] = useState<SavedSchoolDraft | null>()
  useEffect(() => {
    void savedSchoolDraft(key).then(setSaved, () => setSaved(null))
  }, [key])
  if (!data || kept === undefined) return <Loading error={error} retry={() => void refetch()} />
  const school = data.schools.find((one) => one.school === key && !one.ships)
  const newest = school?.versions[0]
  if (!school || !newest)
    return (
      <main className="px-4 py-3">
        <Notice>
          This school is not one of your own.{' '}
          <Link className="underline" to="/yard/schools">
            Copy one, then change the copy.
          </Link>
        </Notice>
      </main>
    )
  return <FromVersion key={school.school} school={school} newest={newest.programId} kept={kept} />
}

export default EditorPage
