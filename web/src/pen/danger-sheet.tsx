import { PutIncident, type IncidentTold } from '@still-pine/contract'
import { exposuresAt, markOf } from '@still-pine/core/program'
import { useState } from 'react'
import { toast } from '../ui/toast'
import { v7 as uuid } from 'uuid'
import { saveHere } from '../offline/save'
import { INCIDENT_WORDS } from '../shared/incident-words'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'
import { useAppDispatch } from '../app/store'
import { undoDanger } from './log'
import { dangerSeen } from './pen-slice'
import type { PenView } from './use-pen'

type Incident = IncidentTold

const KINDS = Object.entries(INCIDENT_WORDS) as [Incident['kind'], string][]

/** A danger press can be taken back for so long. */
const UNDO_MS = 60_000

interface Props {
  readonly view: PenView
  readonly onClose: () => void
}

const Tick = ({ words, on, set }: { words: string; on: boolean; set: (on: boolean) => void }) => (
  <label className="flex min-h-16 items-center gap-3 text-lg font-bold">
    <input type="checkbox" className="size-7" checked={on} onChange={(e) => set(e.target.checked)} />
    {words}
  </label>
)

/** A danger sign: stop first, then record it in two taps. */
export const DangerSheet = ({ view, onClose }: Props) => {
  const { personId, horseId, day, aim } = view.pen
  // Where the rung puts somebody on it, they are taken to have been up: unticked it says otherwise.
  const [mounted, setMounted] = useState(
    exposuresAt(view.step, aim.rung).some((one) => one === 'mounted' || one === 'weight'),
  )
  const [person, setPerson] = useState(false)
  const [horse, setHorse] = useState(false)
  const dispatch = useAppDispatch()

  const record = async (kind: Incident['kind']): Promise<void> => {
    const id = uuid()
    const incident = PutIncident.parse({
      kind,
      on: day,
      at: new Date().toISOString(),
      step: aim.step,
      side: aim.side === 'none' ? null : aim.side,
      rung: markOf(view.step, aim.rung),
      mounted,
      fell: kind === 'fall',
      hurt: horse ? 'horse' : person ? 'person' : 'none',
      where: 'pen',
      before: `${view.step.name}: ${view.rungWords}`,
      after: '',
    })
    const isSaved = await saveHere(personId, horseId, { do: 'incident', id, horseId, incident })
    dispatch(dangerSeen({ id, at: new Date().toISOString(), incident }))
    if (isSaved)
      toast(`Recorded: ${INCIDENT_WORDS[kind].toLowerCase()}. You can write more under Incidents.`, {
        duration: UNDO_MS,
        action: { label: 'Undo', onClick: () => void dispatch(undoDanger(personId, id)) },
      })
    onClose()
  }

  return (
    <Sheet open title="Stop. Is anyone hurt?" onClose={onClose}>
      <p className="mb-4">
        Get clear first. A hurt person or horse comes before any record: call for help, then the doctor or the
        vet.
      </p>
      <Tick words="Somebody was riding, or had weight on it" on={mounted} set={setMounted} />
      <Tick words="A person is hurt" on={person} set={setPerson} />
      <Tick words="The horse is hurt or lame" on={horse} set={setHorse} />
      <div className="mt-2 grid grid-cols-2 gap-2">
        {KINDS.map(([kind, word]) => (
          <Button key={kind} look="danger" className="min-h-16 text-xl" onClick={() => void record(kind)}>
            {word}
          </Button>
        ))}
      </div>
    </Sheet>
  )
}
