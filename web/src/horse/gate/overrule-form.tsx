import type { Line } from '@still-pine/contract'
import { toast } from '../../ui/toast'
import { v7 as uuid } from 'uuid'
import { useCommand, wordsFor } from '../../app/client'
import { Button } from '../../ui/button'
import { WhyForm } from '../../shared/why-form'
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

const REASON_LETTERS = 10

/** Going on against the record, with a reason that stays beside how it went. */
export const OverruleForm = ({ gate, horseId }: { gate: Gate; horseId: string }) => {
  const [putOverrule, { error, isLoading }] = useCommand('putOverrule')
  const overrule = async (reason: string): Promise<boolean> =>
    !(await putOverrule({ horseId, overruleId: uuid(), body: { gate: gate.gate, reason } })).error
  return (
    <details className="no-print">
      <summary className="min-h-11 font-bold">Go on all the same, with a reason</summary>
      <WhyForm
        label="Why"
        hint="It is kept with your name and the time, beside how it went."
        act={`Overrule ${VERDICTS[gate.verdict]}`}
        least={REASON_LETTERS}
        isLong
        isBusy={isLoading}
        error={error ? wordsFor(error) : undefined}
        className="mt-2 max-w-xl flex-col"
        onWhy={overrule}
      />
    </details>
  )
}
