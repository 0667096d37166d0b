import { toast } from '../../ui/toast'
import { useQuery, useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { clock, dayOf, longDay } from '../../shared/words'
import { useMay } from '../../shared/use-may'

/** The browsers people signed in on; a lost phone is cut off here. */
export const Devices = () => {
  const { data } = useQuery('devices')
  const [put] = useCommand('putCutOff')
  // Whoever holds a lost phone's fellow may cut it off; a starter lets it back.
  const mayLetBack = useMay('edit-people')
  const cut = async (personId: string, deviceId: string, cutOff: boolean): Promise<void> => {
    const done = await put({ personId, deviceId, body: { cutOff } })
    if (done.error) toast.error(wordsFor(done.error))
    else if (cutOff)
      toast('Cut off. What it shows goes the next time it finds signal; what waits on it stays on it.', {
        duration: 12_000,
        action: { label: 'Undo', onClick: () => void cut(personId, deviceId, false) },
      })
  }
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-2xl">Devices</h2>
      <p>A phone that is lost can be cut off: it is signed out and its copies go.</p>
      {!data && <p className="text-quiet">They are listed when there is signal.</p>}
      <ul>
        {data?.devices.map(({ id, personId, personName, words, seenAt, cutOffAt, isThis }) => (
          <li
            key={`${personId}${id}`}
            className="flex flex-wrap items-center justify-between gap-x-4 border-t border-line py-1"
          >
            <span>
              <b>{words}</b>, {personName},{' '}
              {isThis ? 'this one' : `last here ${longDay(dayOf(seenAt))} ${clock(seenAt)}`}
              {cutOffAt && <b className="text-stop"> · cut off</b>}
            </span>
            {!isThis && (cutOffAt === null || mayLetBack) && (
              <Button onClick={() => void cut(personId, id, cutOffAt === null)}>
                {cutOffAt === null ? 'Cut it off' : 'Let it back'}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
