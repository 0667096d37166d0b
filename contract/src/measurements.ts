import { z } from 'zod'
import { Day, Id, Text } from './primitives'

/** A measure in its bounds, or nothing where it was not taken. */
const taken = (least: number, most: number, unit: string) =>
  z
    .number()
    .min(least, `From ${least} to ${most} ${unit}.`)
    .max(most, `From ${least} to ${most} ${unit}.`)
    .nullable()
    .default(null)

/** What was measured of a horse on a day; SI units. */
const MEASUREMENT = {
  on: Day,
  /** Round the girth behind the withers, and from the point of the shoulder to the point of the buttock. */
  girthCm: taken(40, 260, 'cm'),
  lengthCm: taken(40, 260, 'cm'),
  withersCm: taken(50, 210, 'cm'),
  croupCm: taken(50, 215, 'cm'),
  /** Nine points, by halves. */
  condition: taken(1, 9, 'points').refine(
    (score) => score === null || Number.isInteger(2 * score),
    'Condition goes by halves.',
  ),
  scaleKg: taken(15, 1_200, 'kg'),
  note: Text.default(''),
} as const

type Told = { readonly [K in keyof typeof MEASUREMENT]: z.output<(typeof MEASUREMENT)[K]> }

const isAnything = ({ girthCm, withersCm, croupCm, condition, scaleKg }: Told): boolean =>
  [girthCm, withersCm, croupCm, condition, scaleKg].some((value) => value !== null)

/** A measurement as it is put: the first time, or corrected, or taken back. */
export const PutMeasurement = z
  .object({ ...MEASUREMENT, takenBack: z.boolean().default(false) })
  .refine(({ girthCm, lengthCm }) => girthCm === null || lengthCm !== null, {
    message: 'A girth tells a weight only with the length.',
    path: ['lengthCm'],
  })
  .refine(({ girthCm, lengthCm }) => lengthCm === null || girthCm !== null, {
    message: 'A length tells a weight only with the girth.',
    path: ['girthCm'],
  })
  .refine(isAnything, { message: 'Nothing was measured.', path: ['girthCm'] })

export const Measurement = z.object({
  ...MEASUREMENT,
  id: Id,
  byName: z.string(),
  takenBack: z.boolean(),
})

export type PutMeasurement = z.infer<typeof PutMeasurement>
export type Measurement = z.infer<typeof Measurement>
