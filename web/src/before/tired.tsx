import { entriesOf } from '@still-pine/contract/entries-of'
import { minutesBeforeTired } from '@still-pine/core/going'
import { useEntries } from '../shared/use-entries'

/** How long it may go on the line today, where it tired the last time. */
export const Tired = ({ horseId, day }: { horseId: string; day: string }) => {
  const { entries = [] } = useEntries(horseId)
  const minutes = minutesBeforeTired(entriesOf(entries, 'line-work'), day)
  return minutes === null ? null : (
    <p className="border-l-8 border-ink bg-panel px-3 py-2">
      It tired last time on the line: {Math.floor(minutes)} minutes are enough today.
    </p>
  )
}
