/** A step whose ability comes along in part. */
export interface Source {
  readonly share: number
  /** The source's posterior mean ability, rested to the day of the target's first answer. */
  readonly mean: number
}

/** Shares that add up to more than this are scaled down to it. */
export const MOST_CARRIED = 0.6

/** The mean a track starts from: `base`, where the horse starts any, moved towards what its sources already can. */
export const startMeanWith = (base: number, sources: readonly Source[]): number => {
  const total = sources.reduce((sum, source) => sum + source.share, 0)
  const scale = total > MOST_CARRIED ? MOST_CARRIED / total : 1
  return sources.reduce((mean, source) => mean + scale * source.share * (source.mean - base), base)
}
