import { CARRY_OVER } from './carry-over'
import { CATALOGUE, needsFrom } from './catalogue'
import { GATES } from './gate'
import type { Program } from './program'
import type { Step } from './step'

/** Food has no part in this school, so neither has what keeps it polite. */
const LEFT_OUT = new Set(['target', 'food-manners'])

/** The feet come first: draw before the halter, loose direction and hind yield before things and noises. */
const OVERRIDES: Readonly<Record<string, string>> = {
  'halter-on': 'head-rub@3 draw@3',
  'rope-over': 'halter-on@2 loose-direction@3 yield-hind@2',
  'ground-sheet': 'lead-up@3 loose-direction@3 yield-hind@2',
  'strange-places': 'lead-up@3 loose-direction@3 yield-hind@2',
}

const inThisSchool = (step: Step): Step => {
  const needs = OVERRIDES[step.key]
  return needs === undefined ? step : { ...step, needs: needsFrom(needs) }
}

const isInPath = ({ from, to }: { from: string; to: string }): boolean =>
  !LEFT_OUT.has(from) && !LEFT_OUT.has(to)

/** Control of the feet first, calm out of it. */
export const FEET_FIRST: Program = {
  school: 'feet-first',
  name: 'Feet First',
  version: 1,
  pace: {
    limits: [1.5, 4.5, 7.5, 12],
    phases: ['thought', 'light', 'firm', 'strong'],
  },
  frightRule: 'Keep the same level until the feet are still and it loosens, then leave.',
  release: 'At the first try.',
  reward: 'Rest, slack and a rub.',
  leadPosition: 'Behind you, on a slack rope.',
  steps: CATALOGUE.filter(({ key }) => !LEFT_OUT.has(key)).map(inThisSchool),
  gates: GATES,
  carryOver: CARRY_OVER.filter(isInPath),
}
