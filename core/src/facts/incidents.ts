import type { Day } from '../answer'

export const INCIDENT_KINDS = [
  'kick',
  'strike',
  'bite',
  'rear',
  'bolt',
  'buck',
  'fall',
  'pull-back',
  'broke-away',
  'tack-slipped',
  'lame',
  'attention-lost',
] as const
export type IncidentKind = (typeof INCIDENT_KINDS)[number]

export const HURT = ['none', 'person', 'horse'] as const
export type Hurt = (typeof HURT)[number]

/** Something that happened with a horse that must not happen twice. */
export interface Incident {
  readonly kind: IncidentKind
  readonly on: Day
  readonly step: string | null
  /** The rung it happened on, as a place on the ladder of today; `null` where nobody said. */
  readonly rung?: number | null | undefined
  /** A person was up, or any weight was on. */
  readonly mounted?: boolean | undefined
  readonly fell?: boolean | undefined
  readonly hurt?: Hurt | undefined
}

const NEAR_MISSES: readonly IncidentKind[] = ['broke-away', 'tack-slipped', 'attention-lost']

/** Nothing came of it this time. */
export const isNearMiss = ({ kind, hurt, fell, mounted }: Incident): boolean =>
  NEAR_MISSES.includes(kind) && (hurt ?? 'none') === 'none' && !fell && !mounted

/** In words, as they stand in a sentence: "a bolt", "tack that slipped". */
export const INCIDENT_WORDS: Readonly<Record<IncidentKind, string>> = {
  kick: 'a kick',
  strike: 'a strike',
  bite: 'a bite',
  rear: 'a rear',
  bolt: 'a bolt',
  buck: 'a buck',
  fall: 'a fall',
  'pull-back': 'a pull-back',
  'broke-away': 'a horse that broke away',
  'tack-slipped': 'tack that slipped',
  lame: 'a lameness',
  'attention-lost': 'attention that was lost',
}
