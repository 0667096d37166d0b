import { count } from '@still-pine/core/answer'
import { toast } from '../../ui/toast'
import { useInstallOffer } from '../../app/install-offer'
import { device, makeRoom } from '@still-pine/device'
import { useLiveQuery } from '../../offline/use-live-query'
import { Button } from '../../ui/button'
import { clock, dayOf, longDay } from '../../shared/words'

const GIGA = 1_000_000_000

const sizeWords = (bytes: number): string =>
  bytes >= GIGA ? `${(bytes / GIGA).toFixed(0)} GB` : `${(bytes / 1_000_000).toFixed(1)} MB`

const dayAndTime = (at: number): string => {
  const iso = new Date(at).toISOString()
  return `${longDay(dayOf(iso))} ${clock(iso)}`
}

const spaceHere = async (): Promise<string> => {
  const { usage, quota } = (await navigator.storage?.estimate?.()) ?? {}
  return usage === undefined || quota === undefined
    ? ''
    : `${sizeWords(usage)} used of ${sizeWords(quota)} this browser may use.`
}

/** What lies on this device besides what waits: copies, each with its age, which can go. */
export const StoredHere = ({ personId }: { personId: string }) => {
  const carried = useLiveQuery(async () => {
    const all = await device.carried.where('personId').equals(personId).toArray()
    return all.map(({ horse, answers, at }) => ({ name: horse.name, answers: answers.length, at }))
  }, [personId])
  const replies = useLiveQuery(() => device.replies.where('personId').equals(personId).count(), [personId])
  const install = useInstallOffer()
  const space = useLiveQuery(spaceHere, [carried?.length])
  const clear = async (): Promise<void> => {
    await makeRoom()
    toast('The copies are gone. They are fetched again when they are needed.')
  }
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-2xl">On this device</h2>
      <p>
        Copies for when there is no signal: {count(carried?.length ?? 0, 'horse')} and{' '}
        {count(replies ?? 0, 'page')}. {space}
      </p>
      <ul>
        {carried?.map(({ name, answers, at }) => (
          <li key={name} className="border-t border-line py-1">
            <b>{name}</b>: {count(answers, 'answer')}, as of {dayAndTime(at)}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        {install && (
          <Button look="act" onClick={install}>
            Install on this device
          </Button>
        )}
        <Button onClick={() => void clear()}>Remove the copies</Button>
      </div>
    </section>
  )
}
