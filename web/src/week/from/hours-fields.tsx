import type { Hours } from '@still-pine/contract'
import { useState } from 'react'
import { TextField } from '../../ui/inputs'
import { stretchesIn, typedOf, WEEKDAYS } from './hours'

interface Props {
  readonly legend: string
  readonly hours: readonly Hours[]
  /** Told of what stands there, or of nothing while something cannot be read. */
  readonly onChange: (hours: Hours[] | null) => void
}

/** The hours of a week, a line a day: "8-12, 13-17". */
export const HoursFields = ({ legend, hours, onChange }: Props) => {
  const [typed, setTyped] = useState(() => WEEKDAYS.map((_, i) => typedOf(hours, i + 1)))
  const type = (i: number, text: string): void => {
    const next = typed.with(i, text)
    setTyped(next)
    const read = next.map(stretchesIn)
    onChange(
      read.some((one) => one === null)
        ? null
        : read.flatMap((stretches, day) => stretches!.map((one) => ({ weekday: day + 1, ...one }))),
    )
  }
  return (
    <fieldset>
      <legend className="font-bold">{legend}</legend>
      <div className="grid grid-cols-2 gap-2">
        {WEEKDAYS.map((day, i) => (
          <TextField
            key={day}
            label={day}
            placeholder="none"
            value={typed[i]}
            error={stretchesIn(typed[i]!) === null ? 'Such as 8-12, 13-17.' : undefined}
            onChange={({ target }) => type(i, target.value)}
          />
        ))}
      </div>
    </fieldset>
  )
}
