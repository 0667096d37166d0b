import type { Line } from '@still-pine/contract'
import type { Confirmation } from '@still-pine/core/facts'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useQuery } from '../app/client'
import { saveHere } from '../offline/save'

export const CONFIRM: Readonly<Record<Confirmation, string>> = {
  helper: 'A second person is here',
  helmet: 'Helmet on',
  'safe-rail': 'Safe rail and quick release',
  company: 'A quiet horse comes along',
  'rider-share': 'Rider and saddle weigh at most 15 % of the horse',
  whereabouts: 'Somebody knows where, and until when',
  'load-day': 'One more load day this week, all the same',
}

export type Confirmable = Confirmation

/** What is seen at the pen on the day itself. */
export const Confirmations = ({ line, confirmable }: { line: Line; confirmable: readonly Confirmable[] }) => {
  const { data: me } = useQuery('me')
  // What was just ticked stands at once; the verdict follows when it is worked out anew.
  const [ticked, setTicked] = useState<readonly Confirmable[] | null>(null)
  const standing = ticked ?? line.facts.confirmed
  const toggle = async (rule: Confirmable): Promise<void> => {
    const next = standing.includes(rule) ? standing.filter((one) => one !== rule) : [...standing, rule]
    setTicked(next)
    const horseId = line.horse.id
    const item = { do: 'confirm' as const, id: uuid(), horseId, day: line.day, confirmed: next }
    if (!me || !(await saveHere(me.person.id, horseId, item))) setTicked(null)
  }
  return (
    <section>
      <h2 className="mb-2 text-lg">Confirmed at the pen, today only</h2>
      {confirmable.map((rule) => (
        <label key={rule} className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={standing.includes(rule)}
            onChange={() => void toggle(rule)}
          />
          {CONFIRM[rule]}
        </label>
      ))}
    </section>
  )
}
