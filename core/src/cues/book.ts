export const CHANNELS = ['voice', 'rein', 'leg', 'seat', 'rope', 'stick', 'body'] as const
export const RHYTHMS = ['once', 'steady', 'pulse'] as const

/** One signal of a horse or a yard. */
export interface Cue {
  readonly id: string
  readonly channel: (typeof CHANNELS)[number]
  /** Where it is felt; of the voice, the word. */
  readonly place: string
  readonly side: 'left' | 'right' | 'both'
  readonly rhythm: (typeof RHYTHMS)[number]
  readonly count: number
  readonly gapSeconds: number
  readonly meaning: string
  readonly where: 'ground' | 'ridden' | 'both'
  /** It is never wanted from the saddle. */
  readonly groundOnly: boolean
}

export interface Tool {
  readonly tool: string
  readonly drives: boolean
  readonly accepted: boolean
  /** What tells the one from the other. */
  readonly tellApart: readonly string[]
}

const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ')

/** Taps further apart than this are single taps, seconds. */
const APART_SECONDS = 0.7

/** What a horse feels of a cue, whatever it is given with. */
const feltOf = ({ place, side, rhythm, count, gapSeconds }: Cue): string =>
  [plain(place), side, rhythm, gapSeconds > APART_SECONDS ? 1 : count].join('|')

const meaningOf = ({ meaning }: Cue): string => plain(meaning)

/** A cue written down twice is one that adds nothing. */
export const sameCue = (a: Cue, b: Cue): boolean =>
  a.channel === b.channel && feltOf(a) === feltOf(b) && meaningOf(a) === meaningOf(b) && a.where === b.where

/** These are told apart by nothing but what holds them. */
const ALIKE: readonly Cue['channel'][] = ['leg', 'stick', 'rope', 'body']

type Pair = readonly [string, string]

const pairsThat = (cues: readonly Cue[], fits: (a: Cue, b: Cue) => boolean): readonly Pair[] =>
  cues.flatMap((a, i) =>
    cues
      .slice(i + 1)
      .filter((b) => feltOf(a) === feltOf(b) && meaningOf(a) !== meaningOf(b) && fits(a, b))
      .map((b): Pair => [a.id, b.id]),
  )

const synonymsOf = (cues: readonly Cue[]) =>
  (['ground', 'ridden'] as const).flatMap((where) => {
    const here = cues.filter((cue) => cue.where === where || cue.where === 'both')
    return [...new Set(here.map(meaningOf))].flatMap((meaning) => {
      const same = here.filter((cue) => meaningOf(cue) === meaning)
      const ways = new Set(same.map((cue) => `${cue.channel}|${feltOf(cue)}`))
      return ways.size > 1 ? [{ where, meaning, ids: same.map(({ id }) => id) }] : []
    })
  })

const missingTwinsOf = (cues: readonly Cue[]): readonly string[] => {
  const ridden = new Set(cues.filter(({ where }) => where !== 'ground').map(meaningOf))
  const ground = cues.filter(({ where, groundOnly }) => where === 'ground' && !groundOnly)
  return [...new Set(ground.map(meaningOf))].filter((meaning) => !ridden.has(meaning))
}

/** One signal, one meaning: what in a book of cues says two things, or one thing in two ways, or has no ridden twin. */
export const cueBook = (cues: readonly Cue[], tools: readonly Tool[]) => {
  const clashes = pairsThat(cues, (a, b) => a.channel === b.channel)
  const near = pairsThat(
    cues,
    (a, b) => a.channel !== b.channel && ALIKE.includes(a.channel) && ALIKE.includes(b.channel),
  )
  const missingTwins = missingTwinsOf(cues)
  const twoMeanings = tools
    .filter(({ drives, accepted, tellApart }) => drives && accepted && tellApart.length === 0)
    .map(({ tool }) => tool)
  const isToLook = near.length + missingTwins.length + twoMeanings.length > 0
  const says = clashes.length > 0 ? ('clash' as const) : isToLook ? ('look' as const) : ('clear' as const)
  return { clashes, near, synonyms: synonymsOf(cues), missingTwins, twoMeanings, says }
}
