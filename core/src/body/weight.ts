import { over } from '../arithmetic'

/** Kilograms of a pound (international avoirdupois, 1959) and centimetres of an inch. */
const KG_PER_LB = 0.45359237
const CM_PER_INCH = 2.54

/** From inches to pounds (extension tables, from memory); of grown horses from centimetres, Carroll and Huntington 1988. */
const INCH_DIVISORS = { adult: 330, yearling: 301, weanling: 280 } as const
const CM_DIVISOR_ADULT = 11_877

export type TapeKind = keyof typeof INCH_DIVISORS

/** What a tape round the girth, and along from the point of the shoulder to the point of the buttock, tells of a weight. */
export interface Tape {
  readonly girth: number
  readonly length: number
  readonly unit: 'cm' | 'in'
  readonly kind: TapeKind
}

const divisorOf = ({ unit, kind }: Tape): number => {
  if (unit === 'in') return INCH_DIVISORS[kind]
  return kind === 'adult' ? CM_DIVISOR_ADULT : (INCH_DIVISORS[kind] * CM_PER_INCH ** 3) / KG_PER_LB
}

/** A tape is off by as much. */
const TAPE_SPREAD = 0.1

/** The weight a tape tells: kilograms and pounds, and how far it may be off. */
export const bodyWeight = (tape: Tape) => {
  const divisor = divisorOf(tape)
  const told = (tape.girth ** 2 * tape.length) / divisor
  const kg = tape.unit === 'cm' ? told : told * KG_PER_LB
  return {
    kg,
    lb: tape.unit === 'cm' ? told / KG_PER_LB : told,
    lowKg: kg * (1 - TAPE_SPREAD),
    highKg: kg * (1 + TAPE_SPREAD),
    divisor,
    says: over(tape.length, tape.girth) ? ('swapped?' as const) : ('ok' as const),
  }
}

/** Hands from 5 to 20.3 as they are written: 15.2 is fifteen hands and two inches, and .4 does not exist. */
const HANDS = /^(\d{1,2})(?:\.([0-3]))?$/
const INCHES_PER_HAND = 4
const [LEAST_INCHES, MOST_INCHES] = [20, 83]

/** Inches of a height in hands, or nothing where it is none. */
export const inchesOfHands = (hands: string): number | null => {
  const [, whole, rest = '0'] = HANDS.exec(hands) ?? []
  if (whole === undefined) return null
  const inches = Number(whole) * INCHES_PER_HAND + Number(rest)
  return inches >= LEAST_INCHES && inches <= MOST_INCHES ? inches : null
}

const handsOfInches = (inches: number): string =>
  `${Math.floor(inches / INCHES_PER_HAND)}.${inches % INCHES_PER_HAND}`

/** A height in centimetres and in hands, whichever was given; in hands it goes to the nearest inch. */
export const hands = (height: { readonly inches: number } | { readonly cm: number }) => {
  if ('inches' in height)
    return { cm: height.inches * CM_PER_INCH, inches: height.inches, hands: handsOfInches(height.inches) }
  const inches = height.cm / CM_PER_INCH
  return { cm: height.cm, inches, hands: handsOfInches(Math.round(inches)) }
}
