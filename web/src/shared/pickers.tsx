import { calmWord, type Calm, type Side } from '@still-pine/core/answer'
import type { Step } from '@still-pine/core/program'
import type { ReactNode } from 'react'

interface PickerProps {
  readonly label: string
  readonly value: string | number
  readonly onPick: (value: string) => void
  readonly children: ReactNode
}

/** A small labelled list to choose from. */
export const Picker = ({ label, value, onPick, children }: PickerProps) => (
  <label className="flex max-w-full min-w-0 flex-col">
    {label}
    <select
      className="min-h-12 rounded-md border-2 border-ink bg-panel px-2"
      value={value}
      onChange={(event) => onPick(event.target.value)}
    >
      {children}
    </select>
  </label>
)

interface SideProps {
  readonly side: Side
  readonly onPick: (side: Side) => void
}

export const SidePicker = ({ side, onPick }: SideProps) => (
  <Picker label="Side" value={side} onPick={(value) => onPick(value as Side)}>
    <option value="left">left</option>
    <option value="right">right</option>
  </Picker>
)

interface RungProps {
  readonly step: Step
  readonly rung: number
  readonly onPick: (rung: number) => void
}

export const RungPicker = ({ step, rung, onPick }: RungProps) => (
  <Picker label="Rung" value={rung} onPick={(value) => onPick(Number(value))}>
    {step.rungs.map((name, i) => (
      <option key={name} value={i + 1}>
        {i + 1} {name}
      </option>
    ))}
  </Picker>
)

interface CalmProps {
  readonly label: string
  readonly calm: Calm | null
  readonly onPick: (calm: Calm | null) => void
}

export const CalmPicker = ({ label, calm, onPick }: CalmProps) => (
  <Picker
    label={label}
    value={calm ?? ''}
    onPick={(value) => onPick(value === '' ? null : (Number(value) as Calm))}
  >
    {([0, 1, 2] as const).map((c) => (
      <option key={c} value={c}>
        {calmWord(c)}
      </option>
    ))}
    <option value="">not noted</option>
  </Picker>
)
