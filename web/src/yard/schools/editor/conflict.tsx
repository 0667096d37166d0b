import type { Program } from '@still-pine/core/program'
import { copyOfSchool, differencesOf, drafted } from '@still-pine/core/school-edit'
import { saveSchoolDraft } from '@still-pine/device'
import { useNavigate } from 'react-router'
import { toast } from '../../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, useQuery, wordsFor } from '../../../app/client'
import { Button } from '../../../ui/button'
import { Sheet } from '../../../ui/sheet'
import { DifferenceList } from '../difference-list'
import type { SchoolDraft } from './use-draft'

interface Props {
  readonly draft: SchoolDraft
  readonly school: string
  readonly onClose: () => void
}

const Both = ({
  draft,
  theirs,
  theirId,
  by,
  onClose,
}: Props & { theirs: Program; theirId: string; by: string | null }) => {
  const [put] = useCommand('putProgram')
  const navigate = useNavigate()
  const onTop = drafted({ base: theirs, edits: draft.edits })
  const putOnTop = async (): Promise<void> => {
    // The page takes the newer version as its base, and finds these edits to it.
    await saveSchoolDraft(theirs.school, {
      programId: theirId,
      edits: draft.edits.filter((edit) => !onTop.refused.some((one) => one.edit === edit)),
    })
    onClose()
    void navigate(0)
  }
  const letMineGo = async (): Promise<void> => {
    await saveSchoolDraft(theirs.school, { programId: theirId, edits: [] })
    void navigate(0)
  }
  const saveApart = async (): Promise<void> => {
    const school = `${draft.base.school}-${uuid().slice(-6)}`
    const program = copyOfSchool(draft.program, school, `${draft.program.name} (mine)`)
    const done = await put({ programId: uuid(), body: { basedOn: 0, program } })
    if (done.error) toast.error(wordsFor(done.error))
    else {
      draft.letGo()
      void navigate(`/yard/schools/${school}`)
    }
  }
  return (
    <div className="flex flex-col gap-4">
      <p>
        {by ?? 'Somebody'} saved version {theirs.version} after you began from version {draft.base.version}.
        Nothing of either is lost.
      </p>
      <div className="grid gap-4 desk:grid-cols-2">
        <section>
          <h3 className="text-xl">Theirs</h3>
          <DifferenceList differences={differencesOf(draft.base, theirs)} />
        </section>
        <section>
          <h3 className="text-xl">Yours</h3>
          <DifferenceList differences={differencesOf(draft.base, draft.program)} />
        </section>
      </div>
      {onTop.refused.length > 0 && (
        <p>
          On top of theirs these of yours cannot stand: {onTop.refused.map(({ words }) => words).join(' ')}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="act" onClick={() => void putOnTop()}>
          Put mine on top of theirs
        </Button>
        <Button onClick={() => void saveApart()}>Keep mine as a school of its own</Button>
        <Button onClick={() => void letMineGo()}>Take theirs</Button>
      </div>
    </div>
  )
}

/** Two people changed one school: both versions side by side, and what to do about it. */
export const Conflict = (props: Props) => {
  const { data } = useQuery('schools', undefined, { refetchOnMountOrArgChange: true })
  const newest = data?.schools.find(({ school }) => school === props.school)?.versions[0]
  const isNewer = newest !== undefined && newest.version > props.draft.base.version
  const { data: theirs } = useQuery('program', { programId: newest?.programId ?? '' }, { skip: !isNewer })
  return (
    <Sheet open title="It was changed by somebody else meanwhile" onClose={props.onClose}>
      {theirs && isNewer ? (
        <Both {...props} theirs={theirs.program} theirId={theirs.id} by={newest.madeBy} />
      ) : (
        <p role="status">Fetching the other version.</p>
      )}
    </Sheet>
  )
}
