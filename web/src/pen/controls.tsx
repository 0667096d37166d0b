import type { Calm, Kind } from '@still-pine/core/answer'
import { Button } from '../ui/button'
import type { PenActions, PenView } from './use-pen'

const CALMS: readonly { calm: Calm; word: string; hint: string }[] = [
  { calm: 0, word: 'Loose', hint: 'L · forward' },
  { calm: 1, word: 'Watchful', hint: 'W' },
  { calm: 2, word: 'Tight', hint: 'T · back' },
]

const BACK_WORDS: Record<Kind, string> = { ask: 'No answer', accept: 'Worse', hold: 'Correction' }

const BIG = 'min-h-16 flex-col text-xl leading-tight'

/** How loose it was: three presses, of which one or none. */
export const CalmRow = ({ view, actions }: { view: PenView; actions: PenActions }) => {
  const last = view.answers.at(-1)
  return (
    <div className="grid grid-cols-3 gap-2" role="group" aria-label="How loose was it">
      {CALMS.map(({ calm, word, hint }) => (
        <Button
          key={calm}
          hint={hint}
          className={`${BIG} px-1! ${last?.calm === calm ? 'bg-ink! text-ground!' : ''}`}
          aria-pressed={last?.calm === calm}
          onClick={() => actions.calm(calm)}
        >
          {word}
        </Button>
      ))}
    </div>
  )
}

/** While an accept runs: what it did, at its worst so far. */
export const WorstRow = ({ view, actions }: { view: PenView; actions: PenActions }) => (
  <div className="grid grid-cols-3 gap-2" role="group" aria-label="What it did">
    {(['tightened', 'moved', 'left'] as const).map((worst) => (
      <Button
        key={worst}
        className={`${BIG} px-1! ${view.pen.running?.worst === worst ? 'bg-ink! text-ground!' : ''}`}
        aria-pressed={view.pen.running?.worst === worst}
        onClick={() => actions.worse(worst)}
      >
        {worst === 'tightened' ? 'Tightened' : worst === 'moved' ? 'Moved' : 'Left'}
      </Button>
    ))}
  </div>
)

interface RowProps {
  readonly view: PenView
  readonly actions: PenActions
  readonly more: () => void
}

/** No answer, other side, undo and the rest behind "More". */
export const ActionRow = ({ view, actions, more }: RowProps) => {
  const isRunning = view.pen.running !== null
  return (
    <div className="grid grid-cols-4 gap-2">
      <Button className={`${BIG} px-0!`} hint="N" disabled={!isRunning} onClick={actions.back}>
        {BACK_WORDS[view.step.kind]}
      </Button>
      <Button className={`${BIG} px-0!`} hint="S" disabled={!view.step.sided} onClick={actions.switchSide}>
        Other side
      </Button>
      <Button
        className={`${BIG} px-0!`}
        hint="U"
        disabled={!isRunning && view.pen.answers.length === 0}
        onClick={actions.undo}
      >
        {isRunning ? 'Drop' : 'Undo'}
      </Button>
      <Button className={`${BIG} px-0!`} onClick={more}>
        More
      </Button>
    </div>
  )
}
