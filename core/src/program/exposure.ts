/**
 * What an ask puts at risk. Each rung of each step says its own, so that no rule has to guess from a step's name: the
 * first group are the exposures that gates guard and rules look at, the second tells finer what the same rules ask.
 */
export const EXPOSURES = [
  'reach',
  'tied',
  'tied-fast',
  'lines',
  'bit',
  'contact',
  'girth',
  'weight',
  'mounted',
  'off-lead',
  'canter',
  'out',
  'away',
  'jump',
  'whole-weight',
  'alone',
  'feet',
  'hind-feet',
  'halter',
  'loading',
  'girthed-on',
] as const

export type Exposure = (typeof EXPOSURES)[number]

/** What each is, as the school editor asks for it: "On this rung …". */
export const EXPOSURE_WORDS: Readonly<Record<Exposure, string>> = {
  reach: 'a person is within kick or strike of a part not yet accepted',
  tied: 'the horse is tied, looped and not fast',
  'tied-fast': 'the horse is tied fast',
  lines: 'a person is behind on two ropes',
  bit: 'a bit is in the mouth',
  contact: 'the rein is on the bit',
  girth: 'a girth or a saddle is on',
  weight: 'part of a person’s weight is on the horse',
  mounted: 'a person is on its back',
  'off-lead': 'the rider is on their own, nobody leads',
  canter: 'it canters under tack or a rider',
  out: 'it is ridden outside',
  away: 'it is in hand or on lines away from its home pen',
  jump: 'something raised is jumped or stepped over',
  'whole-weight': 'a person’s whole weight is on it',
  alone: 'nobody rides with it outside',
  feet: 'a foot is handled',
  'hind-feet': 'a hind foot is handled',
  halter: 'the halter goes on',
  loading: 'it is loaded',
  'girthed-on': 'a girth is done up, perhaps for the first time',
}

/** How much is asked of the legs and the nerves; a vet's hold may leave the first or the first two. */
export const EFFORTS = ['standing', 'in-hand', 'free'] as const
export type Effort = (typeof EFFORTS)[number]

/** The exposures of every rung of a ladder, easiest rung first. */
export type RungExposures = readonly (readonly Exposure[])[]

/** Reads `girth`, `tied@1-2`, `tied-fast@3` (and up), parted by spaces, for a ladder of so many rungs. */
export const exposuresFrom = (text: string, rungs: number): RungExposures => {
  const parts = text
    .split(' ')
    .filter(Boolean)
    .map((part) => {
      const [name, span] = part.split('@') as [Exposure, string | undefined]
      const [from, to] = (span ?? '1').split('-')
      return { name, from: Number(from), to: to === undefined ? rungs : Number(to) }
    })
  return Array.from({ length: rungs }, (_, i) =>
    parts.filter(({ from, to }) => i + 1 >= from && i + 1 <= to).map(({ name }) => name),
  )
}

/** What a rung exposes to; one beyond the ladder exposes to what its last does. */
export const exposuresAt = (step: { readonly exposures?: RungExposures | undefined }, rung: number) =>
  step.exposures?.[Math.ceil(rung) - 1] ?? step.exposures?.at(-1) ?? []
