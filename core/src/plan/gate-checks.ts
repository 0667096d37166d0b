import { PLACE_WORDS, type Day } from '../answer'
import { isPermitted, permit, type PermitHorse } from '../permit'
import { cardFor } from '../program'
import type { DueAsk, GateVerdict } from '../readiness'
import { upperFirst } from '../readiness'
import { BURST_MINUTES, type Burst } from './burst'

const asksOf = ({ asks, places }: DueAsk): number => Math.max(asks, places.length)

const reasonOf = ({ side, reason, places }: DueAsk): string => {
  const from = places.length > 0 ? `, from ${places.map((place) => PLACE_WORDS[place]).join(', ')}` : ''
  return upperFirst(`${side === 'none' ? '' : `${side}: `}${reason}${from}`)
}

/**
 * The first asks a gate wants now, in the order of the path, as bursts that the pen can run one after the other. What
 * may not be asked yet is left off and comes on once what it waits for is open.
 */
export const gateChecks = (
  horse: PermitHorse,
  { due }: Pick<GateVerdict, 'due'>,
  on: Day,
): readonly Burst[] =>
  horse.program.steps.flatMap((step): Burst[] => {
    const permits = due
      .filter((one) => one.step === step.key)
      .map((ask) => ({ ask, said: permit(horse, { step: ask.step, rung: ask.rung }, on) }))
      .filter(({ said }) => isPermitted(said))
    const [first] = permits
    if (!first) return []
    const { kit, cautions } = cardFor(step.key)
    const asks = permits.map(({ ask }) => ask)
    return [
      {
        step: step.key,
        name: step.name,
        purpose: 'check',
        sides: asks.map((one) => ({ side: one.side, rung: one.rung, asks: asksOf(one), places: one.places })),
        firstSide: first.ask.side,
        minutes: BURST_MINUTES,
        again: false,
        reasons: asks.map(reasonOf),
        rule: null,
        pinned: false,
        kit,
        cautions,
        provided: [...new Set(permits.flatMap(({ said }) => said.because.map(({ words }) => words)))],
        lightAsk: null,
      },
    ]
  })
