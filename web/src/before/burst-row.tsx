import type { Burst } from '@still-pine/core/plan'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { lowerFirst } from '@still-pine/core/readiness'
import type { ReactNode } from 'react'

const PURPOSE = { check: 'Check', mend: 'Mend', work: 'Work', begin: 'Begin', close: 'End on' } as const

/** "right 4, goes off; then left 2, the whole lap": each side with its own rung. */
const askWords = (burst: Burst, program: Program): string => {
  const step = stepOf(program, burst.step)!
  const rungs = new Set(burst.sides.map(({ rung }) => rung))
  const at = (rung: number): string => `“${rungName(step, rung)}”`
  const parts = burst.sides.map(({ side, asks, rung }) =>
    [
      side === 'none' ? `${asks} ${asks === 1 ? 'ask' : 'asks'}` : `${side} ${asks}`,
      rungs.size > 1 ? at(rung) : '',
    ]
      .filter(Boolean)
      .join(' '),
  )
  return `${parts.join(', then ')}${rungs.size === 1 ? `, ${at(burst.sides[0]!.rung)}` : ''}`
}

interface Props {
  readonly burst: Burst
  readonly number: number
  readonly program: Program
  readonly children?: ReactNode
}

const lightAskWords = ({ lightAsk }: Burst): readonly string[] =>
  lightAsk
    ? [
        `Then one light ask: ${lightAsk.name.toLowerCase()}, ${lightAsk.rungName}, so that the feet still listen`,
      ]
    : []

/** The first reason in sight; the others, and the rule that bound it, behind it on a screen and below it on paper. */
const Why = ({ burst }: { burst: Burst }) => {
  const [first, ...others] = burst.reasons
  const rule = burst.rule ? [`Rule: ${burst.rule.toLowerCase()}`] : []
  const rest = [...others, ...rule, ...lightAskWords(burst)].map((words) => `${words}.`).join(' ')
  return (
    <div className="text-quiet">
      <details className="no-print">
        <summary className="min-h-11 cursor-pointer desk:min-h-0">{first}.</summary>
        <p className="pb-1">{rest}</p>
      </details>
      <p className="hidden print:block">
        {first}. {rest}
      </p>
    </div>
  )
}

/** One burst of the plan: what, how often, where it opens, and why it is there. */
export const BurstRow = ({ burst, number, program, children }: Props) => (
  <div className="grid min-w-0 flex-1 grid-cols-[2rem_1fr] gap-x-3 py-2 break-inside-avoid">
    <span className="font-name text-xl font-extrabold text-quiet">{number}</span>
    <div className="min-w-0">
      <p className="flex flex-wrap items-baseline gap-x-3 text-lg">
        <b className="font-name">{burst.name}</b>
        <span>{askWords(burst, program)}</span>
        <span className="text-quiet">
          {burst.again ? 'again' : PURPOSE[burst.purpose].toLowerCase()}
          {burst.pinned && ', put here by you'}
        </span>
      </p>
      {burst.provided.length > 0 && !burst.again && (
        <p className="font-bold">If confirmed there: {burst.provided.map(lowerFirst).join(' ')}</p>
      )}
      {!burst.again && <Why burst={burst} />}
      {children}
    </div>
  </div>
)
