import { entriesOf } from '@still-pine/contract/entries-of'
import { Link } from 'react-router'
import { wornWords } from '../shared/worn-words'
import { useEntries } from '../shared/use-entries'

/** The kit that is this horse's own, beside what the steps ask for. */
export const Worn = ({ horseId }: { horseId: string }) => {
  const { entries = [] } = useEntries(horseId)
  const worn = entriesOf(entries, 'tack').at(-1)
  const told = worn ? wornWords(worn) : []
  if (told.length === 0) return null
  return (
    <>
      <h3 className="mt-2 font-bold">
        <Link to={`/horses/${horseId}/tack`} className="underline">
          Its own
        </Link>
      </h3>
      <ul>
        {told.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </>
  )
}
