import { card, type CardText } from './card'
import { ROUND } from './cautions'

export const THINGS_CARDS: Record<string, CardText> = {
  'rope-over': card(
    'A rope on any part of it is only a rope.',
    'It may look, then stands or walks with a slack neck while the rope lies or swings.',
    {
      faults: [
        'Moves off → keep the same swing till the feet are still and it loosens, then leave it. | leave just before the feet would move, and lay it on shorter. | smaller and further away; mark the feet that stay. | lay it still and smaller, with your own legs slow.',
        'Fine on one side only → begin again at laid on the other.',
      ],
      kit: ['gloves', 'soft rope of 4 m'],
      cautions: [ROUND, 'Keep the rope free of the legs’ joints until it is easy there.'],
    },
  ),
  flag: card(
    'Things that flutter and rattle come and go, and so does its worry.',
    'It may notice; the feet stay or keep their pace, and the head comes down again.',
    {
      faults: [
        'Leaves → keep it as it is till the feet are still and it loosens; roll it smaller next time. | roll it smaller and end it sooner, before it goes. | roll it smaller, further away, and mark one look. | roll it smaller and go further forward, your own legs slow.',
        'Freezes → let it breathe, then begin again smaller.',
      ],
      kit: ['gloves', 'flag on a 1.2 m stick'],
      cautions: [ROUND],
    },
  ),
  'stick-string': card(
    'The string lies on it and moves round it and means nothing until it is pointed.',
    'It stands for the string and still goes when the string asks.',
    {
      faults: [
        'Flees the sound → the same sound till it stands and breathes, then leave; further off next time. | no sound; lay the string on, and end it while it stands. | further off and softer; mark the ear that comes back. | lay the string down, then a smaller sound.',
        'Numb to it → ask a light go between.',
      ],
      kit: ['stick of 1.2 m with a 2 m string'],
      cautions: [ROUND, 'Mind eyes, its and yours.'],
    },
  ),
  'ground-sheet': card(
    'It tells you what it thinks of the ground, and tries anyway.',
    'It puts each foot down flat and leaves the sheet at a walk.',
    {
      faults: ['Jumps it → let it stand with one foot on.', 'Goes round → closer aim, smaller question.'],
      kit: ['heavy sheet of 3 × 3 m', 'four poles to hold it down'],
      cautions: ['Stand to the side: it may jump to you.'],
    },
  ),
  'person-moves': card(
    'A person who hops, jumps or rustles is still the same person.',
    'It watches, one ear on you, and all four feet stay.',
    {
      faults: [
        'Steps back → go on as you were till its feet are still, then stop; smaller next time. | smaller, and stop before it has to step. | smaller moves, further away. | slow your own feet and make less of it.',
        'Tightens and stays → slower, and stop at the first breath.',
      ],
      kit: ['a coat that rustles'],
      cautions: [ROUND],
    },
  ),
  'person-above': card(
    'The first rider must not be the first person it sees from below.',
    'It stands with both eyes able to find you and its back level.',
    {
      faults: [
        'Swings its hip away → bring the hip back first, lean later.',
        'Ducks → stay lower for longer.',
      ],
      kit: ['solid block', 'safe fence rail'],
      cautions: ['One foot always ready to step down. Helmet on from here.'],
    },
  ),
  'over-from-fence': card(
    'A leg and a little weight, without any saddle to worry about.',
    'It stands for the leg and for the weight of a second.',
    {
      faults: [
        'Walks off → back to rubbing both sides from the fence.',
        'Humps its back → off, and wait a day.',
      ],
      kit: ['safe fence', 'helmet', 'helper at the head'],
      cautions: ['Only with a helper. Slide off at once when it moves.'],
    },
  ),
  'girth-rope': card(
    'The squeeze of a girth comes first from a rope you can let go.',
    'It lets go its belly and walks while the rope is snug.',
    {
      faults: [
        'Blows up and humps → snug for a second only, let go as it breathes.',
        'Kicks up → rope lies, does not squeeze.',
      ],
      kit: ['soft rope of 4 m'],
      cautions: ['No knot: you must be able to let go at any moment.'],
    },
  ),
  'pad-blanket': card(
    'Something is put on its back, from both sides, and taken off again.',
    'The back stays level and the feet where they were.',
    {
      faults: [
        'Shrinks from it → rub with it folded.',
        'Runs off under it → let it slide, catch the horse, start folded.',
      ],
      kit: ['saddle pad', 'blanket folded small'],
      cautions: ['Nothing that can hang round the legs.'],
    },
  ),
  'strange-places': card(
    'The world outside the pen, one thing at a time.',
    'It looks, breathes and goes on with you.',
    {
      faults: [
        'Stops → let it look, then a step to the side.',
        'Spins → smaller, further away, with a quiet horse.',
      ],
      kit: ['gloves', 'halter', 'quiet older horse'],
      cautions: ['Know the place first. A long rope and no traffic.'],
    },
  ),
}
