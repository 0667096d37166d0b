import { gradeWord, type Grade } from '@still-pine/core/answer'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { Button } from '../ui/button'
import type { Aim } from './pen-slice'
import type { PenActions } from './use-pen-actions'

const GRADES: readonly Grade[] = [0, 1, 2, 3, 4]

interface Props {
  readonly unfinished: Aim
  readonly program: Program
  readonly actions: PenActions
}

/** In the place of the big button when somebody comes back to an ask that ran: nothing is made up, and nothing lost. */
export const UnfinishedPanel = ({ unfinished, program, actions }: Props) => {
  const { side, rung } = unfinished
  const step = stepOf(program, unfinished.step)!
  return (
    <section
      aria-label="The ask that ran when you left"
      className="flex max-h-[55dvh] low:max-h-[45dvh] min-h-[min(220px,40dvh)] flex-col gap-3 overflow-y-auto rounded-xl border-4 border-act bg-panel p-4"
    >
      <h2 className="text-2xl">You left in the middle of it. What became of it?</h2>
      <p className="text-xl leading-tight">
        {step.name}
        {side === 'none' ? '' : `, ${side} side`}, {rungName(step, rung)}. It was not timed, so it counts
        half.
      </p>
      <div className="grid grid-cols-2 gap-2">
        {GRADES.map((grade) => (
          <Button
            key={grade}
            className="min-h-16 text-xl leading-tight"
            hint={String(grade + 1)}
            onClick={() => actions.tellUnfinished(grade)}
          >
            {gradeWord(step.kind, grade)}
          </Button>
        ))}
        <Button className="min-h-16 text-xl leading-tight" onClick={() => actions.tellUnfinished(null)}>
          It was not asked
        </Button>
      </div>
    </section>
  )
}
