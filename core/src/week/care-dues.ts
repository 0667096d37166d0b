import type { CareKind, CareRow } from '../care-calendar'
import type { DueKind } from './asked'

/** Care that takes a visit of somebody: who comes, and for how long (common practice, no source). */
const VISITS: Readonly<
  Partial<Record<CareKind, { readonly kind: DueKind; readonly minutes: number; readonly role: string }>>
> = {
  hooves: { kind: 'farrier', minutes: 45, role: 'farrier' },
  'worm-count': { kind: 'worming', minutes: 10, role: 'start' },
  teeth: { kind: 'vet', minutes: 30, role: 'vet' },
  saddle: { kind: 'saddle', minutes: 60, role: 'fitter' },
  vaccination: { kind: 'vet', minutes: 15, role: 'vet' },
}

export interface CareDue {
  readonly id: CareKind
  readonly kind: DueKind
  readonly minutes: number
  readonly earliestDay: string
  readonly dueDay: string
  readonly roles: readonly string[]
}

/** What of a horse's care wants a visit by the end of a week; what was never done is told elsewhere, for nobody knows its day. */
export const careDues = (rows: readonly CareRow[], lastDay: string): readonly CareDue[] =>
  rows.flatMap(({ kind, says, fromOn, byOn }) => {
    const visit = VISITS[kind]
    if (!visit || says === 'never' || fromOn > lastDay) return []
    const { role, ...rest } = visit
    return [
      {
        id: kind,
        ...rest,
        earliestDay: fromOn,
        dueDay: byOn,
        roles: [role, ...(role === 'start' ? [] : ['hold'])],
      },
    ]
  })
