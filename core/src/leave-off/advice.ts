import type { Advice } from '../answer'
import { oneIn } from '../arithmetic'
import { settleTrend, type Approach } from './settle'
import {
  SEEN_SIGNS,
  stopNow,
  TIRED_SIGNS,
  WORRY_SIGNS,
  type heat,
  type Seen,
  type SeenSign,
} from './stop-now'

/** Words that are not the sign with its dashes taken out. */
const OTHER_WORDS: Readonly<Record<string, SeenSign>> = {
  'shifts its feet': 'shifts-feet',
  'turns its rump': 'turns-rump',
  'drops its back': 'drops-back',
  'new flinch on one side': 'new-flinch',
}

/** The sign that somebody's words mean; nothing where they mean none of these. */
export const signOf = (words: string): SeenSign | null => {
  const plain = words.replaceAll(' ', '-') as SeenSign
  return OTHER_WORDS[words] ?? (SEEN_SIGNS.includes(plain) ? plain : null)
}

/** An answer that ended when the horse had settled, on the phone's clock. */
export interface SettledAnswer {
  /** When it settled, ms. */
  readonly at: number
  readonly seconds: number | null
}

/** Approaches and how long the thing was away before each. */
export const approachesOf = (answers: readonly SettledAnswer[]): readonly Approach[] =>
  answers.flatMap(({ at, seconds }, i) => {
    if (seconds === null) return []
    const before = answers[i - 1]
    const away = before === undefined ? null : Math.max(0, (at - before.at) / 1000 - seconds)
    return [{ settleSeconds: seconds, awaySeconds: away }]
  })

interface SoFar {
  /** Minutes into the session. */
  readonly minute: number
  readonly seen: readonly Seen[]
  /** Of the step and side that are asked now, where they end in settling; the oldest first. */
  readonly approaches: readonly Approach[]
}

const words = (seen: readonly Seen[], among: readonly SeenSign[]): string =>
  [
    ...new Set(seen.filter(({ sign }) => among.includes(sign)).map(({ sign }) => sign.replaceAll('-', ' '))),
  ].join(', ')

const byChance = (p: number): string => `${oneIn(p)} by chance`

const settling = (approaches: readonly Approach[]): Advice | null => {
  if (approaches.length === 0) return null
  const { n, pLonger, says } = settleTrend(approaches)
  return says === 'longer'
    ? {
        kind: 'smaller',
        headline: 'It takes longer each time',
        reason: `Over its last ${n} approaches it settled later and later (${byChance(pLonger!)}): a smaller ask.`,
      }
    : null
}

/** Why to leave off or ask less now, by what was seen and how it settles: what cannot wait. */
export const leaveOffNow = ({ minute, seen, approaches }: SoFar): Advice | null => {
  const { says, tired, worryNow } = stopNow(
    minute,
    seen.filter((one) => one.minute <= minute),
  )
  if (says === 'end-and-look')
    return {
      kind: 'danger',
      headline: 'A flinch that was not there',
      reason: 'End here, and look where it comes from. The vet, if it stays.',
    }
  if (says === 'end')
    return {
      kind: 'leave',
      headline: 'It is tired',
      reason: `${tired} signs (${words(seen, TIRED_SIGNS)}): end, with one easy thing it knows.`,
    }
  if (says === 'smaller')
    return {
      kind: 'smaller',
      headline: 'It worries',
      reason: `${worryNow} signs in two minutes (${words(seen, WORRY_SIGNS)}): a rung smaller.`,
    }
  return settling(approaches)
}

const COUNT_OF_THREE = 3

/** What to mind where nothing graver is to be said. */
export const mindNow = ({ minute, seen, approaches }: SoFar): Advice | null => {
  if (
    stopNow(
      minute,
      seen.filter((one) => one.minute <= minute),
    ).says === 'ease'
  )
    return {
      kind: 'pattern',
      headline: 'It begins to tire',
      reason: `One sign (${words(seen, TIRED_SIGNS)}): go on at walk.`,
    }
  const last = approaches.at(-1)
  if (!last || last.awaySeconds === null || last.awaySeconds >= COUNT_OF_THREE) return null
  const { tooSoon } = settleTrend(approaches)
  return {
    kind: 'pattern',
    headline: 'Count three first',
    reason: `${tooSoon} of ${approaches.length} approaches came before a count of three: step away longer.`,
  }
}

export type HeatSays = ReturnType<typeof heat>['says']

const HEAT_WORDS: Readonly<Record<Exclude<HeatSays, 'go-on'>, string>> = {
  shorter: 'warm: shorter than planned, shade and water between',
  'walk-only': 'hot: walk only',
  'not-today': 'too hot: nothing on the line, under tack or under a person today',
}

/** "33 °C and 60 % (WBGT 33): too hot …"; nothing where the work goes on as it is. */
export const heatWords = ({ says, wbgtC }: ReturnType<typeof heat>): string | null =>
  says === 'go-on' ? null : `WBGT ${Math.round(wbgtC)} °C in the sun, ${HEAT_WORDS[says]}.`
