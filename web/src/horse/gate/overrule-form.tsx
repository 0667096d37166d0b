import type { Line } from '@still-pine/contract'
import { useState } from 'react'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { Field, INPUT } from '../../ui/field'
import { VERDICTS } from '../../shared/words'

type Gate = Line['gates'][number]

/** An overrule can be taken back on its day; both stay on record. */
export const TakeBack = ({ overrule, horseId }: { overrule: Line['overrules'][number]; horseId: string }) => {
  const [put, { isLoading }] = useCommand('putOverrule')
  const { id, gate, reason } = overrule
  const takeBack = async (): Promise<void> => {
    const done = await put({ horseId, overruleId: id, body: { gate, reason, takenBack: true } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <Button look="quiet" className="no-print" disabled={isLoading} onClick={() => void takeBack()}>
      Take it back
    </Button>
  )
}

/** Going on against the record, with a reason that stays beside how it went. */
export const OverruleForm = ({ gate, horseId }: { gate: Gate; horseId: string }) => {
  const [reason, setReason] = useState('')
  const [putOverrule, { error, isLoading }] = useCommand('putOverrule')
  const send = async (): Promise<void> => {
    const done = await putOverrule({ horseId, overruleId: uuid(), body: { gate: gate.gate, reason } })
    if (!done.error) setReason('')
  }
  return (
    <details className="no-print">
      <summary className="min-h-11 font-bold">Go on all the same, with a reason</summary>
      <form
        className="mt-2 flex max-w-xl flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void send()
        }}
      >
        <Field
          label="Why"
          hint="It is kept with your name and the time, beside how it went."
          error={error ? wordsFor(error) : undefined}
        >
          {(props) => (
            <textarea
              className={INPUT}
              rows={3}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
              {...props}
            />
          )}
        </Field>
        <Button type="submit" className="self-start" disabled={isLoading || reason.trim().length < 10}>
          Overrule {VERDICTS[gate.verdict]}
        </Button>
      </form>
    </details>
  )
}
