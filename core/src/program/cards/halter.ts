import { card, type CardText } from './card'
import { ROPE } from './cautions'

const ROPE_KIT = ['gloves', 'rope halter that fits', 'lead rope of 3.5 to 4 m']

export const HALTER_CARDS: Record<string, CardText> = {
  'catch-rope': card(
    'A soft rope round the neck is the first thing it can give to.',
    'It turns its head to a light feel on the neck and its feet stay.',
    {
      faults: [
        'Runs off → let the rope slide and begin again from further off.',
        'Leans on it → a feel that comes and goes, never a dead pull. | keep the weight of the rope, no more and no less, until it stands up by itself. | let the rope hang; mark the head that comes round without any feel. | close and open the fingers each second, and open them for good as it turns.',
      ],
      kit: ['gloves', 'soft catch rope of 8 m with no knot'],
      cautions: [ROPE, 'In a real tangle let go.'],
    },
  ),
  'halter-on': card(
    'It puts its own nose in, from either side, as often as you like.',
    'The head stays low, the nose comes to the noseband, and the poll strap goes over without a flinch.',
    {
      faults: [
        'Raises its head → hold the halter lower and wait for the nose to come to it.',
        'Walks away → back to drawing and head rub; it is not ready to be tied to you.',
      ],
      kit: ROPE_KIT,
      cautions: [
        'Do not leave a halter on a loose horse.',
        'Off means off: turn its head to you first, then let go.',
      ],
    },
  ),
  'give-to-halter': card(
    'A feel on the rope means: find the slack.',
    'The nose tips to the feel first; the inside front foot follows it to the side.',
    {
      faults: [
        'Pulls against it → bump and slack in a rhythm, and nothing at the first try. | hold what you have, no more, and let go at the first softening. | give the rope back and ask with a smaller question. | drop it, feel again lighter, then a shade more, and off inside the step.',
        'Follows with the body and stays stiff → ask for the nose alone, from a stand.',
      ],
      kit: ROPE_KIT,
      cautions: [ROPE],
    },
  ),
  'step-back': card(
    'Backwards is how you get your space and its balance.',
    'Diagonal feet step together and straight, the head low, from a light shake.',
    {
      faults: [
        'Goes crooked → one step at a time beside a fence.',
        'Throws its head → less shake, longer wait. | only the hand on the chest, and longer. | back to the target, a hand lower. | a lighter feel, and off at the first rock back.',
      ],
      kit: ROPE_KIT,
      cautions: ['Stand to one side of its front feet: a strike comes straight forward.'],
    },
  ),
  'lead-up': card(
    'It walks up on a slack rope and stops when you do.',
    'The first step comes from a feel forward and the rope is slack again before the second.',
    {
      faults: [
        'Plants its feet → one step to the side first, then forward.',
        'Rushes past → back a step or turn it in; do not hold on.',
        'Blocks one side → lead it from the other side to the same place, then from the blocked one by a single step.',
      ],
      kit: ROPE_KIT,
      cautions: [ROPE, 'Do not walk straight in front of it.'],
    },
  ),
  stand: card(
    'Standing is a skill: for the farrier, the block and every quiet moment.',
    'All four feet stay while the time runs, with the rope slack and the neck easy.',
    {
      faults: [
        'Walks off → put it back where it was, once, without hurry.',
        'Stands stiff → shorter time; a stiff horse is waiting to leave.',
        'Attention lost → ask for one small thing it knows, and let the time begin again.',
      ],
      kit: ROPE_KIT,
      cautions: ['Standing stock still can be fear: look at the eye and the breath.'],
    },
  ),
  'tail-hold': card(
    'The rope, the crupper and the vet all come under the tail.',
    'The tail is soft in the hand and the rump does not clamp or drop.',
    {
      faults: ['Clamps → wait with the hand lying still.', 'Steps away → go back to the hip.'],
      kit: ['gloves off if it is safe', 'soft rope of 2 m'],
      cautions: ['Stand beside the hip, one hand on it; never behind.'],
    },
  ),
  'foot-front': card(
    'A foot that is lent without a thought is a foot that can be trimmed.',
    'The weight goes to the other leg before the foot leaves the ground, and it is set down, not snatched.',
    {
      faults: [
        'Snatches → a shorter lift; you set it down before it takes it.',
        'Leans on you → let the foot down and move it a step before the next try.',
      ],
      kit: ['gloves', 'soft leg rope', 'farrier’s apron', 'small hammer'],
      cautions: [
        'Begin with a rope from outside the strike zone; hands come later.',
        'Never kneel or sit by a leg. A foot that hurts: the farrier or the vet.',
      ],
    },
  ),
  'foot-hind': card(
    'The hind feet are the farrier’s danger and yours; they are taught, not taken.',
    'It shifts its weight, gives the leg forward first and lets it hang.',
    {
      faults: [
        'Kicks at the rope → keep the same soft swing until the foot stands and loosens, then leave. | lay the rope higher, where it stands, and leave before the leg comes up. | further away and higher up; mark the leg that stays. | lay it still, higher up, and lift it off with the first rest.',
        'Pulls the leg back → forward and low first, backward in later weeks.',
      ],
      kit: ['gloves', 'soft leg rope of 4 m', 'farrier’s apron', 'small hammer'],
      cautions: [
        'The first two rungs with the rope, from beyond the reach of a kick; a hand on the croup only after them.',
        'Then close at the hip and to the side. Between the knees and on a stand: the farrier shows you first.',
      ],
    },
  ),
  tie: card(
    'It finds its own slack at the end of a rope that does not give.',
    'It steps up to a steady pull and stands with the rope hanging.',
    {
      faults: [
        'Pulls back → loop, do not tie, and go back to giving to the halter.',
        'Paws and swings → shorter time beside a calm horse, move it and put it back.',
        'Attention lost → untie it, lead it once round, and tie for half as long.',
      ],
      kit: ['strong rail at wither height', 'neck collar', 'quick release', 'knife at the rail'],
      cautions: [
        'First tied: rope through the halter ring to a neck collar. Cross-ties: quick release on both sides.',
        'Never tie to what can come away.',
        'Stay by it; a pull-back can break its neck or your hand.',
      ],
    },
  ),
}
