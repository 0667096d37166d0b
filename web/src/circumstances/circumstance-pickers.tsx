import {
  CIRCUMSTANCES,
  valuesOf,
  type CircumstanceKind,
  type Circumstances,
} from '@still-pine/core/circumstances'
import { useState } from 'react'
import { Picker } from '../shared/pickers'
import { INPUT } from '../ui/field'

interface Props {
  readonly kinds: readonly CircumstanceKind[]
  readonly circumstances: Circumstances
  readonly change: (patch: Partial<Circumstances>) => void
}

/** How a session is or was, a choice for each kind. */
export const CircumstancePickers = ({ kinds, circumstances, change }: Props) =>
  kinds.map((kind) => (
    <Picker
      key={kind}
      label={CIRCUMSTANCES[kind].name}
      value={circumstances[kind] ?? ''}
      onPick={(value) => change({ [kind]: value || null })}
    >
      <option value="">not said</option>
      {valuesOf(kind).map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </Picker>
  ))

const KIT_LENGTH = 200

/** The kit as it was fitted, in one's own words; kept when the field is left. */
export const KitField = ({ circumstances, change }: Omit<Props, 'kinds'>) => {
  const [kit, setKit] = useState(circumstances.kit)
  const keep = (): void => {
    if (kit.trim() !== circumstances.kit) change({ kit: kit.trim() })
  }
  return (
    <label className="flex min-w-52 flex-1 flex-col">
      Kit as fitted
      <input
        className={INPUT}
        maxLength={KIT_LENGTH}
        placeholder="rope halter, 4 m line"
        value={kit}
        onChange={(event) => setKit(event.target.value)}
        onBlur={keep}
      />
    </label>
  )
}
