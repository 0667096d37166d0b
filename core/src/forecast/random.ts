/** What a random number is for; another purpose of the same ask is another number. */
export const PURPOSES = ['grade', 'calm', 'start', 'own', 'unsettled'] as const
export type Purpose = (typeof PURPOSES)[number]

/** Which number of a forecast this is: the same ask of the same horse has the same one in every what-if. */
export interface Ticket {
  readonly seed: number
  readonly draw: number
  readonly track: number
  /** The n-th of its kind on that track. */
  readonly n: number
  readonly purpose: Purpose
}

const WORD = 0x1_0000_0000

/** Stirs 32 bits so that near numbers come far apart (the finaliser of MurmurHash3: Appleby 2011). */
const stirred = (value: number): number => {
  let bits = value | 0
  bits = Math.imul(bits ^ (bits >>> 16), 0x85eb_ca6b)
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2_ae35)
  return bits ^ (bits >>> 16)
}

const GOLDEN = 0x9e37_79b9

const folded = (state: number, value: number): number =>
  stirred(Math.imul(state ^ stirred(value + GOLDEN), 0x01_00_01_93) + GOLDEN)

const bitsOf = ({ seed, draw, track, n, purpose }: Ticket): number =>
  [draw, track, n, PURPOSES.indexOf(purpose)].reduce(folded, stirred(seed + GOLDEN)) >>> 0

/**
 * A number between 0 and 1, both left out, that hangs on its ticket alone and not on what was drawn before: common random
 * numbers for a forecast and its what-ifs.
 */
export const uniform = (ticket: Ticket): number => (bitsOf(ticket) + 0.5) / WORD

/** A standard normal number by its ticket (Box and Muller 1958). */
export const standardNormal = (ticket: Ticket): number => {
  const radius = Math.sqrt(-2 * Math.log(uniform(ticket)))
  // The angle is another number of the same ticket: its n lies where no count reaches.
  return radius * Math.cos(2 * Math.PI * uniform({ ...ticket, n: -1 - ticket.n }))
}
