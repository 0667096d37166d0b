import { Link } from 'react-router'
import { findingsIn } from '../../shared/cue-words'
import { useEntries } from '../../shared/use-entries'

/** What in the cue book is to be settled before somebody sits up; nothing where all of it is clear. */
export const MissingTwins = ({ horseId }: { horseId: string }) => {
  const { entries = [] } = useEntries(horseId)
  const findings = findingsIn(entries)
  if (findings.length === 0) return null
  return (
    <section className="border-l-4 border-ink bg-panel px-4 py-2">
      <h2 className="text-lg">
        <Link className="underline" to={`/horses/${horseId}/cues`}>
          Its cue book
        </Link>{' '}
        before First time up
      </h2>
      <ul>
        {findings.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </section>
  )
}
