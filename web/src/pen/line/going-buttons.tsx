import { Button } from '../../ui/button'
import { useState } from 'react'
import type { GoingNote } from './use-line-run'

export const FEATURE_WORDS = {
  stretch: 'Stretches',
  swing: 'Swings',
  rhythm: 'Rhythm',
  behindVertical: 'Behind the vertical',
  hollow: 'Hollow',
  braces: 'Braces',
} as const

type Feature = keyof typeof FEATURE_WORDS

const FEATURES = Object.keys(FEATURE_WORDS) as Feature[]
const MARKS = [0, 1, 2, 3] as const

const NONE = {
  stretch: null,
  swing: null,
  rhythm: null,
  behindVertical: null,
  hollow: null,
  braces: null,
} as const

interface Props {
  readonly rein: 'left' | 'right'
  readonly last: GoingNote | undefined
  readonly mark: (note: Omit<GoingNote, 'minute'>) => void
}

/** One tap a mark: what is looked at stays chosen, so that the next look is one tap again. */
export const GoingButtons = ({ rein, last, mark }: Props) => {
  const [feature, setFeature] = useState<Feature>('swing')
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_repeat(4,minmax(3.5rem,auto))] gap-2">
      <select
        aria-label="What is marked"
        className="min-h-16 min-w-0 rounded-md border-2 border-ink bg-panel px-2 text-lg"
        value={feature}
        onChange={({ target }) => setFeature(target.value as Feature)}
      >
        {FEATURES.map((one) => (
          <option key={one} value={one}>
            {FEATURE_WORDS[one]}
          </option>
        ))}
      </select>
      {MARKS.map((value) => (
        <Button
          key={value}
          className="min-h-16 px-0! text-2xl"
          aria-label={`${FEATURE_WORDS[feature]}: ${value} of 3`}
          aria-pressed={last?.rein === rein && last[feature] === value}
          onClick={() => mark({ ...NONE, rein, [feature]: value })}
        >
          {value}
        </Button>
      ))}
    </div>
  )
}
