/** What a yard may put in its own words on the card of a step. */
export const CARD_PARTS = {
  purpose: 'What it is for',
  how: 'How to ask',
  counts: 'What counts',
} as const

export type CardPart = keyof typeof CARD_PARTS

export type CardWords = Readonly<Partial<Record<CardPart, string>>>
