import type { Zone } from './zones'

/** Something that is brought to a horse, and the steps that bring it. */
export interface Thing {
  readonly key: string
  readonly words: string
  readonly steps: readonly string[]
}

/** The hand is the first of them, as it is with every horse. */
export const THINGS: readonly Thing[] = [
  {
    key: 'hand',
    words: 'Hand',
    steps: ['first-touch', 'head-rub', 'body-rub', 'tail-hold', 'foot-front', 'foot-hind', 'mouth-open'],
  },
  { key: 'rope', words: 'Rope', steps: ['rope-over', 'girth-rope'] },
  { key: 'flag', words: 'Flag', steps: ['flag'] },
  { key: 'stick', words: 'Stick', steps: ['stick-string'] },
  { key: 'blanket', words: 'Blanket', steps: ['pad-blanket'] },
  { key: 'person', words: 'Person', steps: ['person-moves', 'person-above'] },
]

/** A rung of a step: the one that says a part of the animal bears the hand. */
export interface HandStep {
  readonly step: string
  readonly rung: number
}

const HAND_ON: Readonly<Record<Zone, HandStep>> = {
  muzzle: { step: 'mouth-open', rung: 1 },
  cheek: { step: 'head-rub', rung: 1 },
  forehead: { step: 'head-rub', rung: 2 },
  poll: { step: 'head-rub', rung: 3 },
  ear: { step: 'head-rub', rung: 4 },
  neck: { step: 'first-touch', rung: 2 },
  shoulder: { step: 'first-touch', rung: 2 },
  wither: { step: 'first-touch', rung: 1 },
  back: { step: 'first-touch', rung: 3 },
  girth: { step: 'body-rub', rung: 2 },
  belly: { step: 'body-rub', rung: 1 },
  flank: { step: 'body-rub', rung: 3 },
  hip: { step: 'first-touch', rung: 4 },
  tail: { step: 'tail-hold', rung: 1 },
  'front-leg': { step: 'foot-front', rung: 3 },
  'hind-leg': { step: 'foot-hind', rung: 3 },
}

/** Which step and rung a hand laid on a zone belongs to. */
export const handOn = (zone: Zone): HandStep => HAND_ON[zone]
