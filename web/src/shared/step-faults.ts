import type { Entry } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { cardFor } from '@still-pine/core/program'

export interface StepFault {
  readonly fault: string
  readonly repair: string
  /** Named by the yard itself. */
  readonly isOwn: boolean
}

/** What goes wrong at a step: what its card names, and what the yard has named beside it. */
export const faultsAt = (
  { step, school }: { readonly step: string; readonly school: string },
  entries: readonly Entry[],
): readonly StepFault[] => [
  ...cardFor(step, school).faults.map(({ fault, repair }) => ({ fault, repair, isOwn: false })),
  ...entriesOf(entries, 'own-fault')
    .filter((own) => own.step === step && (own.school === null || own.school === school))
    .map(({ fault, repair }) => ({ fault, repair, isOwn: true })),
]
