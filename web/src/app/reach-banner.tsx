import { useLiveQuery } from '../offline/use-live-query'
import { device } from '@still-pine/device'
import { howLong } from '../offline/sync-slice'
import { useNow } from '../ui/use-now'
import { clock, dayOf, longDay } from '../shared/words'
import { takeUpdate } from './keep-installed'
import { useAppSelector } from './store'

const BAR = 'no-print flex flex-wrap items-center gap-x-4 border-b-2 border-ink bg-panel px-4 py-1 desk:px-5'

const isToday = (at: number): boolean => new Date(at).toDateString() === new Date().toDateString()

/** "14:05", or the day as well where it was not today. */
const when = (at: number): string => {
  const iso = new Date(at).toISOString()
  return isToday(at) ? clock(iso) : `${longDay(dayOf(iso))}, ${clock(iso)}`
}

/** Without signal: how old is what is seen. */
const Away = ({ personId, horseId }: { personId: string; horseId: string | null }) => {
  const now = useNow(30_000)
  const carried = useLiveQuery(async () => {
    if (horseId === null) return undefined
    const found = await device.carried.get([personId, horseId])
    return found && { name: found.horse.name, at: found.at }
  }, [personId, horseId])
  return (
    <p className={BAR} role="status">
      <b>No signal.</b>
      {carried
        ? ` What you see of ${carried.name} is what this device knows: answers up to ${when(carried.at)}, ${howLong(now - carried.at)} ago, and what you log here.`
        : ' What you see was fetched earlier. What you log is kept here.'}
    </p>
  )
}

const Update = ({ isHeld }: { isHeld: boolean }) => (
  <p className={BAR} role="status">
    <span>
      {isHeld
        ? 'The browser still holds on to the old version. Close every window of this app and open it again. What waits to be sent stays.'
        : 'There is a new version of this app. What waits to be sent stays.'}
    </span>
    <button type="button" className="min-h-11 font-bold underline" onClick={takeUpdate}>
      Reload with it
    </button>
  </p>
)

/** What is to be known of signal and version, above every page but the pen. */
export const ReachBanner = ({ personId, horseId }: { personId: string; horseId: string | null }) => {
  const { isAway, update } = useAppSelector(({ sync }) => sync)
  return (
    <>
      {isAway && <Away personId={personId} horseId={horseId} />}
      {update !== 'none' && <Update isHeld={update === 'held'} />}
    </>
  )
}
