import type { SessionChanges } from '@still-pine/contract'
import { chancePercent } from '@still-pine/core/answer'
import { stepOf, type Program } from '@still-pine/core/program'
import { lowerFirst, upperFirst } from '@still-pine/core/readiness'
import { STATE_WORDS } from '../shared/words'

export type Change = SessionChanges['changes'][number]

export const isOfState = ({ from, to }: Change): boolean => from !== to

/** What became of a track. A state or a chance, never the two side by side: they follow different rules. */
const becameWords = (change: Change): string =>
  isOfState(change)
    ? `${STATE_WORDS[change.to]}, was ${STATE_WORDS[change.from]}${change.timeAlone ? ' (time alone)' : ''}`
    : `${chancePercent(change.chanceBefore)} to ${chancePercent(change.chanceAfter)} light`

/** Beside its own step: "Right: Solid, was Coming". */
export const besideStep = (change: Change): string =>
  change.side === 'none' ? becameWords(change) : `${upperFirst(change.side)}: ${becameWords(change)}`

/** Where its step is not named already: "Tie up, right: Rusty, was Solid (time alone)". */
export const withStep = (change: Change, program: Program): string => {
  const name = stepOf(program, change.step)?.name ?? change.step
  return `${name}${change.side === 'none' ? '' : `, ${lowerFirst(change.side)}`}: ${becameWords(change)}`
}
