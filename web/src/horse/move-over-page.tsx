import type { Horse, MoveOver } from '@still-pine/contract'
import { mayDo } from '@still-pine/contract/rights'
import { count, plural } from '@still-pine/core/answer'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { toast } from '../ui/toast'
import { useQuery, useCommand, wordsFor } from '../app/client'
import { Button } from '../ui/button'
import { Loading } from '../shared/loading'
import { STATE_WORDS } from '../shared/words'
import { useHorse } from '../shared/use-horse'

type Track = MoveOver['steps'][number]['tracks'][number]

const standing = (side: Track['before']): string =>
  side === null
    ? 'not kept'
    : `${STATE_WORDS[side.state]}${side.holdsToRung > 0 ? `, holds to rung ${side.holdsToRung}` : ''}`

const isOtherwise = ({ before, after }: Track): boolean => standing(before) !== standing(after)

const sentence = ({ steps }: MoveOver): string => {
  const tracks = steps.flatMap((step) => step.tracks)
  const otherwise = tracks.filter((track) => isOtherwise(track) && track.answers > 0).length
  if (otherwise === 0) return 'No skill that has answers is judged otherwise.'
  return `${count(otherwise, 'skill')} with answers ${plural(otherwise, 'is', 'are')} judged otherwise.`
}

const Steps = ({ steps }: Pick<MoveOver, 'steps'>) => (
  <table className="w-full border-collapse">
    <thead>
      <tr className="text-left">
        <th scope="col">Step</th>
        <th scope="col">Side</th>
        <th scope="col">Answers</th>
        <th scope="col">Now</th>
        <th scope="col">After</th>
      </tr>
    </thead>
    {steps.map(({ step, name, changes, tracks }) => (
      <tbody key={step} className="border-t border-line">
        {tracks.map((track, i) => (
          <tr key={track.side} className="align-top">
            <th scope="row" className="py-1 pr-3 text-left">
              {i === 0 && (
                <>
                  {name}
                  <span className="block font-normal text-quiet">{changes.join('; ')}</span>
                </>
              )}
            </th>
            <td className="pr-3">{track.side === 'none' ? '' : track.side}</td>
            <td className="pr-3 tabular-nums">{track.answers}</td>
            <td className="pr-3">{standing(track.before)}</td>
            <td className={isOtherwise(track) ? 'font-bold' : ''}>{standing(track.after)}</td>
          </tr>
        ))}
      </tbody>
    ))}
  </table>
)

/** What becomes of each of a horse’s tracks if it moves to another program; moved with one press, and back with another. */
const MoveOverPage = () => {
  const { horseId = '' } = useParams()
  const [search] = useSearchParams()
  const to = search.get('to') ?? ''
  const { line, error, retry } = useHorse()
  const { data: me } = useQuery('me')
  const { data: moved, error: noMove, refetch } = useQuery('moveOver', { horseId, to })
  const [put, { isLoading }] = useCommand('putHorseProgram')
  const navigate = useNavigate()
  if (!line || !moved || !me)
    return <Loading error={error ?? noMove} retry={() => (error ? retry() : void refetch())} />
  const { horse } = line
  const move = async (
    from: Pick<Horse, 'id' | 'version' | 'programId'>,
    programId: string,
  ): Promise<void> => {
    const done = await put({ horseId: from.id, body: { programId, version: from.version } })
    if (done.error) {
      toast.error(wordsFor(done.error))
      return
    }
    const now = done.data
    toast(`${now.name} is worked by ${now.schoolName} now. No answer was lost.`, {
      action: { label: 'Undo', onClick: () => void move(now, from.programId) },
    })
    void navigate(`/horses/${now.id}`)
  }
  const isThere = horse.programId === to
  return (
    <main className="mx-auto flex w-full max-w-5xl flex-col gap-4 px-4 py-3 desk:px-5">
      <h1 className="text-3xl">
        {horse.name} to {moved.name}, version {moved.version}
      </h1>
      <p className="text-xl font-bold">
        {isThere ? 'It is worked by this version already.' : sentence(moved)}
      </p>
      <p>Every answer stays, and comes back with the horse if it is moved back.</p>
      {!isThere && mayDo(me.person.role, 'edit-horse') && (
        <div className="no-print flex flex-wrap gap-2">
          <Button look="act" disabled={isLoading} onClick={() => void move(horse, to)}>
            Move {horse.name} over
          </Button>
          <Link className="inline-flex min-h-11 items-center px-3 underline" to={`/horses/${horse.id}`}>
            Leave it as it is
          </Link>
        </div>
      )}
      {moved.steps.length > 0 && <Steps steps={moved.steps} />}
    </main>
  )
}

export default MoveOverPage
