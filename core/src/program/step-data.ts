/** What a rung is beyond its words, for whatever times, counts or reckons with it. */
export interface RungData {
  /** How long it is held or kept up, s. */
  readonly seconds?: number
  /** How much of it is asked for, where it is not told in seconds; laps and repetitions a rein. */
  readonly laps?: number
  readonly steps?: number
  readonly repetitions?: number
  /** How far off, or how far it goes, m. */
  readonly metres?: number
  readonly pace?: Pace
  /** It loads the legs or the back: loose, on the line or in tack above a walk. */
  readonly loads?: boolean
  /** The zones of the animal that bear the hand once this rung holds. */
  readonly bears?: readonly string[]
}

export const PACES = ['stand', 'walk', 'trot', 'canter'] as const
type Pace = (typeof PACES)[number]

const MEASURED = ['seconds', 'laps', 'steps', 'repetitions'] as const

/** How much of a rung is asked for. */
export interface RungAmount {
  readonly measure: (typeof MEASURED)[number]
  readonly amount: number
}

/** What a rung asks for as a number; nothing where it is no matter of how much. */
export const amountIn = (data: RungData | undefined): RungAmount | null => {
  for (const measure of MEASURED) {
    const amount = data?.[measure]
    if (amount !== undefined) return { measure, amount }
  }
  return null
}

/** The data of every rung of a ladder, easiest rung first. */
export type RungsData = readonly RungData[]

/** What other rules look for a step by: proof after an incident, a light ask between, the farrier's feet. */
export const SERVICES = [
  'bends',
  'yields-hind',
  'stands',
  'sends',
  'stops-on-circle',
  'steps-back',
  'gives-to-halter',
  'leads',
  'ties',
  'moves-in-saddle',
  'refreshes',
  'front-foot',
  'hind-foot',
] as const
export type Service = (typeof SERVICES)[number]

/** What a place must suit for a step to be done there. */
export const USES = ['loose', 'ground', 'lines', 'mounting', 'ridden', 'loading', 'tying'] as const
export type Use = (typeof USES)[number]

const isPace = (word: string): word is Pace => (PACES as readonly string[]).includes(word)

const READ: readonly (readonly [RegExp, (value: string) => RungData])[] = [
  [/^(\d+)s$/, (value) => ({ seconds: Number(value) })],
  [/^(\d+(?:\.\d+)?)m$/, (value) => ({ metres: Number(value) })],
  [/^(\d+)laps$/, (value) => ({ laps: Number(value) })],
  [/^(\d+)steps$/, (value) => ({ steps: Number(value) })],
  [/^(\d+)times$/, (value) => ({ repetitions: Number(value) })],
  [/^loads$/, () => ({ loads: true })],
]

const oneFrom = (word: string): RungData => {
  if (isPace(word)) return { pace: word }
  for (const [form, read] of READ) {
    const found = form.exec(word)
    if (found) return read(found[1] ?? '')
  }
  return { bears: [word] }
}

const joined = (a: RungData, b: RungData): RungData => ({
  ...a,
  ...b,
  ...(a.bears && b.bears ? { bears: [...a.bears, ...b.bears] } : {}),
})

/**
 * Reads `30s@2`, `3m@3`, `3laps@1`, `4steps@2`, `2times@1`, `trot@4`, `loads@4-` (and up) and zones, `cheek@1`, parted by spaces, for a ladder of so many
 * rungs.
 */
export const rungsDataFrom = (text: string, rungs: number): RungsData => {
  const parts = text
    .split(' ')
    .filter(Boolean)
    .map((part) => {
      const [word, span] = part.split('@') as [string, string]
      const [from, to] = span.split('-')
      return {
        data: oneFrom(word),
        from: Number(from),
        to: to === undefined ? Number(from) : to === '' ? rungs : Number(to),
      }
    })
  return Array.from({ length: rungs }, (_, i) =>
    parts
      .filter(({ from, to }) => i + 1 >= from && i + 1 <= to)
      .reduce<RungData>((all, { data }) => joined(all, data), {}),
  )
}
