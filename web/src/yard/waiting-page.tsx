import { useEffect, useState } from 'react'
import { useMeQuery } from '../app/api'
import { useAppSelector } from '../app/store'
import { letGo, refusedEntries, type Waiting } from '../offline/outbox'
import { syncWords } from '../offline/sync-slice'
import { Button } from '../ui/button'

const what = ({ item }: Waiting): string => {
  if (item.do === 'session') return 'The session'
  return item.do === 'void' ? 'Taking an answer back' : `An answer to ${item.answer.step}`
}

/** What is saved, what waits, and what the server refused and why. */
const WaitingPage = () => {
  const { data: me } = useMeQuery()
  const sync = useAppSelector((state) => state.sync)
  const [refused, setRefused] = useState<readonly Waiting[]>([])
  const personId = me?.person.id
  useEffect(() => {
    if (personId !== undefined) void refusedEntries(personId).then(setRefused)
  }, [personId, sync])
  const drop = async (order: number): Promise<void> => {
    await letGo(order)
    setRefused((list) => list.filter((entry) => entry.order !== order))
  }
  return (
    <main className="flex flex-col gap-4 px-4 py-3 desk:px-5">
      <h1 className="text-3xl">What is saved</h1>
      <p className="text-lg">
        {syncWords(sync)}. Every answer is on this device the moment you give it, and leaves it only when the
        server has it.
      </p>
      {refused.length > 0 && <h2 className="text-xl">These need you</h2>}
      <ul>
        {refused.map((entry) => (
          <li
            key={entry.order}
            className="flex flex-wrap items-center justify-between gap-3 border-t border-line py-2"
          >
            <span>
              <b>{what(entry)}</b>: {entry.refused}
            </span>
            <Button onClick={() => void drop(entry.order)}>Let it go</Button>
          </li>
        ))}
      </ul>
    </main>
  )
}

export default WaitingPage
