/** What may be noted of how a session was, besides who and where: each kind with all that may be said of it. */
export const CIRCUMSTANCES = {
  watching: {
    name: 'People watching',
    values: { nobody: 'nobody', few: 'one to three', many: 'more than three' },
  },
  turnout: {
    name: 'Turnout',
    values: { company: 'turned out with others', alone: 'turned out alone', in: 'kept in' },
  },
  ground: { name: 'Place', values: { known: 'a place it knows', new: 'a new place' } },
  handler: { name: 'Handler', values: { fit: 'fit', tired: 'tired or unwell', hurt: 'hurt' } },
  hands: { name: 'Hands', values: { two: 'with a helper', one: 'alone' } },
  weather: {
    name: 'Weather',
    values: { fair: 'fair', wind: 'wind', heat: 'heat', slippery: 'slippery ground' },
  },
} as const

export type CircumstanceKind = keyof typeof CIRCUMSTANCES
export type ValueOf<K extends CircumstanceKind> = keyof (typeof CIRCUMSTANCES)[K]['values'] & string

/** How a session was; `null` where nothing was noted. */
export type Circumstances = { readonly [K in CircumstanceKind]: ValueOf<K> | null } & {
  /** The kit as it was fitted, in a person's own words. */
  readonly kit: string
}

export const CIRCUMSTANCE_KINDS = Object.keys(CIRCUMSTANCES) as readonly CircumstanceKind[]

export const NOTHING_NOTED: Circumstances = {
  watching: null,
  turnout: null,
  ground: null,
  handler: null,
  hands: null,
  weather: null,
  kit: '',
}

/** All that may be said of a kind, with its words. */
export const valuesOf = (kind: CircumstanceKind): readonly (readonly [value: string, words: string])[] =>
  Object.entries(CIRCUMSTANCES[kind].values)

/** A value in words; a kit is its own. */
export const valueWords = (kind: CircumstanceKind | 'kit', value: string): string =>
  kind === 'kit' ? value : (valuesOf(kind).find(([key]) => key === value)?.[1] ?? value)

/** One thing that may be so of a session; for the kit, the words noted of it. */
export interface Circumstance {
  readonly kind: CircumstanceKind | 'kit'
  readonly value: string
}

/** Kits are told apart by their words, not by capitals and spaces. */
export const plainKit = (kit: string): string => kit.trim().replace(/\s+/g, ' ').toLowerCase()

export const isSo = (circumstances: Circumstances, { kind, value }: Circumstance): boolean =>
  kind === 'kit' ? plainKit(circumstances.kit) === plainKit(value) : circumstances[kind] === value

/** All that was noted, in the order of the kinds; the kit last. */
export const notedIn = (circumstances: Circumstances): readonly Circumstance[] => [
  ...CIRCUMSTANCE_KINDS.flatMap((kind) => {
    const value = circumstances[kind]
    return value === null ? [] : [{ kind, value }]
  }),
  ...(plainKit(circumstances.kit) === '' ? [] : [{ kind: 'kit' as const, value: circumstances.kit }]),
]

/** What was noted of some sessions, each once, in the order of the kinds. */
export const notedInAny = (all: readonly Circumstances[]): readonly Circumstance[] => {
  const seen = new Map<string, Circumstance>()
  for (const noted of all.flatMap(notedIn)) {
    const key = `${noted.kind} ${noted.kind === 'kit' ? plainKit(noted.value) : noted.value}`
    if (!seen.has(key)) seen.set(key, noted)
  }
  const rank = ({ kind, value }: Circumstance): number =>
    kind === 'kit'
      ? Infinity
      : CIRCUMSTANCE_KINDS.indexOf(kind) * 10 + valuesOf(kind).findIndex(([key]) => key === value)
  return [...seen.values()].sort((a, b) => rank(a) - rank(b) || a.value.localeCompare(b.value))
}

/** "People watching: nobody; weather: wind." Nothing where nothing was noted. */
export const circumstancesInWords = (circumstances: Circumstances): string =>
  notedIn(circumstances)
    .map(({ kind, value }) =>
      kind === 'kit' ? `Kit: ${value}` : `${CIRCUMSTANCES[kind].name}: ${valueWords(kind, value)}`,
    )
    .join('; ')
