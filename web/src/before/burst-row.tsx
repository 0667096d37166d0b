import { count } from '@still-pine/core/answer'
import type { Burst } from '@still-pine/core/plan'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { lowerFirst } from '@still-pine/core/readiness'

const PURPOSE = { check: 'Check', mend: 'Mend', work: 'Work', begin: 'Begin', close: 'End on' } as const

/** "right 4, goes off; then left 2, the whole lap": each side with its own rung. */
const askWords = (burst: Burst, program: Program): string => {
  const step = stepOf(program, burst.step)!
  const rungs = new Set(burst.sides.map(({ rung }) => rung))
  const at = (rung: number): string => `“${rungName(step, rung)}”`
  const parts = burst.sides.map(({ side, asks, rung }) =>
    [side === 'none' ? count(asks, 'ask') : `${side} ${asks}`, rungs.size > 1 ? at(rung) : '']
      .filter(Boolean)
      .join(' '),
  )
  return `${parts.join(', then ')}${rungs.size === 1 ? `, ${at(burst.sides[0]!.rung)}` : ''}`
}

interface Props {
  readonly burst: Burst
  readonly number: number
  readonly program: Program
  readonly isOpen: boolean
  readonly open: () => void
}

const lightAskWords = ({ lightAsk }: Burst): readonly string[] =>
  lightAsk
    ? [
        `Then one light ask: ${lightAsk.name.toLowerCase()}, ${lightAsk.rungName}, so that the feet still listen`,
      ]
    : []

/** Its reasons and the rule that bound it: of the burst that is open on a screen, of every one on paper. */
const Why = ({ burst, isOpen }: { burst: Burst; isOpen: boolean }) => {
  const rule = burst.rule ? [`Rule: ${burst.rule.toLowerCase()}`] : []
  const words = [...burst.reasons, ...rule, ...lightAskWords(burst)].map((one) => `${one}.`).join(' ')
  return <p className={`max-w-prose pb-1 text-quiet ${isOpen ? '' : 'hidden print:block'}`}>{words}</p>
}

/** One burst of the plan: what, how often, where it opens, and on touch why it is there. */
export const BurstRow = ({ burst, number, program, isOpen, open }: Props) => (
  <div className="grid min-w-0 flex-1 grid-cols-[2rem_1fr] gap-x-3 break-inside-avoid">
    <span className="pt-2.5 font-name text-xl font-extrabold text-quiet">{number}</span>
    <div className="min-w-0">
      <button
        type="button"
        aria-expanded={isOpen}
        className="flex min-h-12 w-full flex-wrap items-baseline gap-x-3 py-2.5 text-left text-lg"
        onClick={open}
      >
        <b className="font-name">{burst.name}</b>
        <span>{askWords(burst, program)}</span>
        <span className="text-quiet">
          {burst.again ? 'again' : PURPOSE[burst.purpose].toLowerCase()}
          {burst.pinned && ', put here by you'}
        </span>
      </button>
      {burst.provided.length > 0 && !burst.again && (
        <p className="font-bold">If confirmed there: {burst.provided.map(lowerFirst).join(' ')}</p>
      )}
      {!burst.again && <Why burst={burst} isOpen={isOpen} />}
    </div>
  </div>
)
