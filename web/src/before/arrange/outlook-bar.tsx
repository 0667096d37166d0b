import { valueWords, type CircumstanceKind, type Circumstances } from '@still-pine/core/circumstances'
import { Picker } from '../../shared/pickers'
import { CircumstancePickers, KitField } from '../../circumstances/circumstance-pickers'
import { PlacePicker } from '../../shared/place-picker'
import type { Arrangement } from '../../shared/arrangement'
import { whereNow } from '../../shared/where'
import { useIsDesk } from '../../ui/use-is-desk'

const MINUTES = [10, 15, 20, 25, 30]

/** These the plan reckons with; the rest is only kept with the session. */
const PLANNED: readonly CircumstanceKind[] = ['hands', 'weather']
const KEPT: readonly CircumstanceKind[] = ['watching', 'turnout', 'ground', 'handler']

interface Props {
  readonly arrangement: Arrangement
  readonly change: (patch: Partial<Arrangement>) => void
  readonly onPlace: (place: string | null) => void
}

/** What is said of today, on one line, for a phone that has no room for every choice. */
const saidWords = ({ minutes, said }: Arrangement): string =>
  [
    minutes === null ? '' : `${minutes} minutes`,
    whereNow() ?? '',
    ...PLANNED.flatMap((kind) => (said[kind] === null ? [] : [valueWords(kind, said[kind])])),
  ]
    .filter(Boolean)
    .join(', ') || 'Minutes, place, hands, weather'

/** What the session is planned for: minutes, place, hands and weather; and what else is so today. */
export const OutlookBar = ({ arrangement, change, onPlace }: Props) => {
  const { minutes, said } = arrangement
  const isDesk = useIsDesk()
  const say = (patch: Partial<Circumstances>): void => change({ said: { ...said, ...patch } })
  const choices = (
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
      <details className="open:w-full">
        <summary className="min-h-11 py-2 font-bold">More of today</summary>
        <div className="flex flex-wrap items-end gap-3">
          <CircumstancePickers kinds={KEPT} circumstances={said} change={say} />
          <KitField circumstances={said} change={say} />
        </div>
      </details>
    </div>
  )
  return (
    <section aria-label="Planned for" className="no-print">
      {isDesk ? (
        choices
      ) : (
        <details>
          <summary className="min-h-12 py-2.5 font-bold">{saidWords(arrangement)}</summary>
          {choices}
        </details>
      )}
    </section>
  )
}
