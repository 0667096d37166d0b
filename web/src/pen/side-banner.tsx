import type { Side } from '@still-pine/core/answer'
import { memo } from 'react'
import type { PenAnswer } from './pen-slice'

interface Props {
  readonly side: Side
  readonly answers: readonly PenAnswer[]
}

/** Which side is asked: the words fill that half of the top. No control belongs to a side. */
export const SideBanner = memo(({ side, answers }: Props) => {
  if (side === 'none') return null
  const half = (of: 'left' | 'right') => {
    const asked = answers.filter((answer) => answer.side === of).length
    const isNow = side === of
    return (
      <div
        className={`flex min-h-13 low:min-h-9 items-center justify-center gap-3 px-3 font-name text-xl font-extrabold ${
          isNow ? 'bg-ink text-ground' : 'bg-ground text-quiet'
        }`}
      >
        <span>{isNow ? `${of.toUpperCase()} SIDE` : of}</span>
        <span className="font-bold">{asked}</span>
      </div>
    )
  }
  return (
    <div className="grid grid-cols-2 border-b-2 border-ink" role="status" aria-label={`${side} side`}>
      {half('left')}
      {half('right')}
    </div>
  )
})
