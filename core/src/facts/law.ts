/** What a country or a body may set a least age for: what the work exposes to. */
export const LAW_AGES = [
  'bit',
  'contact',
  'girth',
  'weight',
  'whole-weight',
  'mounted',
  'canter',
  'jump',
] as const
export type LawAge = (typeof LAW_AGES)[number]

export const isLawAge = (about: string): about is LawAge => (LAW_AGES as readonly string[]).includes(about)

/** What else it may ask: shown where it applies. */
export const LAW_NOTES = ['helmet', 'minors', 'welfare', 'transport'] as const
export type LawNote = (typeof LAW_NOTES)[number]

/** A least age that the yard entered from its law or its body. */
export interface LeastAge {
  readonly about: LawAge
  readonly months: number
  readonly source: string
}

/** A least age, and by whom where it is not our own. */
export interface Least {
  readonly months: number
  readonly source: string | null
}

/** The stricter of our own least age and what is entered for any of these: law can only raise it. */
export const strictestAge = (
  own: number,
  laws: readonly LeastAge[],
  about: (age: LawAge) => boolean,
): Least =>
  laws
    .filter((law) => about(law.about))
    .reduce<Least>((least, { months, source }) => (months > least.months ? { months, source } : least), {
      months: own,
      source: null,
    })
