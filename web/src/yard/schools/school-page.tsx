import { SCHOOL_FORMAT, type School, type SchoolVersion } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { SCHOOLS, type Program } from '@still-pine/core/program'
import { differencesOf } from '@still-pine/core/school-edit'
import { Link, useNavigate, useParams } from 'react-router'
import { toast } from '../../ui/toast'
import { useCommand, useQuery, wordsFor } from '../../app/client'
import { Picker } from '../../shared/pickers'
import { Button } from '../../ui/button'
import { Notice } from '../../ui/field'
import { Loading } from '../../shared/loading'
import { dayOf, longDay } from '../../shared/words'
import { DifferenceList } from './difference-list'

const LINK = 'inline-flex min-h-11 items-center underline'
const ACT = 'inline-flex min-h-11 items-center rounded-md bg-act px-4 font-name font-bold text-on-act'

const takeOut = (program: Program): void => {
  const text = JSON.stringify({ format: SCHOOL_FORMAT, version: 1, program }, null, 2)
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([`${text}\n`], { type: 'application/json' }))
  link.download = `${program.school}-${program.version}.json`
  link.click()
  URL.revokeObjectURL(link.href)
}

/** What a version changed: against the one before it, or against the school it was copied from. */
const Changes = ({ of, before }: { of: string; before: string | undefined }) => {
  const { data: now } = useQuery('program', { programId: of })
  const { data: was } = useQuery('program', { programId: before ?? '' }, { skip: before === undefined })
  if (!now) return <Loading />
  const base = was?.program ?? SCHOOLS.find(({ school }) => school === now.program.copyOf)
  return base ? <DifferenceList differences={differencesOf(base, now.program)} /> : null
}

interface VersionProps {
  readonly version: SchoolVersion
  readonly before: string | undefined
  readonly newest: SchoolVersion
  readonly copied: string | undefined
}

const Version = ({ version, before, newest, copied }: VersionProps) => (
  <article className="border-t-4 border-ink bg-panel p-4">
    <h2 className="text-2xl">Version {version.version}</h2>
    <p className="text-quiet">
      {version.madeAt ? `kept on ${longDay(dayOf(version.madeAt))}` : 'as it ships'}
      {version.madeBy ? ` by ${version.madeBy}` : ''}
    </p>
    <details open={version === newest}>
      <summary className="min-h-11 font-bold">
        {before ? 'What it changed' : `How it differs from ${copied ?? 'the one it was copied from'}`}
      </summary>
      <Changes of={version.programId} before={before} />
    </details>
    {version.horses.length > 0 && (
      <ul className="mt-2">
        {version.horses.map(({ id, name }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-t border-line">
            <Link className={LINK} to={`/horses/${id}`}>
              {name}
            </Link>
            {version !== newest && (
              <Link className={LINK} to={`/horses/${id}/move-over?to=${newest.programId}`}>
                See what version {newest.version} would change for it
              </Link>
            )}
          </li>
        ))}
      </ul>
    )}
  </article>
)

/** The version of a shipped school that came with a newer product: taken in only where somebody says so. */
const Offered = ({ school, newest }: { school: School; newest: SchoolVersion }) => {
  const [put, { isLoading }] = useCommand('putOffered')
  const { data: now } = useQuery('program', { programId: newest.programId })
  const shipped = SCHOOLS.find((one) => one.school === school.school)
  if (school.offered === null || !shipped || !now) return null
  const takeIn = async (): Promise<void> => {
    const done = await put({ school: school.school, body: { version: shipped.version } })
    if (done.error) toast.error(wordsFor(done.error))
    else toast(`Version ${shipped.version} is here. Each horse stays where it is until you move it over.`)
  }
  return (
    <article className="border-t-4 border-act bg-panel p-4">
      <h2 className="text-2xl">Version {shipped.version} came with the newest Still Pine</h2>
      <p className="text-quiet">
        Nothing changes until you take it in, and then only for the horses you move over to it.
      </p>
      <DifferenceList differences={differencesOf(now.program, shipped)} />
      <Button look="act" className="mt-3" disabled={isLoading} onClick={() => void takeIn()}>
        Take version {shipped.version} in
      </Button>
    </article>
  )
}

/** A horse of another school that is to be worked by this one. */
const MoveHere = ({ school }: { school: School }) => {
  const { data: today } = useQuery('today')
  const navigate = useNavigate()
  const newest = school.versions[0]!
  const others = today?.rows.filter(({ horse }) => horse.school !== school.school) ?? []
  if (others.length === 0) return null
  return (
    <Picker
      label="Work another horse by it"
      value=""
      onPick={(id) => void navigate(`/horses/${id}/move-over?to=${newest.programId}`)}
    >
      <option value="">Choose a horse</option>
      {others.map(({ horse }) => (
        <option key={horse.id} value={horse.id}>
          {horse.name}, {horse.schoolName}
        </option>
      ))}
    </Picker>
  )
}

/** One of the yard’s own schools: its versions, what each changed, and who is worked by it. */
const SchoolPage = () => {
  const { school: key } = useParams()
  const { data: me } = useQuery('me')
  const { data, error, refetch } = useQuery('schools')
  const school = data?.schools.find((one) => one.school === key)
  const newest = school?.versions[0]
  const { data: program } = useQuery('program', { programId: newest?.programId ?? '' }, { skip: !newest })
  if (!data || !me) return <Loading error={error} retry={() => void refetch()} />
  if (!school || !newest)
    return (
      <main className="px-4 py-3">
        <Notice>
          There is no such school in your yard. <Link to="/yard/schools">See the schools there are.</Link>
        </Notice>
      </main>
    )
  const copied = data.schools.find((one) => one.school === school.copyOf)?.name
  const mayEdit = mayDo(me.person.role, 'edit-school')
  return (
    <main className="mx-auto flex w-full max-w-4xl flex-col gap-5 px-4 py-3 desk:px-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-3xl">{school.name}</h1>
          {copied && <p className="text-quiet">Copied from {copied}</p>}
        </div>
        <div className="no-print flex flex-wrap items-end gap-3">
          {program && <Button onClick={() => takeOut(program.program)}>Take it out (JSON)</Button>}
          {mayEdit && !school.ships && (
            <Link className={ACT} to={`/yard/schools/${school.school}/edit`}>
              Change it
            </Link>
          )}
        </div>
      </div>
      {mayEdit && <Offered school={school} newest={newest} />}
      {mayEdit && <MoveHere school={school} />}
      {school.versions.map((version, i) => (
        <Version
          key={version.programId}
          version={version}
          before={school.versions[i + 1]?.programId}
          newest={newest}
          copied={copied}
        />
      ))}
    </main>
  )
}

export default SchoolPage
