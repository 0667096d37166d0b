import type { EntryField } from '../../shared/entry-form'

/** What it wears from today on; what has not changed stands as it was. */
export const WORN_FIELDS: readonly EntryField[] = [
  { name: 'saddle', label: 'Saddle' },
  { name: 'pad', label: 'Pad' },
  { name: 'girthHole', label: 'Girth hole', as: 'number' },
  { name: 'bridle', label: 'Bridle' },
  { name: 'bit', label: 'Bit' },
  {
    name: 'cheek',
    label: 'Its cheeks',
    as: [
      ['loose', 'loose rings'],
      ['fixed', 'fixed'],
    ],
  },
  { name: 'mouthMm', label: 'Mouth, mm', hint: 'from corner to corner', as: 'number' },
  { name: 'lineM', label: 'Line, m', as: 'number' },
]

/** How long the bit was carried, and how much of it quietly. */
export const CARRY_FIELDS: readonly EntryField[] = [
  { name: 'minutes', label: 'Minutes with the bit', as: 'number' },
  {
    name: 'quietMinutes',
    label: 'Quiet minutes',
    hint: 'mouth still, no chewing on it, tongue where it belongs',
    as: 'number',
  },
]

/** How long the strings were, and how it went in them. */
export const STRINGS_FIELDS: readonly EntryField[] = [
  { name: 'cm', label: 'Length, cm', as: 'number' },
  { name: 'well', label: 'It went well', as: 'tick', start: true },
  { name: 'noseAhead', label: 'The nose stayed ahead of the vertical', as: 'tick', start: true },
]
