import { PLACE_WORDS } from '../answer'
import { cardFor, type Program } from '../program'
import type { DueAsk, GateVerdict } from '../readiness'
import { upperFirst } from '../readiness'
import { BURST_MINUTES, type Burst } from './burst'

const asksOf = ({ asks, places }: DueAsk): number => Math.max(asks, places.length)

const reasonOf = ({ side, reason, places }: DueAsk): string => {
  const from = places.length > 0 ? `, from ${places.map((place) => PLACE_WORDS[place]).join(', ')}` : ''
  return upperFirst(`${side === 'none' ? '' : `${side}: `}${reason}${from}`)
}

/** The cold asks a gate wants now, as bursts that the pen can run one after the other. */
export const gateChecks = (program: Program, { due }: Pick<GateVerdict, 'due'>): readonly Burst[] =>
  program.steps.flatMap((step): Burst[] => {
    const asks = due.filter((one) => one.step === step.key)
    const [first] = asks
    if (!first) return []
    const { kit, cautions } = cardFor(step.key)
    return [
      {
        step: step.key,
        name: step.name,
        purpose: 'check',
        sides: asks.map((one) => ({ side: one.side, rung: one.rung, asks: asksOf(one), places: one.places })),
        firstSide: first.side,
        minutes: BURST_MINUTES,
        again: false,
        reasons: asks.map(reasonOf),
        rule: null,
        pinned: false,
        kit,
        cautions,
        lightAsk: null,
      },
    ]
  })
