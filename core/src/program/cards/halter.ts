import { card, type CardText } from './card'
import { ROPE } from './cautions'

const ROPE_KIT = ['gloves', 'rope halter that fits', 'lead rope of 3.5 to 4 m']

export const HALTER_CARDS: Record<string, CardText> = {
  'catch-rope': card(
    'A soft rope round the neck is the first thing it can give to.',
    'It turns its head to a light feel on the neck and its feet stay.',
    [
      'Runs off → let the rope slide and begin again from further off.',
      'Leans on it → a feel that comes and goes, never a dead pull.',
    ],
    ['gloves', 'soft catch rope of 8 m with no knot'],
    [ROPE, 'In a real tangle let go.'],
  ),
  'halter-on': card(
    'It puts its own nose in, from either side, as often as you like.',
    'The head stays low, the nose comes to the noseband, and the poll strap goes over without a flinch.',
    [
      'Raises its head → hold the halter lower and wait for the nose to come to it.',
      'Walks away → back to drawing and head rub; it is not ready to be tied to you.',
    ],
    ROPE_KIT,
    ['Do not leave a halter on a loose horse.', 'Off means off: turn its head to you first, then let go.'],
  ),
  'give-to-halter': card(
    'A feel on the rope means: find the slack.',
    'The nose tips to the feel first; the inside front foot follows it to the side.',
    [
      'Pulls against it → hold what you have, no more, and let go at the first softening.',
      'Follows with the body and stays stiff → ask for the nose alone, from a stand.',
    ],
    ROPE_KIT,
    [ROPE],
  ),
  'step-back': card(
    'Backwards is how you get your space and its balance.',
    'Diagonal feet step together and straight, the head low, from a light shake.',
    ['Goes crooked → one step at a time beside a fence.', 'Throws its head → less shake, longer wait.'],
    ROPE_KIT,
    ['Stand to one side of its front feet: a strike comes straight forward.'],
  ),
  'lead-up': card(
    'It walks up on a slack rope and stops when you do.',
    'The first step comes from a feel forward and the rope is slack again before the second.',
    [
      'Plants its feet → one step to the side first, then forward.',
      'Rushes past → back a step or turn it in; do not hold on.',
    ],
    ROPE_KIT,
    [ROPE, 'Do not walk straight in front of it.'],
  ),
  stand: card(
    'Standing is a skill: for the farrier, the block and every quiet moment.',
    'All four feet stay while the time runs, with the rope slack and the neck easy.',
    [
      'Walks off → put it back where it was, once, without hurry.',
      'Stands stiff → shorter time; a stiff horse is waiting to leave.',
    ],
    ROPE_KIT,
    ['Standing stock still can be fear: look at the eye and the breath.'],
  ),
  'tail-hold': card(
    'The rope, the crupper and the vet all come under the tail.',
    'The tail is soft in the hand and the rump does not clamp or drop.',
    ['Clamps → wait with the hand lying still.', 'Steps away → go back to the hip.'],
    ['gloves off if it is safe', 'soft rope of 2 m'],
    ['Stand beside the hip, one hand on it; never behind.'],
  ),
  'foot-front': card(
    'A foot that is lent without a thought is a foot that can be trimmed.',
    'The weight goes to the other leg before the foot leaves the ground, and it is set down, not snatched.',
    [
      'Snatches → a shorter lift; you set it down before it takes it.',
      'Leans on you → let the foot down and move it a step before the next try.',
    ],
    ['gloves', 'soft leg rope', 'farrier’s apron', 'small hammer'],
    [
      'Begin with a rope from outside the strike zone; hands come later.',
      'Never kneel or sit by a leg. A foot that hurts: the farrier or the vet.',
    ],
  ),
  'foot-hind': card(
    'The hind feet are the farrier’s danger and yours; they are taught, not taken.',
    'It shifts its weight, gives the leg forward first and lets it hang.',
    [
      'Kicks at the rope → stay at the rope, swing softly until the leg stands, then leave.',
      'Pulls the leg back → forward and low first, backward in later weeks.',
    ],
    ['gloves', 'soft leg rope of 4 m', 'farrier’s apron', 'small hammer'],
    ['Stand close at the hip and to the side. A rope first, from beyond the reach of a kick.'],
  ),
  tie: card(
    'It finds its own slack at the end of a rope that does not give.',
    'It steps up to a steady pull and stands with the rope hanging.',
    [
      'Pulls back → loop, do not tie, and go back to giving to the halter.',
      'Paws and swings → shorter time beside a calm horse, move it and put it back.',
    ],
    ['strong rail at wither height', 'neck collar', 'quick release', 'knife at the rail'],
    [
      'Never tie to anything that can come away.',
      'Stay until it can stand alone; a pull-back can break its neck or your hand.',
    ],
  ),
}
