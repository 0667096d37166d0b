import { MOST_AIDS, type Calm, type Kind, type Pace } from '@still-pine/core/answer'
import { memo } from 'react'
import { Button } from '../ui/button'
import type { PenView } from './use-pen'
import type { PenActions } from './use-pen-actions'

const CALMS: readonly { calm: Calm; word: string; hint: string }[] = [
  { calm: 0, word: 'Loose', hint: 'L' },
  { calm: 1, word: 'Watchful', hint: 'W' },
  { calm: 2, word: 'Tight', hint: 'T' },
]

const BACK_WORDS: Record<Exclude<Kind, 'accept'>, string> = { ask: 'No answer', hold: 'Correction' }

/** In a school of aids the back button gives the next one, and after the last of them there was no answer. */
const backWords = (kind: Exclude<Kind, 'accept'>, aids: number, pace: Pace): string =>
  kind === 'ask' && pace.gradedBy === 'aids' && aids < MOST_AIDS
    ? (pace.phases[aids + 1] ?? '')
    : BACK_WORDS[kind]

const BIG = 'min-h-16 flex-col text-xl leading-tight low:py-0 low:text-lg low:leading-none'

/** How loose it was: three presses, of which one or none. */
const CalmRow = memo(({ chosen, actions }: { chosen: Calm | null; actions: PenActions }) => (
  <div
    className="grid grid-cols-[repeat(auto-fit,minmax(5rem,1fr))] gap-2"
    role="group"
    aria-label="How loose was it"
  >
    {CALMS.map(({ calm, word, hint }) => (
      <Button
        key={calm}
        hint={hint}
        className={`${BIG} px-1! ${chosen === calm ? 'bg-ink! text-ground!' : ''}`}
        aria-pressed={chosen === calm}
        onClick={() => actions.calm(calm)}
      >
        {word}
      </Button>
    ))}
  </div>
))

/** While an ask runs in a school that waits: the same asked again. */
const AskedAgain = ({ view, actions }: { view: PenView; actions: PenActions }) => (
  <Button className={BIG} hint="A" onClick={actions.aid}>
    Asked again{view.pen.running!.aids > 0 && ` · ${view.pen.running!.aids}`}
  </Button>
)

/** While a hold runs: it stepped out and is put back, or it was left before its time. */
const HoldRow = ({ view, actions }: { view: PenView; actions: PenActions }) => (
  <div className="grid grid-cols-2 gap-2">
    <Button
      className={BIG}
      hint="P"
      aria-pressed={view.pen.running?.outSince !== null}
      onClick={actions.stepOut}
    >
      {view.pen.running?.outSince === null ? 'Stepped out' : 'Put back'}
    </Button>
    <Button className={BIG} hint="R" onClick={actions.breakOff}>
      It left, or quit
    </Button>
  </div>
)

/** While an accept runs: what it did, at its worst so far. */
const WorstRow = ({ view, actions }: { view: PenView; actions: PenActions }) => (
  <div
    className="grid grid-cols-[repeat(auto-fit,minmax(5rem,1fr))] gap-2"
    role="group"
    aria-label="What it did"
  >
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
  readonly pace: Pace
  readonly actions: PenActions
}

/**
 * What the moment wants: what it does while it is asked, and how loose it was after. The row keeps its place, so that
 * nothing else moves under the thumb and nothing else is laid out anew at a press.
 */
export const MiddleRow = memo(({ view, pace, actions }: RowProps) => {
  const isRunning = view.pen.running !== null
  const { kind } = view.step
  if (isRunning && kind === 'accept') return <WorstRow view={view} actions={actions} />
  if (isRunning && kind === 'hold') return <HoldRow view={view} actions={actions} />
  if (isRunning && pace.gradedBy === 'wait') return <AskedAgain view={view} actions={actions} />
  return (
    <div className={isRunning || view.answers.length === 0 ? 'invisible' : ''}>
      <CalmRow chosen={view.answers.at(-1)?.calm ?? null} actions={actions} />
    </div>
  )
})

interface ActionProps {
  readonly kind: Kind
  readonly sided: boolean
  readonly isRunning: boolean
  readonly aids: number
  readonly hasAnswers: boolean
  readonly pace: Pace
  readonly actions: PenActions
  readonly more: () => void
}

/** No answer, other side, undo and the rest behind "More". */
export const ActionRow = memo(
  ({ kind, sided, isRunning, aids, hasAnswers, pace, actions, more }: ActionProps) => (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(4rem,1fr))] gap-2">
      {kind === 'accept' ? (
        <Button className={`${BIG} px-0!`} hint="R" disabled={!isRunning} onClick={actions.breakOff}>
          Took it away
        </Button>
      ) : (
        <Button className={`${BIG} px-0!`} hint="N" disabled={!isRunning} onClick={actions.back}>
          {backWords(kind, aids, pace)}
        </Button>
      )}
      <Button className={`${BIG} px-0!`} hint="S" disabled={!sided} onClick={actions.switchSide}>
        Other side
      </Button>
      <Button className={`${BIG} px-0!`} hint="U" disabled={!isRunning && !hasAnswers} onClick={actions.undo}>
        {isRunning ? 'Drop' : 'Undo'}
      </Button>
      <Button className={`${BIG} px-0!`} onClick={more}>
        More
      </Button>
    </div>
  ),
)
