import type { EntryOf } from '@still-pine/contract/entries-of'
import type { aidOf, rideBook } from '@still-pine/core/ride'

/** An entry with its beginning on the clock. */
type RiddenEntry = Omit<EntryOf<'ride'>, 'beganAt'> & { readonly beganAt: number | null }
export type Book = ReturnType<typeof rideBook<RiddenEntry>>
type Ride = Book['rides'][number]
type Next = Book['next']

/** Of what may be ridden halves are rounded down. */
const may = (minutes: number): string => String(Math.floor(2 * minutes + 1e-9) / 2)
const was = (minutes: number): string => String(Math.round(2 * minutes) / 2)

const WHY: Readonly<Record<Next['says'], string>> = {
  first: 'the first one is short, and at walk',
  'too-young': 'nobody sits on it yet: it is too young, or its age is not known',
  'begin-again': 'so long ago that it begins again: walk, and led first',
  smaller: 'less than the last one',
  longer: 'one thing grows',
  same: 'the same again',
}

const GROWS = { total: 'the whole', trot: 'the trot', canter: 'the canter' } as const

/** "Ride 10: 10 minutes, 2½ of trot." */
export const nextWords = ({
  number,
  totalMinutes,
  trotMinutes,
  canterMinutes,
  grows,
  says,
}: Next): string => {
  if (totalMinutes === 0) return `Ride ${number}: ${WHY[says]}.`
  const parts = [
    `${may(totalMinutes)} minutes`,
    trotMinutes > 0 ? `${may(trotMinutes)} of them trot` : 'all of it walk',
    canterMinutes > 0 ? `${may(canterMinutes)} canter` : '',
  ].filter(Boolean)
  const why = grows === null ? WHY[says] : `${WHY[says]}, ${GROWS[grows]}`
  return `Ride ${number} may be ${parts.join(', ')}: ${why}.`
}

const STOPS = { age: 'too young for a rider', helper: 'no helper on the ground' } as const

const WARNS: Readonly<Record<Ride['judged']['warns'][number], string>> = {
  'ground-first': 'too little ground work first',
  'warm-up': 'too short a walk before the trot',
  total: 'too long',
  trot: 'too much trot',
  canter: 'too much canter',
  uneven: 'reins uneven',
}

/** What was against the rules of its number and age. */
export const againstWords = ({ judged, overlaps }: Ride): readonly string[] => [
  ...judged.stops.map((stop) => STOPS[stop]),
  ...judged.warns.map((warn) => WARNS[warn]),
  ...(overlaps ? ['overlaps another ride'] : []),
]

export const rideWords = ({ told, judged }: Ride): string =>
  [
    `${was(judged.totalMinutes)} minutes: walk ${was(judged.walkMinutes)}, trot ${was(judged.trotMinutes)}, canter ${was(judged.canterMinutes)}`,
    `${told.rider}${told.helper ? `, ${told.helper} on the ground` : ''}`,
    `went ${told.went}${told.ended ? `, ended ${told.ended}` : ''}`,
  ].join('; ')

const AID_SAYS = {
  keep: 'the stick may go along for now',
  'put-away': 'put the stick away',
  'back-to-the-ground': 'the leg is not learnt: back to the ground with it',
} as const

/** "Tapped at 2 of 10 asks on the last ride: put the stick away." */
export const aidWords = ({ share, tooManyTaps, says }: NonNullable<ReturnType<typeof aidOf>>): string =>
  `Tapped at ${Math.round(100 * share)} % of the asks on the last ride: ${AID_SAYS[says]}.${tooManyTaps ? ' One or two taps where the ground cue lay, no more.' : ''}`
