import { gradeFromAsk, type Grade, type Pace } from '@still-pine/core/answer'
import { countedSteps } from '@still-pine/core/holds'
import { markOf } from '@still-pine/core/program'
import { memo, useState } from 'react'
import { Button } from '../ui/button'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

interface Props {
  readonly view: PenView
  readonly pace: Pace
  readonly actions: PenActions
}

/** Where a rung asks for steps by number: how many came straight, which its grade follows. */
export const CountedSteps = memo(({ view, pace, actions }: Props) => {
  const [told, setTold] = useState<{ id: string; straight: number } | null>(null)
  const last = view.answers.at(-1)
  const asked = view.amount?.measure === 'steps' ? view.amount.amount : 0
  const isOfThis = last !== undefined && last.rung === markOf(view.step, view.pen.aim.rung) && !last.recalled
  if (!isOfThis || asked === 0 || view.pen.running || last.seconds === null) return null
  const tell = (straight: number): void => {
    const paceGrade = gradeFromAsk(pace, last.seconds!, last.aids ?? 0)
    setTold({ id: last.id, straight })
    actions.grade(countedSteps(asked, straight, paceGrade).grade as Grade)
  }
  return (
    <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Steps that came straight">
      <span className="text-lg font-bold">Straight</span>
      {Array.from({ length: asked + 2 }, (_, straight) => (
        <Button
          key={straight}
          className="min-h-16 min-w-14 px-0! text-xl"
          aria-pressed={told?.id === last.id && told.straight === straight}
          onClick={() => tell(straight)}
        >
          {straight > asked ? 'more' : straight}
        </Button>
      ))}
    </div>
  )
})
