/** A question on which good starters differ. The product takes no side; each school has its default. */
export interface Dispute {
  readonly question: string
  readonly one: { readonly says: string; readonly because: string }
  readonly other: { readonly says: string; readonly because: string }
  /** What the product does until the yard decides. */
  readonly here: string
}

/** Common practice on both sides, no source. */
export const DISPUTES: readonly Dispute[] = [
  {
    question: 'It is frightened of the thing. Take the thing away, or stay?',
    one: {
      says: 'Stay at the same level until it stands and loosens.',
      because: 'If the thing goes while the feet run, it has learnt that running makes things go.',
    },
    other: {
      says: 'Go away, smaller and further off, before the fear is full.',
      because:
        'A horse held over its threshold stops moving without stopping to be afraid: that is flooding, and it comes out later.',
    },
    here: 'Each school’s own rule is on the screen at that moment. Every ending is logged, and one that left while the horse was moving is shown as what it may have taught.',
  },
  {
    question: 'Canter a two-year-old?',
    one: {
      says: 'A little, loose and on straight lines.',
      because: 'Youngsters canter in the field, and light work strengthens bone.',
    },
    other: {
      says: 'None that is trained.',
      because: 'Small circles, weight and tired muscles load joints that are still growing.',
    },
    here: 'No canter is trained before the age of its gate, and canter rungs are extras for later. Ask your vet about your horse.',
  },
]
