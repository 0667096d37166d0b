import type { Entry } from '@still-pine/contract'
import { entriesOf } from '@still-pine/contract/entries-of'
import { goneAfter } from '@still-pine/core/patterns'
import { useEffect, useMemo, useRef } from 'react'
import { faultsAt, type StepFault } from '../shared/step-faults'
import { useEntries } from '../shared/use-entries'
import type { PenView } from './use-pen'

export interface PenFaults {
  readonly faults: readonly StepFault[]
  /** A repair is tried from now on; how it goes is told by the next three asks. */
  readonly tryRepair: (fault: StepFault) => void
}

const NOTHING: readonly Entry[] = []

/** What goes wrong at the step that is asked, and what is tried of it in this pen. */
export const useRepairs = ({ pen, step, answers }: PenView, school: string): PenFaults => {
  const { entries = NOTHING, put } = useEntries(pen.horseId)
  const faults = useMemo(() => faultsAt({ step: step.key, school }, entries), [step, school, entries])
  const told = useRef(new Set<string>())
  useEffect(() => {
    const asked = answers.map(({ at, fault }) => ({ at: Date.parse(at), fault }))
    for (const one of entriesOf(entries, 'repair')) {
      if (one.worked !== null || one.at === null || one.step !== step.key || told.current.has(one.id))
        continue
      const worked = goneAfter({ fault: one.fault, at: Date.parse(one.at) }, asked)
      if (worked === null) continue
      told.current.add(one.id)
      const { id, byName: _by, ...tried } = one
      void put({ ...tried, worked }, id)
    }
  })
  return {
    faults,
    tryRepair: ({ fault, repair }) =>
      void put({
        kind: 'repair',
        on: pen.day,
        note: '',
        ofYard: false,
        takenBack: false,
        step: step.key,
        fault,
        repair,
        at: new Date().toISOString(),
        worked: null,
      }),
  }
}
