import { card, type CardText } from './card'
import { CIRCLE, HIP, MOUTH, ROPE } from './cautions'

export const BODY_AND_BIT_CARDS: Record<string, CardText> = {
  laps: card(
    'It finds its own rhythm on both reins, and you learn which is the stiffer.',
    'An even two-beat trot; the inside hind steps into the print of the inside front; the line hangs.',
    {
      faults: [
        'Hurries → walk until the breath is slow, then one lap of trot.',
        'Falls in on its shoulder → a larger circle with straight lines between.',
        'Even on one rein only → begin and end on the other, with a third more laps there.',
        'Comes in → point to its shoulder and let it out along the line, one half circle at a time.',
        'Swings its hip at you → stop, yield the hip both ways from a stand, and begin at walk.',
        'Tempo drops → one transition up and down before it would drop, and rest there.',
        'Braces coming down → ask for the walk on a smaller circle, a breath before, and wait a whole round.',
      ],
      kit: [
        'line of 11 m: one of 7 m makes a circle of 12 to 14 m at the most',
        'stick',
        'level ground, 20 m across',
      ],
      cautions: [CIRCLE, 'No more than ten minutes a rein for a two-year-old.'],
    },
  ),
  'stretch-lunge': card(
    'It lets down its neck and swings its back: the muscles that will carry a rider.',
    'The neck reaches forward and down, the nose ahead of the vertical, the hocks rounding.',
    {
      faults: [
        'Drops on its forehand and trails → a little more go before the next reach.',
        'Pokes its head up → change the rein, slow down, wait for the first drop.',
        'Curls behind the hand → a longer line and no feel at all; more go, until the nose is out in front.',
      ],
      kit: ['line of 11 m', 'halter or cavesson that fits'],
      cautions: [CIRCLE, 'A back that stays hollow or sore is the vet’s and the fitter’s first.'],
    },
  ),
  'carry-bit': card(
    'The bit is something to carry and not to fight.',
    'A quiet mouth that chews a little, swallows and forgets it.',
    {
      faults: [
        'Puts its tongue over → a hole higher, and shorter spells.',
        'Gapes or shakes its head → take it out and have the mouth looked at.',
      ],
      kit: ['smooth bit, 5 mm wider than the mouth each side', 'headpiece without reins'],
      cautions: [
        MOUTH,
        'Nothing is fastened to the bit yet; nothing it can catch on is near, and no hay net.',
      ],
    },
  ),
  'bridle-on': card(
    'On and off without an ear or a tooth hurt, every day of its life.',
    'The head stays low, each ear goes through softly and the bit leaves the mouth by itself.',
    {
      faults: [
        'Throws its head at the ears → rub them with the headpiece, nothing more, for a day.',
        'Clamps its teeth → thumb at the corner, and wait; never push the metal on the teeth.',
      ],
      kit: ['bridle let out two holes', 'smooth bit'],
      cautions: [MOUTH, 'Unbuckle rather than force an ear.'],
    },
  ),
  'give-to-bit': card(
    'The same give as to the halter, lighter still, for steering and stopping from above.',
    'The nose tips to the feel, the jaw lets go, and the near front foot follows only if asked.',
    {
      faults: [
        'Opens its mouth against it → half the feel, twice the wait.',
        'Hides behind the hand → walk it forward before you touch the rein again.',
      ],
      kit: ['bridle over a halter', 'reins of 2.5 m or more'],
      cautions: [MOUTH, 'Never lead or tie by the bit.'],
    },
  ),
  'rope-behind': card(
    'Lines that touch its hocks are nothing to run from.',
    'It walks on in one rhythm with the rope lying against its quarters, tail loose.',
    {
      faults: [
        'Tucks its tail and shoots off → the rope lies above the tail again, at a stand.',
        'Kicks back at it → swing it softly from the shoulder, out of reach, until the leg rests. | lay it higher from the shoulder, out of reach, and leave before the leg comes up. | from the shoulder, out of reach and smaller; mark the leg that stays. | lay it still from the shoulder, out of reach, and lift it off as the leg rests.',
      ],
      kit: ['two lines of 7 m', 'a neck collar or a second rope round the girth place', 'gloves'],
      cautions: [ROPE, 'Both lines must run free; let go in a tangle and catch it later.'],
    },
  ),
  drive: card(
    'It goes ahead of you, sees the world first and is steered from behind.',
    'It walks off in front of you, halts square on the word and turns with the outside line sliding.',
    {
      faults: [
        'Spins round to face you → a helper at the head and a wall on one side.',
        'Rushes from the lines → halt every five steps, lines slack at the halt.',
      ],
      kit: [
        'two lines of 7 m',
        'a collar with rings; the surcingle only once the First saddle gate is open',
        'a helper',
      ],
      cautions: [
        HIP,
        'Walk behind and to one side, beyond the reach of both heels. A helper for the first times.',
      ],
    },
  ),
  'drive-on-bit': card(
    'Stop and turn move from the halter to the mouth before anybody sits up.',
    'It halts, turns either way and steps back once from lines you could hold in two fingers.',
    {
      faults: [
        'Leans on the lines → finish the halt on the halter ring.',
        'Creeps backwards → hands forward, and ten walk steps before the next halt.',
      ],
      kit: ['two lines of 7 m', 'bridle over a halter', 'the collar or surcingle it wears by now'],
      cautions: [MOUTH, 'Lines on halter and bit together until it is sure.'],
    },
  ),
}
