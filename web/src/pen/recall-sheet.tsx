import { gradeWord, type Grade } from '@still-pine/core/answer'
import { Marks } from '../drawing/marks'
import { Button } from '../ui/button'
import { Sheet } from '../ui/sheet'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

const GRADES: readonly Grade[] = [0, 1, 2, 3, 4]

interface Props {
  readonly view: PenView
  readonly actions: PenActions
  readonly onClose: () => void
}

/** After the burst, for who had no hand free: one tap a mark, the first one first, each side in its turn. */
export const RecallSheet = ({ view, actions, onClose }: Props) => {
  const { side } = view.pen.aim
  const marks = view.answers.filter((answer) => answer.recalled && answer.side === side)
  return (
    <Sheet open title={`${view.step.name}, from memory`} onClose={onClose}>
      <div className="flex flex-col gap-4">
        <p className="text-xl">
          {side === 'none' ? '' : `${side.toUpperCase()} SIDE. `}Tap each answer, the first one first. They
          count half, and never as a first ask of the day.
        </p>
        <div className="grid grid-cols-1 gap-2" role="group" aria-label="What it was">
          {GRADES.map((grade) => (
            <Button key={grade} className="min-h-16 text-xl" onClick={() => actions.recall(grade)}>
              {gradeWord(view.step.kind, grade)}
            </Button>
          ))}
        </div>
        <Marks
          marks={marks.slice(-11).map((mark) => ({ ...mark, half: true }))}
          kind={view.step.kind}
          spacing={24}
        />
        <div className="grid grid-cols-3 gap-2">
          <Button className="min-h-16" disabled={!view.step.sided} onClick={actions.switchSide}>
            Other side
          </Button>
          <Button className="min-h-16" disabled={marks.length === 0} onClick={actions.undo}>
            Undo
          </Button>
          <Button look="act" className="min-h-16" onClick={onClose}>
            Done
          </Button>
        </div>
      </div>
    </Sheet>
  )
}
