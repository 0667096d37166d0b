import type { CircumstanceKind, Circumstances } from '@still-pine/core/circumstances'
import { Picker } from '../../shared/pickers'
import { CircumstancePickers, KitField } from '../../circumstances/circumstance-pickers'
import { PlacePicker } from '../../shared/place-picker'
import type { Arrangement } from '../../shared/arrangement'

const MINUTES = [10, 15, 20, 25, 30]

/** These the plan reckons with; the rest is only kept with the session. */
const PLANNED: readonly CircumstanceKind[] = ['hands', 'weather']
const KEPT: readonly CircumstanceKind[] = ['watching', 'turnout', 'ground', 'handler']

interface Props {
  readonly arrangement: Arrangement
  readonly change: (patch: Partial<Arrangement>) => void
  readonly onPlace: (place: string | null) => void
}

/** What the session is planned for: minutes, place, hands and weather; and what else is so today. */
export const OutlookBar = ({ arrangement, change, onPlace }: Props) => {
  const { minutes, said } = arrangement
  const say = (patch: Partial<Circumstances>): void => change({ said: { ...said, ...patch } })
  return (
    <section aria-label="Planned for" className="no-print flex flex-col gap-1">
      <div className="flex flex-wrap items-end gap-3">
        <Picker
          label="Minutes"
          value={minutes ?? ''}
          onPick={(value) => change({ minutes: value === '' ? null : Number(value) })}
        >
          <option value="">what suits</option>
          {MINUTES.map((choice) => (
            <option key={choice} value={choice}>
              {choice}
            </option>
          ))}
        </Picker>
        <PlacePicker label="Where today" onPicked={onPlace} />
        <CircumstancePickers kinds={PLANNED} circumstances={said} change={say} />
      </div>
      <details>
        <summary className="min-h-11 py-2 font-bold">
          What else is so today, to be kept with the session
        </summary>
        <div className="flex flex-wrap items-end gap-3">
          <CircumstancePickers kinds={KEPT} circumstances={said} change={say} />
          <KitField circumstances={said} change={say} />
        </div>
      </details>
    </section>
  )
}
