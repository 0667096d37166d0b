import type { Block } from '@still-pine/contract'
import { daysBetween } from '@still-pine/core/answer'
import { BLOCK_WORDS, type BlockKind } from '@still-pine/core/blocks'
import { fullDay } from '../../shared/words'

const FILL: Readonly<Record<BlockKind, string>> = {
  handling: 'var(--way-fill)',
  grow: 'var(--line)',
  start: 'var(--way)',
  rest: 'var(--line)',
  restart: 'var(--way)',
  ridden: 'var(--solid)',
}

const LEAST_SHARE = 0.14

/** A horse’s blocks as lengths of rope, oldest first; the open one ends in a loose end. */
export const Timeline = ({ blocks, today }: { blocks: readonly Block[]; today: string }) => {
  const days = blocks.map(({ from, until }) => Math.max(1, daysBetween(from, until ?? today)))
  const all = days.reduce((sum, n) => sum + n, 0)
  const shares = days.map((n) => Math.max(LEAST_SHARE, n / all))
  const whole = shares.reduce((sum, share) => sum + share, 0)
  return (
    <ol className="flex w-full" aria-label="Blocks, oldest first">
      {blocks.map((block, i) => (
        <li
          key={block.id}
          className="min-w-0 overflow-hidden"
          style={{ width: `${(100 * shares[i]!) / whole}%` }}
        >
          <div
            className={`h-8 border-y-2 border-l-2 border-ink ${block.until === null ? 'rounded-r-2xl border-r-2 border-dashed' : i === blocks.length - 1 ? 'border-r-2' : ''}`}
            style={{ background: FILL[block.kind] }}
          />
          <p className="truncate pr-2 font-bold">{BLOCK_WORDS[block.kind]}</p>
          <p className="truncate pr-2 text-quiet">{fullDay(block.from)}</p>
        </li>
      ))}
    </ol>
  )
}
