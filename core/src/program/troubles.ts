/** Something that goes wrong later, and the steps that were missing when it does (common practice, no source). */
export interface Trouble {
  readonly key: string
  /** In the yard's words. */
  readonly words: string
  /** Other words people have for it, to be found by. */
  readonly also: readonly string[]
  /** The likeliest first. */
  readonly steps: readonly string[]
  /** Causes in the body or the tack that are looked at first. */
  readonly lookFirst: readonly ('vet' | 'teeth' | 'saddle')[]
  /** What is done at once, before any step is looked at. */
  readonly atOnce: string | null
}

interface TroubleText {
  readonly words: string
  readonly also: string
  readonly steps: string
  readonly lookFirst?: Trouble['lookFirst']
  readonly atOnce?: string
}

const TEXTS: Readonly<Record<string, TroubleText>> = {
  'hard-to-catch': {
    words: 'hard to catch',
    also: 'runs away, turns its rump, cannot be haltered in the field, walks off when you come',
    steps: 'draw head-rub',
    lookFirst: ['vet'],
  },
  spooks: {
    words: 'spooks',
    also: 'shies, jumps at noises, afraid of flags, bags, plastic, tarps, looks at everything, bolts from things',
    steps: 'flag strange-places rope-over',
    lookFirst: ['vet', 'teeth', 'saddle'],
  },
  kicks: {
    words: 'kicks at legs, says no',
    also: 'kicks out, cow-kicks, lifts a hind leg at people, swishes, threatens',
    steps: 'yield-hind hind-in-motion',
    lookFirst: ['vet'],
  },
  pushy: {
    words: 'pushes into people',
    also: 'pushy, barges, walks over you, crowds, leans on people, no respect for space, bites, nips',
    steps: 'step-back yield-shoulder send',
  },
  'pulls-back': {
    words: 'pulls back when tied',
    also: 'breaks ropes, sits back, fights the tie rail, panics tied up',
    steps: 'give-to-halter tie stand',
    lookFirst: ['vet', 'teeth', 'saddle'],
  },
  'will-not-load': {
    words: 'will not load',
    also: 'trailer, lorry, horsebox, float, ramp, refuses to go in, rushes out of the trailer',
    steps: 'gap ground-sheet step-back load',
    lookFirst: ['vet'],
  },
  'leaves-block': {
    words: 'walks off at the block',
    also: 'will not stand to mount, moves away from the mounting block, swings its hips out when mounted',
    steps: 'stand come-to-block',
    lookFirst: ['vet', 'teeth', 'saddle'],
  },
  'no-brakes': {
    words: 'no brakes in a fright',
    also: 'bolts, runs off with the rider, does not stop, takes off',
    steps: 'yield-hind bend',
    lookFirst: ['vet', 'teeth', 'saddle'],
  },
  'bucks-or-rears': {
    words: 'bucks or rears under a person',
    also: 'broncs, plunges, naps, goes up, throws the rider, humps its back when mounted',
    steps: 'saddle-move weight-in-stirrup lie-over surcingle saddle-on saddle-wear foot-in sit',
    lookFirst: ['vet', 'teeth', 'saddle'],
    atOnce:
      'Get off, and nobody up. Record it under Incidents, have the vet look, and then begin again at the saddle, stages 6 and 7.',
  },
  'bad-for-farrier': {
    words: 'bad for the farrier',
    also: 'hooves, feet, shoeing, trimming, snatches its foot, will not lift feet, leans on the farrier',
    steps: 'foot-front foot-hind',
    lookFirst: ['vet'],
  },
  'ears-or-bridle': {
    words: 'touchy about ears or bridle',
    also: 'head-shy, hard to bridle, throws its head up, will not take the bit, poll',
    steps: 'head-rub mouth-open',
    lookFirst: ['vet', 'teeth'],
  },
  leans: {
    words: 'leans on the rein',
    also: 'heavy in the hand, pulls, hard mouth, stiff neck, hangs on the bit',
    steps: 'give-to-halter give-to-bit step-back',
    lookFirst: ['teeth'],
  },
  'dull-to-leg': {
    words: 'dull to the leg',
    also: 'lazy, slow, will not go forward, needs kicking on, behind the leg, stuck feet',
    steps: 'send ride-go-stop',
    lookFirst: ['vet', 'saddle'],
  },
  hollow: {
    words: 'hollow in the back',
    also: 'head up, dropped back, tight back, runs hollow, will not stretch',
    steps: 'stretch-lunge',
    lookFirst: ['saddle', 'vet'],
  },
  'cold-backed': {
    words: 'cold-backed',
    also: 'girthy, humps its back, dips when saddled, blows up at the girth, bucks when saddled',
    steps: 'girth-rope surcingle',
    lookFirst: ['vet', 'saddle'],
  },
  'stops-at-helper': {
    words: 'stops at the helper',
    also: 'follows the person on the ground, only goes when led, looks for the helper when ridden',
    steps: 'led-ride ride-go-stop',
  },
  rushes: {
    words: 'rushes on the circle',
    also: 'runs on the lunge, falls in, pulls on the line, too fast, cannot slow down',
    steps: 'send stop-on-circle',
    lookFirst: ['vet', 'saddle'],
  },
}

export const TROUBLES: readonly Trouble[] = Object.entries(TEXTS).map(
  ([key, { words, also, steps, lookFirst, atOnce }]) => ({
    key,
    words,
    also: also.split(', '),
    steps: steps.split(' '),
    lookFirst: lookFirst ?? [],
    atOnce: atOnce ?? null,
  }),
)

/** The troubles that a sure step keeps away. */
export const troublesFrom = (step: string): readonly Trouble[] =>
  TROUBLES.filter(({ steps }) => steps.includes(step))
