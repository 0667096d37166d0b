import { entriesOf, type EntryOf } from '@still-pine/contract/entries-of'
import { Link } from 'react-router'
import { useEntries } from '../shared/use-entries'

/** "Brown trail saddle; felt pad; girth hole 4": what it wears, as it was told. */
const wornWords = ({ saddle, pad, girthHole, bridle, bit, lineM }: EntryOf<'tack'>): readonly string[] =>
  [
    saddle,
    pad && `pad: ${pad}`,
    girthHole === null ? '' : `girth, hole ${girthHole}`,
    bridle && `bridle: ${bridle}`,
    bit && `bit: ${bit}`,
    lineM === null ? '' : `line of ${lineM} m`,
  ].filter(Boolean)

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
