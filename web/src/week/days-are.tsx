import type { PlannedWeek } from '@still-pine/contract'
import type { Day } from '@still-pine/core/answer'
import { useState, type FormEvent } from 'react'
import { Button } from '../ui/button'
import { Fold } from '../ui/fold'
import { TextField } from '../ui/inputs'
import { dayHead } from './words'

type Conditions = PlannedWeek['conditions']

interface Props {
  readonly days: readonly Day[]
  readonly conditions: Conditions
  readonly put: (conditions: Conditions) => void
}

/** Words for a day, as they are typed: "wet, market day". */
export const conditionsIn = (typed: Readonly<Record<Day, string>>): Conditions =>
  Object.fromEntries(
    Object.entries(typed)
      .map(
        ([day, text]) =>
          [
            day,
            [...new Set(text.split(',').map((word) => word.trim().toLowerCase()))].filter(Boolean),
          ] as const,
      )
      .filter(([, words]) => words.length > 0),
  )

/** What each day is like, by which wishes may tell it: wet, windy, market day. */
export const DaysAre = ({ days, conditions, put }: Props) => {
  const [typed, setTyped] = useState<Readonly<Record<Day, string>>>(() =>
    Object.fromEntries(days.map((day) => [day, (conditions[day] ?? []).join(', ')])),
  )
  const send = (event: FormEvent): void => {
    event.preventDefault()
    put(conditionsIn(typed))
  }
  return (
    <Fold title="What the days are like">
      <form noValidate onSubmit={send} className="flex flex-col gap-3">
        <p className="text-quiet">A word or two, such as wet; a wish may then keep a horse off such days.</p>
        <div className="grid grid-cols-2 gap-2">
          {days.map((day) => (
            <TextField
              key={day}
              label={dayHead(day)}
              value={typed[day]}
              onChange={({ target }) => setTyped({ ...typed, [day]: target.value })}
            />
          ))}
        </div>
        <Button type="submit" className="self-start">
          Plan by this
        </Button>
      </form>
    </Fold>
  )
}
