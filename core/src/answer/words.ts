import type { Calm, Grade, Kind, PlaceByHorse, Side } from './answer'

/** The grade in the trade's words; each kind of step has its own. */
export const GRADE_WORDS: Record<Kind, readonly [string, string, string, string, string]> = {
  ask: ['on the thought', 'light', 'firm', 'strong', 'no answer'],
  accept: ['at ease', 'noticed', 'tightened', 'moved its feet', 'left or fought'],
  hold: ['none needed', 'one light', 'two, or one firm', 'more', 'left or quit'],
}

export const gradeWord = (kind: Kind, grade: Grade): string => GRADE_WORDS[kind][grade]

export const CALM_WORDS: readonly [string, string, string] = ['loose', 'watchful', 'tight']

export const calmWord = (calm: Calm): string => CALM_WORDS[calm]

export const PLACE_WORDS: Record<PlaceByHorse, string> = {
  1: 'in front of the face',
  2: 'to the side, ahead of the eye',
  3: 'between eye and shoulder',
  4: 'behind the shoulder',
  5: 'behind the tail',
}

export const sideWord = (side: Side): string => (side === 'none' ? '' : side)

const PLURALS = new Intl.PluralRules('en')

/** The word that goes with a number, by the plural rules of the language (Unicode CLDR). */
export const plural = (n: number, one: string, many = `${one}s`): string =>
  PLURALS.select(n) === 'one' ? one : many

/** "1 day", "3 days", "3 entries". */
export const count = (n: number, one: string, many?: string): string => `${n} ${plural(n, one, many)}`

/** A share that was seen, to the nearest whole. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`

/** A chance, never said higher than it is: one just short of what is needed does not look like enough. */
export const chancePercent = (chance: number): string => `${Math.floor(chance * 100)} %`
