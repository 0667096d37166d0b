import { memo } from 'react'
import { Button } from '../ui/button'
import type { PenView } from './use-pen'
import type { PenFaults } from './use-repairs'
import type { PenActions } from './use-pen-actions'

interface Props {
  readonly view: PenView
  readonly actions: PenActions
  readonly faults: PenFaults['faults']
}

/** What is told most of the last answer, in one tap, where the screen has room for it. */
export const QuickTells = memo(({ view, actions, faults }: Props) => {
  const last = view.answers.at(-1)
  if (!last || view.pen.running) return null
  const tells = [
    { words: 'By chance', hint: 'C', isSo: last.byChance, tell: actions.byChance },
    { words: 'Did it unasked', hint: 'O', isSo: last.uncued, tell: actions.uncued },
    ...faults.map(({ fault }) => ({
      words: fault,
      hint: undefined,
      isSo: last.fault === fault,
      tell: () => actions.fault(fault),
    })),
  ]
  return (
    <div className="flex flex-wrap justify-center gap-2 pb-3" role="group" aria-label="The last answer was">
      {tells.map(({ words, hint, isSo, tell }) => (
        <Button
          key={words}
          hint={hint}
          className={`min-h-12 ${isSo ? 'bg-ink! text-ground!' : ''}`}
          aria-pressed={isSo}
          onClick={tell}
        >
          {words}
        </Button>
      ))}
    </div>
  )
})
