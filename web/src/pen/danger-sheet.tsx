import type { BodyOf } from '@still-pine/contract'
import { useState } from 'react'
import { toast } from 'sonner'
import { v7 as uuid } from 'uuid'
import { keepHere } from '../offline/keep'
import { INCIDENT_WORDS } from '../horse/care/incident-words'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'
import { useAppDispatch } from '../app/store'
import { dangerSeen } from './pen-slice'
import type { PenView } from './use-pen'

const KINDS = Object.entries(INCIDENT_WORDS) as [BodyOf<'putIncident'>['kind'], string][]

interface Props {
  readonly view: PenView
  readonly onClose: () => void
}

/** A danger sign: stop first, then record it in two taps. */
export const DangerSheet = ({ view, onClose }: Props) => {
  const [serious, setSerious] = useState(false)
  const dispatch = useAppDispatch()
  const { personId, horseId, day, aim } = view.pen

  const record = async (kind: (typeof KINDS)[number][0]): Promise<void> => {
    const body: BodyOf<'putIncident'> = {
      kind,
      on: day,
      step: aim.step,
      side: aim.side === 'none' ? null : aim.side,
      serious,
      where: 'pen',
      before: `${view.step.name}: ${view.rungWords}`,
      after: '',
    }
    const isKept = await keepHere(personId, horseId, { do: 'incident', id: uuid(), horseId, incident: body })
    dispatch(dangerSeen())
    if (isKept) toast(`Recorded: ${kind}. You can write more under Incidents.`)
    onClose()
  }

  return (
    <Sheet open title="Stop. Is everybody whole?" onClose={onClose}>
      <p className="mb-4">
        Get clear first. A hurt person or horse comes before any record: call for help, then the doctor or the
        vet.
      </p>
      <label className="mb-4 flex min-h-16 items-center gap-3 text-lg font-bold">
        <input
          type="checkbox"
          className="size-7"
          checked={serious}
          onChange={(e) => setSerious(e.target.checked)}
        />
        A person was up, or the horse fell
      </label>
      <div className="grid grid-cols-2 gap-2">
        {KINDS.map(([kind, word]) => (
          <Button key={kind} look="danger" className="min-h-16 text-xl" onClick={() => void record(kind)}>
            {word}
          </Button>
        ))}
      </div>
    </Sheet>
  )
}
