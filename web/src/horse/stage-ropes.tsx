import type { Line } from '@still-pine/contract'
import { STAGES, type Program, type Step } from '@still-pine/core/program'
import { useState } from 'react'
import { LineDrawing } from '../drawing/line/line-drawing'
import { SmallRope } from '../drawing/line/small-rope'
import { StageRows } from './stage-rows'

interface Props {
  readonly line: Line
  readonly program: Program
  readonly width: number
  readonly rem: number
  /** The stage in work: it is open to begin with. */
  readonly inWork: number
}

/** How far a stage is: "3 of 7 Solid", or that nothing of it was asked. */
const farWords = (line: Line, steps: readonly Step[]): string => {
  const tracksOf = ({ key }: Step): Line['tracks'] => line.tracks.filter(({ step }) => step === key)
  const solid = steps.filter((step) => tracksOf(step).every(({ view }) => view.state === 'solid')).length
  const isNew = steps.every((step) => tracksOf(step).every(({ view }) => view.state === 'new'))
  return isNew ? 'all New' : `${solid} of ${steps.length} Solid`
}

/** The nine stages as short ropes one under the other, for a phone; one of them open. */
export const StageRopes = ({ line, program, width, rem, inWork }: Props) => {
  const [open, setOpen] = useState<number | null>(inWork)
  return (
    <ol aria-label="The nine stages" className="flex flex-col">
      {STAGES.map((name, i) => {
        const stage = i + 1
        const steps = program.steps.filter((step) => step.stage === stage)
        if (steps.length === 0) return null
        const isOpen = stage === open
        return (
          <li key={stage} className="border-t border-line">
            <h2 className="text-lg">
              <button
                type="button"
                aria-expanded={isOpen}
                className="min-h-16 w-full text-left"
                onClick={() => setOpen(isOpen ? null : stage)}
              >
                <span className="flex flex-wrap items-baseline justify-between gap-x-3 pt-1">
                  <span>
                    {stage} {name}
                  </span>
                  <span className="font-read text-base font-normal text-quiet">{farWords(line, steps)}</span>
                </span>
                {!isOpen && <SmallRope program={program} line={line} steps={steps} width={width} rem={rem} />}
              </button>
            </h2>
            {isOpen && (
              <div className="pb-3">
                <LineDrawing program={program} line={line} rows={[[stage]]} width={width} rem={rem} />
                <StageRows line={line} program={program} stage={stage} />
              </div>
            )}
          </li>
        )
      })}
    </ol>
  )
}
