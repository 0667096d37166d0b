import { PutIncident } from '@still-pine/contract'
import type { Side } from '@still-pine/core/answer'
import type { IncidentKind } from '@still-pine/core/facts'
import type { RunStage } from '@still-pine/core/ride'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { saveHere } from '../../offline/save'
import { INCIDENT_WORDS } from '../../shared/incident-words'
import { Button } from '../../ui/button'
import { Tick } from '../../ui/inputs'
import { Sheet } from '../../ui/sheet'

const KINDS: readonly IncidentKind[] = ['fall', 'buck', 'bolt', 'rear', 'kick', 'pull-back', 'tack-slipped']

interface Props {
  readonly personId: string
  readonly horseId: string
  readonly day: string
  readonly at: { readonly stage: RunStage; readonly side: Side }
}

/** It went wrong with somebody on it: help first, then one press to record it. */
export const DangerButton = ({ personId, horseId, day, at }: Props) => {
  const [isOpen, setOpen] = useState(false)
  const [isPersonHurt, setPersonHurt] = useState(false)
  const record = async (kind: IncidentKind): Promise<void> => {
    const incident = PutIncident.parse({
      kind,
      on: day,
      at: new Date().toISOString(),
      step: at.stage,
      side: at.side === 'none' ? null : at.side,
      mounted: true,
      fell: kind === 'fall',
      hurt: isPersonHurt ? 'person' : 'none',
      where: 'pen',
      before: 'First time up, with a run sheet',
      after: '',
    })
    await saveHere(personId, horseId, { do: 'incident', id: uuid(), horseId, incident })
    setOpen(false)
  }
  return (
    <>
      <Button look="danger" className="min-h-16" onClick={() => setOpen(true)}>
        Danger
      </Button>
      <Sheet open={isOpen} title="Stop. Is anyone hurt?" onClose={() => setOpen(false)}>
        <p className="mb-3">Rider and horse first. Nobody sits up again today, whatever it was.</p>
        <Tick checked={isPersonHurt} onChange={({ target }) => setPersonHurt(target.checked)}>
          A person is hurt
        </Tick>
        <div className="mt-2 grid grid-cols-2 gap-2">
          {KINDS.map((kind) => (
            <Button key={kind} className="min-h-16" onClick={() => void record(kind)}>
              {INCIDENT_WORDS[kind]}
            </Button>
          ))}
        </div>
      </Sheet>
    </>
  )
}
