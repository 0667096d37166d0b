import { PLACE_WORDS, PLACES, type PlaceByHorse, type Side } from '@still-pine/core/answer'
import {
  ageOf,
  handOn,
  placeHolds,
  ZONE_KEYS,
  zoneHolds,
  type Hold,
  type Spot,
  type StepHold,
  type Thing,
  type Zone,
} from '@still-pine/core/coverage'
import { rungName, stepOf, type Program } from '@still-pine/core/program'
import { ago } from '@still-pine/core/readiness'
import type { Shown } from '../../drawing/plan-view/animal-from-above'

type HalfSide = Extract<Side, 'left' | 'right'>
type BothSides<K> = Readonly<Record<HalfSide, ReadonlyMap<K, Shown>>>

const shownFrom = (
  hold: StepHold,
  wanted: number | undefined,
  { program, on }: { program: Program; on: string },
): Shown => {
  const step = stepOf(program, hold.step)
  const when = ago(hold.day, on)
  return {
    share: step ? hold.rung / (wanted ?? step.requiredRung) : 0,
    rung: hold.rung,
    age: ageOf(hold.day, on),
    words:
      step && hold.rung > 0
        ? `holds to rung ${hold.rung}, “${rungName(step, hold.rung)}”, ${when}`
        : `does not hold, tried ${when}`,
  }
}

const both = <K>(
  of: (side: HalfSide) => ReadonlyMap<K, StepHold>,
  wanted: (key: K, hold: StepHold) => number | undefined,
  { program, on }: { program: Program; on: string },
): BothSides<K> => {
  const side = (which: HalfSide): ReadonlyMap<K, Shown> =>
    new Map([...of(which)].map(([key, hold]) => [key, shownFrom(hold, wanted(key, hold), { program, on })]))
  return { left: side('left'), right: side('right') }
}

export interface PlanView {
  readonly zones: BothSides<Zone>
  readonly places: BothSides<PlaceByHorse>
  /** What it shows now, in a sentence or two. */
  readonly sentence: string
}

const sideSentence = (side: string, shown: readonly Shown[], where: string): string => {
  if (shown.length === 0) return `${side}: nothing noted`
  const sure = shown.filter(({ share }) => share >= 1)
  const fresh = sure.filter(({ age }) => age === 'fresh').length
  const ages = sure.length === 0 || fresh === sure.length ? '' : `, ${fresh} of them in the last three weeks`
  return `${side}: holds ${where.replace('#', String(sure.length))}${ages}`
}

/** A hand is told by where on the animal it was, every other thing by where it came from. */
const sentenceOf = (thing: Thing, zones: BothSides<Zone>, places: BothSides<PlaceByHorse>): string => {
  const isHand = thing.key === 'hand'
  const where = isHand ? `on # of ${ZONE_KEYS.length} parts` : `from # of ${PLACES.length} places`
  const shown = isHand ? zones : places
  return `${sideSentence('Left', [...shown.left.values()], where)}. ${sideSentence('Right', [...shown.right.values()], where)}.`
}

/** A hand on a zone is a rung of its own, often below the one its step must reach. */
const wantedByHand =
  (program: Program) =>
  (zone: Zone, { step }: StepHold): number | undefined => {
    const hand = handOn(program, zone)
    return hand?.step === step ? hand.rung : undefined
  }

/** What is known of a thing on the animal, seen from above. */
export const planViewOf = (
  spots: readonly Spot[],
  thing: Thing,
  { program, on }: { program: Program; on: string },
): PlanView => {
  const places = both(
    (side) => placeHolds(spots, thing, side),
    () => undefined,
    { program, on },
  )
  const zones = both((side) => zoneHolds(spots, thing, side), wantedByHand(program), { program, on })
  return { zones, places, sentence: sentenceOf(thing, zones, places) }
}

/** A hold in a cell of the table. */
export const cellWords = (hold: Hold | null, on: string): string =>
  hold === null
    ? 'never'
    : hold.rung === 0
      ? `no, ${ago(hold.day, on)}`
      : `to ${hold.rung}, ${ago(hold.day, on)}`

export const whereWords = (zone: string | null, place: PlaceByHorse | null, side: Side): string =>
  [side === 'none' ? '' : side, zone ?? '', place === null ? '' : `from ${PLACE_WORDS[place]}`]
    .filter(Boolean)
    .join(', ')
