export const GAITS = ['walk', 'trot', 'canter'] as const
export type Gait = (typeof GAITS)[number]

export const REINS = ['left', 'right', 'straight'] as const
export type Rein = (typeof REINS)[number]

export type Speeds = Readonly<Record<Gait, number>>

/** Metres a second of a young horse at ordinary gaits (common practice, from memory). */
export const SPEEDS: Speeds = { walk: 1.6, trot: 3.5, canter: 5 }

/** Minutes of one gait on one rein. */
export interface Worked {
  readonly rein: Rein
  readonly gait: Gait
  readonly minutes: number
}

const SECONDS = 60

export const minutesOf = (rows: readonly Worked[], of: Partial<Pick<Worked, 'rein' | 'gait'>>): number =>
  rows
    .filter(
      ({ rein, gait }) =>
        (of.rein === undefined || of.rein === rein) && (of.gait === undefined || of.gait === gait),
    )
    .reduce((all, { minutes }) => all + minutes, 0)

/** Metres gone, of a rein or in all. */
export const metresOf = (rows: readonly Worked[], speeds: Speeds, rein?: Rein): number =>
  rows
    .filter((row) => rein === undefined || row.rein === rein)
    .reduce((all, { gait, minutes }) => all + minutes * SECONDS * speeds[gait], 0)

/** The lesser rein of the greater, in metres: even minutes are not even work. Nothing where neither was gone on. */
export const balanceOf = (rows: readonly Worked[], speeds: Speeds): number | null => {
  const [left, right] = [metresOf(rows, speeds, 'left'), metresOf(rows, speeds, 'right')]
  const most = Math.max(left, right)
  return most === 0 ? null : Math.min(left, right) / most
}

/** Minutes by rein and gait. */
export const byReinAndGait = (rows: readonly Worked[]): Record<Rein, Record<Gait, number>> =>
  Object.fromEntries(
    REINS.map((rein) => [
      rein,
      Object.fromEntries(GAITS.map((gait) => [gait, minutesOf(rows, { rein, gait })])),
    ]),
  ) as Record<Rein, Record<Gait, number>>
