const MILLION = 1_000_000

/** "1 in 73": how likely something is by chance; beyond a million the figure says nothing more. */
export const oneIn = (p: number): string =>
  p * MILLION < 1 ? 'less than 1 in a million' : `1 in ${Math.max(1, Math.round(1 / p))}`
