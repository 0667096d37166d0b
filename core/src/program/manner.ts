/** The ways in which schools differ, in the order in which they are laid side by side. */
export const MANNER_PARTS = {
  begins: 'Begins with',
  feel: 'The feel',
  release: 'Lets go',
  fright: 'When it takes fright',
  reward: 'Reward',
  lead: 'Leads',
  halter: 'The halter',
  build: 'Builds a response',
  leaveOff: 'Leaves off',
  bit: 'The bit',
  sitting: 'Sitting up',
  tying: 'Tying',
} as const

export type MannerPart = keyof typeof MANNER_PARTS

/** What a school does, and why it does it so. */
export interface MannerText {
  readonly words: string
  readonly why: string
}

/** A school's whole way of working, in words. */
export type Manner = Readonly<Record<MannerPart, MannerText>>

/** Written `what → why`. */
export const mannerFrom = (texts: Readonly<Record<MannerPart, string>>): Manner =>
  Object.fromEntries(
    Object.entries(texts).map(([part, text]) => {
      const [words, why] = text.split(' → ') as [string, string]
      return [part, { words, why }]
    }),
  ) as Record<MannerPart, MannerText>
