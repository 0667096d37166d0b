import type { Line } from '@still-pine/contract'
import type { Program } from '@still-pine/core/program'
import { stepsOffered } from '@still-pine/core/permit'
import { memo } from 'react'
import { permitHorse } from '../shared/permit-horse'

interface Props {
  readonly line: Line
  readonly program: Program
  readonly stepKey: string
  readonly onPick: (step: string) => void
}

/** Every open step; remembered, for it is long and an answer does not change it. */
export const StepPicker = memo(({ line, program, stepKey, onPick }: Props) => {
  const offered = new Set(stepsOffered(permitHorse(line, program), line.day))
  return (
    <label className="flex max-w-[50%] shrink-0 items-center gap-2">
      <span className="sr-only">Step</span>
      <select
        className="min-h-11 w-full rounded-md border-2 border-line bg-panel px-2 font-name text-xl font-bold phone:min-h-16 low:min-h-16"
        value={stepKey}
        onChange={(event) => onPick(event.target.value)}
      >
        {program.steps
          .filter(({ key }) => offered.has(key) || key === stepKey)
          .map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
      </select>
    </label>
  )
})
