import { faultRepairs } from './repairs'

/** A repair that was tried of a fault. */
export interface Tried {
  readonly fault: string
  readonly repair: string
  readonly worked: boolean | null
}

const NEXT_ASKS = 3

interface Asked {
  /** On the phone's clock, ms. */
  readonly at: number
  readonly fault: string | null
}

/** Whether a fault was gone in the next three asks after a repair; nothing while they are still to come. */
export const goneAfter = (
  { fault, at }: { readonly fault: string; readonly at: number },
  answers: readonly Asked[],
): boolean | null => {
  const next = answers.filter((answer) => answer.at > at).slice(0, NEXT_ASKS)
  return next.length < NEXT_ASKS ? null : next.every((answer) => answer.fault !== fault)
}

/** How it went after each repair, fault by fault; what is not known yet counts for nothing. */
export const repairsByFault = (all: readonly Tried[]) => {
  const known = all.filter(({ worked }) => worked !== null)
  return [...new Set(known.map(({ fault }) => fault))].map((fault) => {
    const ofFault = known.filter((one) => one.fault === fault)
    return faultRepairs(
      fault,
      [...new Set(ofFault.map(({ repair }) => repair))].map((repair) => {
        const ofRepair = ofFault.filter((one) => one.repair === repair)
        return {
          repair,
          tried: ofRepair.length,
          worked: ofRepair.filter(({ worked }) => worked).length,
        }
      }),
    )
  })
}
