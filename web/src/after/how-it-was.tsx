import type { Session } from '@still-pine/contract'
import { CIRCUMSTANCE_KINDS, circumstancesInWords, type Circumstances } from '@still-pine/core/circumstances'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { CircumstancePickers, KitField } from '../circumstances/circumstance-pickers'
import { saveHere } from '../offline/save'

interface Props {
  readonly session: Session
  readonly personId: string
}

/** How a session was, to be read and mended; each choice is kept at once. */
export const HowItWas = ({ session, personId }: Props) => {
  const [circumstances, setCircumstances] = useState(session.circumstances)
  const change = (patch: Partial<Circumstances>): void => {
    const now = { ...circumstances, ...patch }
    setCircumstances(now)
    void saveHere(personId, session.horseId, {
      do: 'circumstances',
      id: uuid(),
      sessionId: session.id,
      circumstances: now,
      at: new Date().toISOString(),
    })
  }
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-lg">How it was</h2>
      <p>{circumstancesInWords(circumstances) || 'Nothing noted yet.'}</p>
      <details className="no-print">
        <summary className="min-h-11 py-2 font-bold">Note how it was</summary>
        <div className="flex flex-wrap items-end gap-3">
          <CircumstancePickers kinds={CIRCUMSTANCE_KINDS} circumstances={circumstances} change={change} />
          <KitField circumstances={circumstances} change={change} />
        </div>
      </details>
    </section>
  )
}
