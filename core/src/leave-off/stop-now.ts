import { over, under } from '../arithmetic'

/** Each ends the session at once, and is recorded. */
export const DANGER_SIGNS = ['strike', 'kick', 'rear', 'bite', 'bolt', 'buck', 'pull-back', 'fall'] as const
export const NEW_FLINCH = 'new-flinch'
/** A flinch that was not there before is counted with the signs of tiredness, and ends the session whatever they say. */
export const TIRED_SIGNS = [NEW_FLINCH, 'forges', 'trips', 'drops-back', 'gone-dull'] as const
export const WORRY_SIGNS = [
  'head-up',
  'tight-muzzle',
  'wide-eye',
  'flinches',
  'frozen',
  'tail-swishes',
  'shifts-feet',
  'turns-rump',
] as const

export const SEEN_SIGNS = [...DANGER_SIGNS, ...TIRED_SIGNS, ...WORRY_SIGNS] as const
export type SeenSign = (typeof SEEN_SIGNS)[number]

export interface Seen {
  readonly sign: SeenSign
  readonly minute: number
}

const NOW_MINUTES = 2
const WORRIED = 3

const among =
  (signs: readonly SeenSign[]) =>
  ({ sign }: Seen): boolean =>
    signs.includes(sign)

/** Whether to leave off now, by what was seen: danger first, then pain, then tiredness, then worry. */
export const stopNow = (minute: number, signs: readonly Seen[]) => {
  const tired = signs.filter(among(TIRED_SIGNS)).length
  const worryNow = signs
    .filter(among(WORRY_SIGNS))
    .filter((seen) => !under(seen.minute, minute - NOW_MINUTES)).length
  const says = signs.some(among(DANGER_SIGNS))
    ? ('stop' as const)
    : signs.some(among([NEW_FLINCH]))
      ? ('end-and-look' as const)
      : tired >= 2
        ? ('end' as const)
        : tired === 1
          ? ('ease' as const)
          : worryNow >= WORRIED
            ? ('smaller' as const)
            : ('go-on' as const)
  return { tired, worryNow, says }
}

/** Wet-bulb globe temperature from which work is shorter, at walk only, and not today; °C, below the FEI's (from memory). */
const BANDS = [25, 28, 32] as const
const NOT_USED_TO_IT = 2

/**
 * Heat in the sun by air and humidity (vapour pressure: Magnus; WBGT: Australian Bureau of Meteorology, from memory), with
 * the sum of °F and humidity that people reckon with, which calls a dry hot day fine.
 */
export const heat = (airC: number, humidityPercent: number, usedToHeat: boolean) => {
  const vapourHpa = (humidityPercent / 100) * 6.105 * Math.exp((17.27 * airC) / (237.7 + airC))
  const wbgtC = 0.567 * airC + 0.393 * vapourHpa + 3.94
  const felt = wbgtC + (usedToHeat ? 0 : NOT_USED_TO_IT)
  const [shorter, walkOnly, notToday] = BANDS
  const says = under(felt, shorter)
    ? ('go-on' as const)
    : under(felt, walkOnly)
      ? ('shorter' as const)
      : under(felt, notToday)
        ? ('walk-only' as const)
        : ('not-today' as const)
  return { vapourHpa, wbgtC, folkSum: (airC * 9) / 5 + 32 + humidityPercent, says }
}

export interface FirstAsk {
  /** The chance that was said of it. */
  readonly predicted: number
  readonly light: boolean
  readonly predictedCalm: number | null
  readonly tight: boolean | null
}

/** P(at most so many come), each with a chance of its own (Poisson binomial). */
const atMost = (chances: readonly number[], most: number): number => {
  let shares = [1]
  for (const p of chances)
    shares = [...shares, 0].map((share, k) => share * (1 - p) + (k > 0 ? shares[k - 1]! * p : 0))
  return shares.slice(0, most + 1).reduce((all, share) => all + share, 0)
}

const ENOUGH_ASKS = 4
const RARE = 0.02

/** Whether a horse is itself today: its first asks against what was said of them. */
export const notItself = (asks: readonly FirstAsk[]) => {
  const n = asks.length
  const light = asks.filter((ask) => ask.light).length
  const expected = asks.reduce((all, { predicted }) => all + predicted, 0)
  const tail = atMost(
    asks.map(({ predicted }) => predicted),
    light,
  )
  const calmAsks = asks.filter(({ predictedCalm, tight }) => predictedCalm !== null && tight !== null)
  const nCalm = calmAsks.length
  const notTight = calmAsks.filter(({ tight }) => !tight).length
  const calmTail = atMost(
    calmAsks.map(({ predictedCalm }) => predictedCalm!),
    notTight,
  )
  const isOff = !over(tail, RARE) || (nCalm >= ENOUGH_ASKS && !over(calmTail, RARE))
  const says = n < ENOUGH_ASKS ? ('too-few' as const) : isOff ? ('not-itself' as const) : ('itself' as const)
  const advice = says === 'not-itself' ? (['lighter', 'look-for-pain', 'no-gate-today'] as const) : []
  return { n, light, expected, tail, nCalm, notTight, calmTail, advice, says }
}
