import { entriesOf } from '@still-pine/contract/entries-of'
import { exposuresAt } from '@still-pine/core/program'
import { Link } from 'react-router'
import { useAppDispatch } from '../app/store'
import { useEntries } from '../shared/use-entries'
import { wornWords } from '../shared/worn-words'
import { Button } from '../ui/button'
import { kitSeen } from './pen-slice'
import type { PenView } from './use-pen'

/** What it wears by its tack book, where this ask girths it and nobody has said yet today that it is so. */
export const useKitToSee = ({ pen, step }: PenView): readonly string[] => {
  const { entries = [] } = useEntries(pen.horseId)
  if (pen.kitSeen || pen.running !== null || !exposuresAt(step, pen.aim.rung).includes('girth')) return []
  const worn = entriesOf(entries, 'tack').at(-1)
  return worn ? wornWords(worn) : []
}

/** Asked once, before the first ask in a girth: another saddle was never checked. */
export const KitPanel = ({ horseId, worn }: { horseId: string; worn: readonly string[] }) => {
  const dispatch = useAppDispatch()
  return (
    <section
      aria-label="What it wears"
      className="flex max-h-[55dvh] min-h-[min(220px,40dvh)] flex-col gap-3 overflow-y-auto rounded-xl border-4 border-act bg-panel p-4 low:max-h-[45dvh]"
    >
      <h2 className="text-2xl">Does it wear this?</h2>
      <ul className="text-xl leading-tight">
        {worn.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <div className="mt-auto grid grid-cols-2 gap-2">
        <Button look="act" className="min-h-16 text-xl" onClick={() => dispatch(kitSeen())}>
          Yes
        </Button>
        <Link
          className="inline-flex min-h-16 items-center justify-center rounded-md border-2 border-ink px-4 text-center font-name text-xl font-bold"
          to={`/horses/${horseId}/tack`}
        >
          Something else
        </Link>
      </div>
    </section>
  )
}
