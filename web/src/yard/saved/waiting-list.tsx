import type { TodayRow } from '@still-pine/contract'
import { bySession, saidAt, type Waiting } from '@still-pine/device'
import { clock, dayOf, longDay } from '../../shared/words'
import { groupWords, itemWords } from './item-words'

/** What waits for signal, by session. */
export const WaitingList = ({
  waiting,
  rows,
}: {
  waiting: readonly Waiting[]
  rows: readonly TodayRow[]
}) => (
  <section>
    <h2 className="mb-2 text-2xl">Waiting for signal</h2>
    {waiting.length === 0 && <p>Nothing waits: the server has everything that was logged here.</p>}
    <ul>
      {bySession(waiting).map((group) => {
        const [first] = group
        const at = saidAt(first!.item)
        const name = rows.find(({ horse }) => horse.id === first!.horseId)?.horse.name ?? 'A horse'
        return (
          <li key={first!.order} className="border-t border-line py-1">
            <details>
              <summary className="min-h-11">
                <b>{name}</b>, {longDay(dayOf(at))} {clock(at)}: {groupWords(group.map(({ item }) => item))}
              </summary>
              <ul className="list-disc pl-6">
                {group.map(({ order, item }) => (
                  <li key={order}>{itemWords(item)}</li>
                ))}
              </ul>
            </details>
          </li>
        )
      })}
    </ul>
  </section>
)
