import type { Side } from '../answer'
import { BURST_MINUTES, type Burst } from '../plan'
import { cardFor } from '../program'

/** One first ask of a sheet, as the pen runs it. */
export interface ColdAsk {
  readonly step: string
  readonly name: string
  readonly side: Side
  readonly rung: number
  readonly reason: string
  /** What is to be confirmed before it, in words. */
  readonly provided?: readonly string[]
}

/** The asks of a sheet as bursts, those of one step together, in the sheet's order. */
export const coldBursts = (asks: readonly ColdAsk[]): readonly Burst[] => {
  const steps = [...new Set(asks.map(({ step }) => step))]
  return steps.map((step) => {
    const ofStep = asks.filter((ask) => ask.step === step)
    const { kit, cautions } = cardFor(step)
    return {
      step,
      name: ofStep[0]!.name,
      purpose: 'check',
      sides: ofStep.map(({ side, rung }) => ({ side, rung, asks: 1, places: [] })),
      firstSide: ofStep[0]!.side,
      minutes: BURST_MINUTES,
      again: false,
      rule: null,
      pinned: false,
      reasons: ofStep.map(({ side, reason }) => (side === 'none' ? reason : `${side}: ${reason}`)),
      kit,
      cautions,
      provided: [...new Set(ofStep.flatMap(({ provided = [] }) => provided))],
      lightAsk: null,
    }
  })
}
