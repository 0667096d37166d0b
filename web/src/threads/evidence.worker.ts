import type { EvidenceAnswer } from '@still-pine/contract'
import { STANDARD_MODEL } from '@still-pine/core/belief'
import { timelineOf, type Moment } from '@still-pine/core/evidence'
import { onLadders, sidesOf, stepOf, type Program } from '@still-pine/core/program'
import type { Side } from '@still-pine/core/answer'
import { expose } from 'comlink'

export interface SideTimeline {
  readonly side: Side
  readonly moments: readonly Moment[]
}

/** Reads evidence away from the page: a history of years takes its seconds. */
const reading = {
  timelines: (
    program: Program,
    answers: readonly EvidenceAnswer[],
    step: string,
    on: string,
  ): readonly SideTimeline[] => {
    const standing = onLadders(program, answers)
    return sidesOf(stepOf(program, step)!).map((side) => ({
      side,
      moments: timelineOf(STANDARD_MODEL, program, standing, step, side, on),
    }))
  },
}

export type EvidenceReading = typeof reading

expose(reading)
