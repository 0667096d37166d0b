import { hands, inchesOfHands } from '@still-pine/core/body'

/** What a yard measures in; inside all is centimetres and kilograms. */
export type Units = 'metric' | 'imperial'

const CM_PER_INCH = 2.54
const KG_PER_LB = 0.45359237

/** Halves up, so that the same number is told everywhere. */
const rounded = (value: number, to: number): number => Math.floor(value / to + 0.5) * to

/** "436 kg, 962 lb": nobody has to reckon. */
export const kgWords = (kg: number): string => `${rounded(kg, 1)} kg, ${rounded(kg / KG_PER_LB, 1)} lb`

/** "148.5 cm, 14.2 hands". */
export const heightWords = (cm: number): string => `${rounded(cm, 0.5)} cm, ${hands({ cm }).hands} hands`

/** A length as it was typed, in centimetres; nothing where nothing was, NaN where it is no number. */
export const cmOf = (typed: string, units: Units): number | null => {
  if (typed.trim() === '') return null
  const value = Number(typed.replace(',', '.'))
  return units === 'metric' ? value : value * CM_PER_INCH
}

/** A height as it was typed: centimetres, or hands as they are written. */
export const heightCmOf = (typed: string, units: Units): number | null => {
  if (units === 'metric' || typed.trim() === '') return cmOf(typed, units)
  const inches = inchesOfHands(typed.trim())
  return inches === null ? Number.NaN : inches * CM_PER_INCH
}

export const kgOf = (typed: string, units: Units): number | null => {
  if (typed.trim() === '') return null
  const value = Number(typed.replace(',', '.'))
  return units === 'metric' ? value : value * KG_PER_LB
}
