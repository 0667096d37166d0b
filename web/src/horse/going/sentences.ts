import type { EntryOf } from '@still-pine/contract/entries-of'
import { oneIn } from '@still-pine/core/arithmetic'
import type { Feature, goingOf } from '@still-pine/core/going'
import { lineWork, reinToEven } from '@still-pine/core/load'

export const FEATURE_NAMES: Readonly<Record<Feature, string>> = {
  stretch: 'Stretches',
  swing: 'Swings',
  rhythm: 'Keeps its rhythm',
  behindVertical: 'Goes behind the vertical',
  hollow: 'Hollows',
  braces: 'Braces',
  secondsToStretch: 'Time to the first stretch',
}

type Going = ReturnType<typeof goingOf>[number]

const byChance = (p: number): string => `${oneIn(p)} by chance`

const reinWords = ({ reins }: Going): string | null => {
  if (!reins) return null
  const { says, n, leftBetter, rightBetter, p } = reins
  if (says === 'too-few') return `rein against rein: too few to say (${n} of 6 sessions)`
  if (leftBetter + rightBetter === 0) return `both reins alike in ${n} sessions`
  if (says === 'even') return `no rein better for certain (left ${leftBetter}, right ${rightBetter} of ${n})`
  const [rein, better] = says === 'left-better' ? ['left', leftBetter] : ['right', rightBetter]
  return `better to the ${rein}, ${better} of ${n} (${byChance(p)})`
}

const middle = (feature: Feature, value: number | null): string =>
  value === null ? 'not seen' : feature === 'secondsToStretch' ? `${Math.round(value)} s` : value.toFixed(1)

const weekWords = ({ feature, weeks }: Going): string | null => {
  if (!weeks) return null
  const { says, beforeMiddle, nowMiddle, p } = weeks
  const marks = `${middle(feature, beforeMiddle)} before, ${middle(feature, nowMiddle)} in the last two weeks`
  if (says === 'too-few') return `${marks}: too few to say`
  if (says === 'same') return `${marks}: no difference for certain`
  return `${marks}: ${says} (${byChance(p)})`
}

/** How a feature goes, in one sentence. */
export const goingWords = (going: Going): string =>
  `${[reinWords(going), weekWords(going)].filter(Boolean).join('; ')}.`

const minutes = (value: number): string => String(Math.round(2 * value) / 2)

const WARNED: Readonly<Record<ReturnType<typeof lineWork>['warns'][number], string>> = {
  'handling-only': 'under two years, handling only',
  'left-minutes': 'too long to the left',
  'right-minutes': 'too long to the right',
  canter: 'too much canter',
  uneven: 'reins uneven',
}

/** What a session on the line came to. */
export const workWords = (work: EntryOf<'line-work'>, ageLowMonths: number | null): string => {
  const done = lineWork(work, ageLowMonths)
  return [
    `left ${minutes(done.leftMinutes)}, right ${minutes(done.rightMinutes)} minutes`,
    `walk ${minutes(done.walkMinutes)}, trot ${minutes(done.trotMinutes)}, canter ${minutes(done.canterMinutes)}`,
    `${Math.round(done.metres / 10) * 10} m, ${done.laps.toFixed(1)} laps of ${Math.round(work.diameterM)} m`,
    done.loadDay ? 'a load day' : 'no load day',
    ...done.warns.map((warn) => WARNED[warn]),
    reinToEven(done)?.replace(/\.$/, '') ?? '',
    done.longRuns > 0 ? 'more than 15 minutes unbroken: was a pause forgotten?' : '',
    work.note,
    work.byName,
  ]
    .filter(Boolean)
    .join('; ')
}
