import type { Difference } from '@still-pine/core/school-edit'

/** What is different, part by part, in words. */
export const DifferenceList = ({ differences }: { differences: readonly Difference[] }) =>
  differences.length === 0 ? (
    <p className="text-quiet">Nothing is different.</p>
  ) : (
    <ul>
      {differences.map(({ part, name, words }) => (
        <li key={part} className="border-t border-line py-1">
          <b>{name}</b> {words.join('; ')}
        </li>
      ))}
    </ul>
  )
