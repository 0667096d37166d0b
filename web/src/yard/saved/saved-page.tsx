import { useQuery } from '../../app/client'
import { useAppSelector } from '../../app/store'
import { entriesOf, isReadable } from '@still-pine/device'
import { syncWords } from '../../offline/sync-slice'
import { useLiveQuery } from '../../offline/use-live-query'
import { useNow } from '../../ui/use-now'
import { Loading } from '../../shared/loading'
import { upperFirst } from '@still-pine/core/readiness'
import { FilesHere } from './files-here'
import { Leave } from './leave'
import { RefusedList } from './refused-list'
import { SpoiltList } from './spoilt-list'
import { StoredHere } from './stored-here'
import { WaitingList } from './waiting-list'

/** What is saved, what waits, what was refused and why, and what lies on this device. */
const SavedPage = () => {
  const { data: me, error, refetch } = useQuery('me')
  const { data: today } = useQuery('today')
  const sync = useAppSelector((state) => state.sync)
  const now = useNow(30_000)
  const personId = me?.person.id ?? ''
  const entries = useLiveQuery(() => entriesOf(personId), [personId]) ?? []
  if (!me) return <Loading error={error} retry={() => void refetch()} />
  const rows = today?.rows ?? []
  const [whole, spoilt] = [entries.filter(isReadable), entries.filter((entry) => !isReadable(entry))]
  const refused = whole.filter((entry) => entry.refused !== undefined)
  return (
    <main className="flex flex-col gap-6 px-4 py-3 desk:px-5">
      <div>
        <h1 className="text-3xl">What is saved</h1>
        <p className="text-lg">
          {upperFirst(syncWords(sync, now))}. Every answer is on this device the moment you give it, and
          leaves it only when the server has it.
        </p>
      </div>
      {refused.length > 0 && <RefusedList refused={refused} rows={rows} />}
      {spoilt.length > 0 && <SpoiltList spoilt={spoilt} />}
      <FilesHere personId={personId} />
      <div className="grid gap-8 desk:grid-cols-2">
        <WaitingList waiting={whole.filter((entry) => entry.refused === undefined)} rows={rows} />
        <StoredHere personId={personId} />
        <Leave person={me.person} />
      </div>
    </main>
  )
}

export default SavedPage
