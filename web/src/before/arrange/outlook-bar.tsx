import { WEATHERS, type Weather } from '@still-pine/core/plan'
import { Picker } from '../../after/pickers'
import { PlacePicker } from '../../pen/place-picker'
import type { Arrangement } from './arrangement'

const MINUTES = [10, 15, 20, 25, 30]

const WEATHER_WORDS: Record<Weather, string> = {
  fair: 'fair',
  wind: 'wind',
  heat: 'heat',
  slippery: 'slippery ground',
}

interface Props {
  readonly arrangement: Arrangement
  readonly change: (patch: Partial<Arrangement>) => void
  readonly onPlace: (place: string | null) => void
}

/** What the session is planned for: minutes, place, hands and weather. */
export const OutlookBar = ({ arrangement, change, onPlace }: Props) => (
  <section aria-label="Planned for" className="no-print flex flex-wrap items-end gap-3">
    <Picker
      label="Minutes"
      value={arrangement.minutes ?? ''}
      onPick={(value) => change({ minutes: value === '' ? null : Number(value) })}
    >
      <option value="">what suits</option>
      {MINUTES.map((minutes) => (
        <option key={minutes} value={minutes}>
          {minutes}
        </option>
      ))}
    </Picker>
    <PlacePicker label="Where today" onPicked={onPlace} />
    <Picker
      label="Hands"
      value={arrangement.helper ? 'two' : 'one'}
      onPick={(value) => change({ helper: value === 'two' })}
    >
      <option value="two">with a helper</option>
      <option value="one">alone</option>
    </Picker>
    <Picker
      label="Weather"
      value={arrangement.weather}
      onPick={(value) => change({ weather: value as Weather })}
    >
      {WEATHERS.map((weather) => (
        <option key={weather} value={weather}>
          {WEATHER_WORDS[weather]}
        </option>
      ))}
    </Picker>
  </section>
)
