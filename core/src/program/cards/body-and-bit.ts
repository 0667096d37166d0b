import { card, type StepCard } from './card'

const CIRCLE = 'Circles of 20 m for a big horse, no more than ten minutes a rein for a two-year-old.'
const MOUTH = 'A vet or equine dentist looks in the mouth before the first bit.'

export const BODY_AND_BIT_CARDS: Record<string, StepCard> = {
  laps: card(
    'It finds its own rhythm on both reins.',
    'An even trot with the line slack.',
    ['Hurries → walk first.', 'Falls in → larger circle, straight lines.'],
    ['line of 7 m', 'stick'],
    [CIRCLE],
  ),
  'stretch-lunge': card(
    'It lets down its neck and swings its back.',
    'The neck reaches forward and down, the nose ahead of the vertical.',
    ['Drops on the forehand → more go.', 'Head up → change rein, slower.'],
    ['line of 7 m'],
    [CIRCLE],
  ),
  'carry-bit': card(
    'The bit is something to carry and not to fight.',
    'A quiet mouth that chews a little and forgets it.',
    ['Tongue over → higher in the mouth, shorter.', 'Gapes → take it out, have the mouth looked at.'],
    ['smooth bit that fits', 'headpiece'],
    [MOUTH, 'Nothing is fastened to it yet.'],
  ),
  'bridle-on': card(
    'On and off without an ear or a tooth hurt.',
    'The head stays low, both ears go through easily and the bit does not knock.',
    ['Head up → back to head rub.', 'Clamps its teeth → thumb in the corner first.'],
    ['bridle', 'smooth bit'],
    [MOUTH],
  ),
  'give-to-bit': card(
    'The same give as to the halter, lighter still.',
    'The nose tips to the feel, the jaw lets go.',
    ['Opens its mouth → less feel.', 'Hides behind → send it forward.'],
    ['bridle over a halter', 'reins'],
    ['Never lead or tie by the bit.', MOUTH],
  ),
  'rope-behind': card(
    'Lines touching its hocks are nothing to run from.',
    'It walks on with the rope against its quarters.',
    ['Tucks and shoots off → rope lies higher.', 'Kicks → stand further forward.'],
    ['two lines of 7 m', 'surcingle'],
    ['Lines that run free; let go in a tangle.'],
  ),
  drive: card(
    'It goes ahead of you and is steered from behind.',
    'It walks on, stops at the word and turns with the outside line sliding.',
    ['Spins to you → a helper at the head.', 'Rushes → shorter, between walls.'],
    ['two lines of 7 m', 'surcingle', 'helper'],
    ['Stay to one side and out of reach of a kick. A helper for the first times.'],
  ),
  'drive-on-bit': card(
    'The stop and turn move from the halter to the bit.',
    'It stops and turns from a light line.',
    ['Leans → back to the halter.', 'Goes backwards → softer hand, more walk.'],
    ['two lines', 'bridle over a halter'],
    [MOUTH],
  ),
}
