/** What a strap says in one message. */
export interface StrapBeat {
  readonly bpm: number
  /** Whether it lies on skin; nothing where the strap cannot tell. */
  readonly contact: boolean | null
}

/** The first byte's bits (Heart Rate Measurement, characteristic 0x2A37). */
const TWO_BYTES = 0b001
const FEELS_CONTACT = 0b100
const HAS_CONTACT = 0b010

/**
 * Reads one message of the standard heart-rate service: a byte of flags, then the beats a minute in one byte or two,
 * low byte first. Energy and intervals that may follow are left alone. Nothing for a message too short to hold it.
 *
 * Source: Bluetooth SIG, Heart Rate Service 1.0, §3.1; GATT Specification Supplement, Heart Rate Measurement.
 */
export const strapBeat = (bytes: Readonly<ArrayLike<number>>): StrapBeat | null => {
  const flags = bytes[0]
  const low = bytes[1]
  if (flags === undefined || low === undefined) return null
  const high = (flags & TWO_BYTES) === 0 ? 0 : bytes[2]
  if (high === undefined) return null
  const contact = (flags & FEELS_CONTACT) === 0 ? null : (flags & HAS_CONTACT) !== 0
  return { bpm: low + 256 * high, contact }
}
