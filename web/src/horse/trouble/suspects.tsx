import { count } from '@still-pine/core/answer'
import type { Suspect } from '@still-pine/core/trouble'
import { Link } from 'react-router'

/** So many are looked at first; the rest wait behind a line. */
const FIRST = 3

const Row = ({ suspect, horseId, place }: { suspect: Suspect; horseId: string; place: number }) => (
  <li className="grid break-inside-avoid grid-cols-[2.5rem_1fr] gap-x-2 border-t-2 border-line py-3">
    <span className="font-name text-3xl font-extrabold text-quiet">{place}</span>
    <div>
      <h3 className="text-xl">
        <Link
          className="underline decoration-2 underline-offset-4"
          to={`/horses/${horseId}/steps/${suspect.step}`}
        >
          {suspect.name}
        </Link>
      </h3>
      <p className="text-lg font-bold">{suspect.today}</p>
      <p>{suspect.lacks.map(({ words }) => words).join('; ')}.</p>
      <p className="text-quiet">
        Known from: {suspect.evidence.join(' · ')}. Looked at for: {suspect.because.join('; ')}.
      </p>
    </div>
  </li>
)

/** The likeliest missing steps first, each with what is known and what to do today. */
export const Suspects = ({ suspects, horseId }: { suspects: readonly Suspect[]; horseId: string }) => {
  const rows = suspects.map((suspect, i) => (
    <Row key={suspect.step} suspect={suspect} horseId={horseId} place={i + 1} />
  ))
  return (
    <section>
      <h2 className="mb-2 text-2xl">The likeliest missing steps</h2>
      <ol>{rows.slice(0, FIRST)}</ol>
      {rows.length > FIRST && (
        <details>
          <summary className="min-h-11 font-bold">{count(rows.length - FIRST, 'less likely step')}</summary>
          <ol>{rows.slice(FIRST)}</ol>
        </details>
      )}
    </section>
  )
}
