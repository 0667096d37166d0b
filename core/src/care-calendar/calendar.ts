import type { Day } from '../answer'
import { CARE_KINDS, careDue, isTheVets, type CareKind } from './due'

/** Care that was done; days to the next time where somebody said so. */
export interface CareDone {
  readonly care: CareKind
  readonly on: Day
  readonly minDays: number | null
  readonly maxDays: number | null
}

const CARE_OF_CHECK: Readonly<Record<string, CareKind>> = {
  feet: 'hooves',
  worming: 'worm-count',
  mouth: 'teeth',
  saddle: 'saddle',
}

/** Care that was told, and looks that were recorded as checks, which are care that was done. */
export const careDoneIn = (
  checks: readonly { readonly kind: string; readonly on: Day }[],
  told: readonly CareDone[],
): readonly CareDone[] => [
  ...checks.flatMap(({ kind, on }) => {
    const care = CARE_OF_CHECK[kind]
    return care ? [{ care, on, minDays: null, maxDays: null }] : []
  }),
  ...told,
]

export interface CareRow {
  readonly kind: CareKind
  readonly lastOn: Day | null
  /** How often it was done. */
  readonly cycle: number
  readonly fromOn: Day
  readonly byOn: Day
  readonly says: ReturnType<typeof careDue>['says']
}

const lastOf = (done: readonly CareDone[]): CareDone | undefined =>
  done.toSorted((a, b) => a.on.localeCompare(b.on)).at(-1)

/** When each care of a horse is due; what only a vet can say is told once the vet has said it. */
export const careCalendar = (
  done: readonly CareDone[],
  { on, ageLowMonths }: { on: Day; ageLowMonths: number },
): readonly CareRow[] =>
  CARE_KINDS.flatMap((kind) => {
    const times = done.filter((one) => one.care === kind && one.on <= on)
    const last = lastOf(times)
    if (isTheVets(kind) && (last?.minDays ?? null) === null) return []
    const days = last && last.minDays !== null ? ([last.minDays, last.maxDays!] as const) : null
    const due = careDue({ kind, on, ageLowMonths, lastOn: last?.on ?? null, days })
    return [{ kind, lastOn: last?.on ?? null, cycle: times.length, ...due }]
  })
