import { count, plural } from '@still-pine/core/answer'
import { device, entriesOf, handOver, nameOf, takenHere, waitingFile } from '@still-pine/device'
import { useLiveQuery } from '../offline/use-live-query'
import { Button } from '../ui/button'

const whoWaits = async () => {
  const inOutbox = (await device.waiting.orderBy('personId').uniqueKeys()) as string[]
  const withFiles = (await device.taken.orderBy('personId').uniqueKeys()) as string[]
  const people = await Promise.all(
    [...new Set([...inOutbox, ...withFiles])].map(async (id) => ({
      id,
      name: await nameOf(id),
      entries: await entriesOf(id),
      files: (await takenHere(id)).length,
    })),
  )
  return people.filter(({ entries, files }) => entries.length + files > 0)
}

/** What waits on this device for people who are not signed in: theirs alone, and never lost. */
export const WaitsHere = () => {
  const people = useLiveQuery(whoWaits, []) ?? []
  if (people.length === 0) return null
  return (
    <section className="flex flex-col gap-2 border-l-4 border-ink bg-panel p-4">
      {people.map(({ id, name, entries, files }) => (
        <div key={id} className="flex flex-col items-start gap-2">
          <p>
            {count(entries.length + files, 'entry', 'entries')} of {name}{' '}
            {plural(entries.length + files, 'waits', 'wait')} on this device. They are sent when {name} signs
            in here.
          </p>
          <Button
            look="quiet"
            onClick={() => handOver(waitingFile(entries, name, new Date()), 'still-pine-waiting.json')}
          >
            Save them as a file
          </Button>
        </div>
      ))}
    </section>
  )
}
