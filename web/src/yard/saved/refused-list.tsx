import type { TodayRow } from '@still-pine/contract'
import { toast } from '../../ui/toast'
import { bySession, device, remedyFor, saidAt, type Waiting } from '@still-pine/device'
import { Button } from '../../ui/button'
import { clock, dayOf, longDay } from '../../shared/words'
import { groupWords, itemWords } from './item-words'
import { MendGroup } from './mend-group'

interface Props {
  readonly refused: readonly Waiting[]
  readonly rows: readonly TodayRow[]
}

/** Lets entries go; for a moment they can be had back. */
const letGroupGo = async (group: readonly Waiting[]): Promise<void> => {
  await device.waiting.bulkDelete(group.map(({ order }) => order))
  toast(`Let go: ${groupWords(group.map(({ item }) => item))}.`, {
    duration: 12_000,
    action: { label: 'Undo', onClick: () => void device.waiting.bulkPut([...group]) },
  })
}

/** A session that was refused is what must be mended; its answers were refused because of it. */
const decisive = (group: readonly Waiting[]): Waiting =>
  group.find(({ item }) => item.do === 'session') ?? group[0]!

/** What the server refused: why, and what can be done about it. It holds up nothing else. */
export const RefusedList = ({ refused, rows }: Props) => (
  <section className="flex flex-col gap-3">
    <h2 className="text-2xl text-stop">These need you</h2>
    {bySession(refused).map((group) => {
      const first = decisive(group)
      const at = saidAt(first.item)
      const name = rows.find(({ horse }) => horse.id === first.horseId)?.horse.name
      return (
        <article
          key={first.order}
          className="flex flex-col gap-3 border-l-4 border-stop bg-panel p-4"
          aria-label={`${name ?? 'A horse that is not here'}, ${groupWords(group.map(({ item }) => item))}`}
        >
          <p className="text-lg">
            <b>{name ?? 'A horse that is not here'}</b>, {longDay(dayOf(at))} {clock(at)}:{' '}
            {groupWords(group.map(({ item }) => item))}. {first.refused?.reason}
          </p>
          <details>
            <summary className="min-h-11 text-quiet">What it is</summary>
            <ul className="list-disc pl-6">
              {group.map(({ order, item }) => (
                <li key={order}>{itemWords(item)}</li>
              ))}
            </ul>
          </details>
          <MendGroup remedy={remedyFor(first)} group={group} rows={rows} />
          <Button look="quiet" className="self-start" onClick={() => void letGroupGo(group)}>
            Let it go
          </Button>
        </article>
      )
    })}
  </section>
)
