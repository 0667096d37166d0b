import { daysBetween, type Day, type Side } from '../answer'
import { groundTwinOf, sidesOf, type Program, type Step } from '../program'
import { trackKey, type TrackView, type Views } from '../readiness'
import { goesBadly, tracer, type GroundTwin, type RiddenAsk } from './tracer'

export type Traced = ReturnType<typeof tracer> & { readonly twin: Step | null }

interface Ridden {
  readonly step: Step
  readonly side: Side
  /** What was answered there last, the newest last. */
  readonly asks: readonly RiddenAsk[]
  readonly on: Day
}

/** Somebody is up on some of its rungs. */
const isRidden = (step: Step): boolean => step.exposures?.flat().includes('mounted') ?? false

/** The weaker of the sides a step is asked on, or the one that was ridden. */
const twinView = (views: Views, twin: Step, side: Side): TrackView | undefined => {
  const sides = sidesOf(twin).includes(side) ? [side] : sidesOf(twin)
  const known = sides.flatMap((one) => views.get(trackKey(twin.key, one)) ?? [])
  return known.toSorted((a, b) => a.chance - b.chance)[0]
}

const asTwin = ({ chance, low, lastCold, lastDay }: TrackView, on: Day): GroundTwin => ({
  chance,
  low,
  lastColdPassed: lastCold?.passed ?? null,
  daysSince: lastDay === null ? Infinity : Math.max(0, daysBetween(lastDay, on)),
})

const stoodSolid = (views: Views, step: Step, side: Side): boolean =>
  views.get(trackKey(step.key, side))?.lastStood?.state === 'solid'

/** One side goes badly where the other goes well, and both had been Solid. */
const isNewOneSided = (views: Views, { step, side }: Ridden): boolean => {
  const other = side === 'left' ? 'right' : side === 'right' ? 'left' : null
  if (other === null || !stoodSolid(views, step, side) || !stoodSolid(views, step, other)) return false
  const there = views.get(trackKey(step.key, other))?.recent ?? []
  return there.length > 0 && !goesBadly(there)
}

/** Why a ridden step goes badly, by how the same stands on the ground; nothing where nothing was answered. */
export const traceRidden = (program: Program, views: Views, ridden: Ridden): Traced | null => {
  const { step, side, asks, on } = ridden
  if (asks.length === 0 || !isRidden(step)) return null
  const twin = groundTwinOf(program, step.key)
  const view = twin && twinView(views, twin, side)
  const traced = tracer({
    ridden: asks,
    wasSolid: stoodSolid(views, step, side),
    newOneSided: isNewOneSided(views, ridden),
    twin: view ? asTwin(view, on) : null,
  })
  return { ...traced, twin }
}

/** What lies behind it and what to do, in a sentence; nothing where it goes well. */
export const traceWords = ({ says, twin }: Traced): string | null => {
  const ground = `“${twin?.name ?? ''}” on the ground`
  switch (says) {
    case 'goes-well':
      return null
    case 'look-for-pain':
      return 'It knew this: get down, and look for pain first. Back, saddle, mouth, feet; the vet where it stays.'
    case 'no-twin':
      return 'Nothing on the ground has taught it this: teach it there first.'
    case 'not-understood':
      return `${ground} holds: the aid from above is new to it. Give both cues together, a rung smaller.`
    case 'not-learnt':
      return `${ground} does not hold: not learnt yet. Get down and go back to it.`
    case 'not-known':
      return `Whether ${ground} holds is not known: ask it first thing another day, before the next ride.`
  }
}
