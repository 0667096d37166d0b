/** The product's own terms, as they stand on its pages. */
export const TERMS: readonly (readonly [term: string, meaning: string])[] = [
  ['Step, rung', 'One thing a horse learns; the ladder it goes up, from the smallest ask to the whole.'],
  ['Burst', 'Up to two minutes of one step, then something else.'],
  ['First ask of the day', 'The cold one: it tells most of what is really known.'],
  ['On the thought, light, firm, strong', 'How much was needed before it answered, by the school’s seconds.'],
  ['Loose, watchful, tight', 'How it felt about it. A tight answer never makes a step Solid.'],
  ['New, Started, Coming, Solid', 'How far a skill is. Solid holds on several days, cold, and loose.'],
  ['Rusty, Slipped', 'It was Solid and was not asked for too long, or has gone badly since.'],
  ['Holds to', 'The hardest rung it would answer on a first ask.'],
  [
    'Chance',
    'Of ten first asks like this one, so many light. It is counted from the answers, and said never too high.',
  ],
  ['Gate', 'A place where someone could be hurt. It is judged for one day: Go, Check first, Not yet, Stop.'],
  [
    'Likely to fail',
    'How many of a gate’s first asks would not be light and relaxed, added up from the chances.',
  ],
  ['By chance, did it unasked', 'An answer that counts half, and one that does not count as an ask.'],
  ['From memory', 'Marks tapped in afterwards. They count half, and never as a first ask.'],
  ['Talent, ease, speed', 'How able and how loose this horse starts a step, and how fast it learns.'],
  ['Load day', 'A day with lunge, lines, saddle, a rider, or long work: counted, and kept apart.'],
  [
    'Day confirmation',
    'What can only be known on the day: a helper is here, the helmet is on. It holds for that day alone.',
  ],
]
