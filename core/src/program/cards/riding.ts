import { card, type CardText } from './card'
import { SECOND } from './cautions'

const RIDER = ['helmet', 'body protector', 'boots with a heel', 'a helper']

export const RIDING_CARDS: Record<string, CardText> = {
  'lie-over': card(
    'The first weight across its back, which can slide off at any breath.',
    'It stands square, looks round at your boots and breathes out; led, its first step is a slow one.',
    {
      faults: [
        'Humps under your belly → off at once, then hand and knee in the stirrup again.',
        'Walks off → slide down on its shoulder side and go back to the block.',
        'Trembles but stands → off now; a shorter time tomorrow.',
      ],
      kit: [...RIDER, 'solid block'],
      cautions: [SECOND, 'No leg over, so that nothing can hang up.'],
    },
  ),
  'foot-in': card(
    'It sees you out of both eyes before you are up there.',
    'All four feet stay while you stand straight in the stirrup and look across at its far eye.',
    {
      faults: [
        'Steps off as you rise → down, square it, and half as high.',
        'Turns its head away from one side → be seen there first, from the block, ten times.',
      ],
      kit: [...RIDER, 'stirrup wide enough for the boot to fall out of'],
      cautions: [SECOND, 'Only the toe in the iron until you sit.'],
    },
  ),
  sit: card(
    'Sit for a second, get down, and leave it thinking about that.',
    'Still under you with a soft neck to both sides and an ear that comes back to listen.',
    {
      faults: [
        'Holds its back like a board → rub, breathe, down after a pause.',
        'Moves off → bend it, wait for the feet, and get down.',
      ],
      kit: [...RIDER, 'neck strap'],
      cautions: [SECOND, 'Get down after a pause and stay by the shoulder.'],
    },
  ),
  'stand-to-mount': card(
    'Nothing starts until you are ready, today and with every rider after you.',
    'Four feet still from the first touch of the stirrup until you ask, on a rein with slack.',
    {
      faults: [
        'Walks on as you land → put it back on its spot and step up again.',
        'Swings its hip out → call the hip in from the block before you lift a foot.',
      ],
      kit: [...RIDER, 'block on level ground'],
      cautions: [SECOND, 'Mount in the middle of the pen or along a safe fence, never at an open gate.'],
    },
  ),
  'led-ride': card(
    'The helper leads, you ride, and step by step it is you it hears.',
    'Quiet steps that start from your legs and stop on your breath, the helper’s rope slack.',
    {
      faults: [
        'Looks only to the helper → the helper goes quiet and a step further off each lap.',
        'Rushes off the helper’s shoulder → halt every four steps.',
      ],
      kit: [...RIDER, 'line of 4 m'],
      cautions: [SECOND, 'Line on the halter under the bridle, never on the bit.'],
    },
  ),
  'ride-perimeter-led': card(
    'It sees every corner of the pen with a person at its head before it sees it alone with you.',
    'Walks the whole edge in one rhythm with its neck at the height of its wither.',
    {
      faults: [
        'Hangs towards the gate → rest it at the far end, never at the gate.',
        'Shies at a corner → get down, show it in hand, ride it later.',
      ],
      kit: [...RIDER, 'line of 4 m'],
      cautions: [SECOND, 'The helper stays between it and the open middle.'],
    },
  ),
  'ride-bend': card(
    'One rein, soft, and the hip stepping over: together they are the brake you can trust.',
    'The nose comes to your boot, the inside hind crosses in front of the other, and the feet stop.',
    {
      faults: [
        'Braces against the rein → from a halt, to the tip of the nose only.',
        'Spins on the spot → give sooner, and wait for one crossing at a time.',
      ],
      kit: [...RIDER, 'reins with a knot at the right length'],
      cautions: [SECOND, 'At a run, widen into a circle; a hard pull to the knee can take it off its feet.'],
    },
  ),
  'ride-go-stop': card(
    'You start it and stop it, and the helper has nothing left to do.',
    'It steps off from a closing leg with a hind foot first and comes back to four still feet from your seat.',
    {
      faults: [
        'Sticks → the ground cue together with the leg, once or twice, then the leg alone.',
        'Runs on → one rein, one bend, halt, and begin at the walk.',
      ],
      kit: [...RIDER, 'a long soft rope end'],
      cautions: [SECOND, 'A few minutes are enough; the helper stays in the pen.'],
    },
  ),
  'ride-steer': card(
    'It looks where you look, and its shoulders come with its nose.',
    'The inside front foot opens into a wide turn; later both front feet step over from the leg.',
    {
      faults: [
        'Falls out through its shoulder → outside rein on the neck, a wider curve.',
        'Leans in → ride straight to a mark, and turn there.',
      ],
      kit: [...RIDER, 'four cones'],
      cautions: [SECOND, 'No tight circles: an unbalanced horse falls.'],
    },
  ),
  'ride-perimeter': card(
    'The edge of the school alone with you, past the corner it likes least.',
    'One pace all the way round with an ear on you at the worst place.',
    {
      faults: [
        'Stops and stares → let it look as long as it faces the thing, then on.',
        'Wheels for home → bend it, turn it the other way, come back at walk.',
      ],
      kit: [...RIDER, 'neck strap'],
      cautions: [SECOND, 'Close the gate first.'],
    },
  ),
  'ride-canter': card(
    'A few strides, light in the seat, and home to trot.',
    'It strikes off from a steady trot without a scramble and comes back on a breath.',
    {
      faults: [
        'Bucks in the first stride → more forward in trot, and look to the saddle.',
        'Runs faster and faster in trot → walk, and ask again out of a turn.',
        'Runs into it → back to the trot it can keep, and three strides of canter on the straight at most.',
      ],
      kit: [...RIDER, 'neck strap'],
      cautions: [SECOND, 'Not before its age and its groundwork allow. Level, dry ground.'],
    },
  ),
  'ride-contact': card(
    'A hand it can trust, that is always there and never hard.',
    'The nose reaches out to the hand and the stride keeps its length.',
    {
      faults: [
        'Curls away behind the rein → longer rein, leg, and wait for the neck to come out.',
        'Leans like a gate → give for a stride, close your leg, take up again.',
        'Braces → the leg before the hand, one stride, and the hand only follows.',
      ],
      kit: RIDER,
      cautions: ['Three or four strides at a time. A mouth that worries is for the dentist to see.'],
    },
  ),
  'ride-poles': card(
    'It minds its own feet with a person on top.',
    'One foot in each space, neck stretched to look, and the beat the same on the far side.',
    {
      faults: [
        'Quickens at the pole → halt before it, walk over it, halt after it.',
        'Refuses → follow a calm horse, then lead in front of it.',
      ],
      kit: [...RIDER, 'three poles pegged 1.2 to 1.4 m apart for a trot'],
      cautions: ['Poles that roll turn an ankle: peg them.'],
    },
  ),
  'ride-out': card(
    'The world outside with a quiet horse, then in front of it, then alone.',
    'It goes past what it has looked at, walks on a long rein and walks home as it walked out.',
    {
      faults: [
        'Plants at a strange thing → the quiet horse goes by first.',
        'Jogs for home → turn away from home until it walks.',
      ],
      kit: [...RIDER, 'phone', 'a bright vest'],
      cautions: [
        'Company for the first. Say where you go and when you will be back.',
        'Road law and weather come before the plan.',
      ],
    },
  ),
  'ride-small-fence': card(
    'One small jump, well done, and enough for the day.',
    'Straight and quiet in, both front feet together off the ground, and on at the same trot.',
    {
      faults: [
        'Rushes the last strides → back to poles on the ground in the same place.',
        'Runs out beside it → lower, with a pole leading in on each side.',
        'Canters over → to the pole alone at trot, and raise it when three came in trot.',
        'Runs on → a circle after the landing, at trot, before it is met again.',
      ],
      kit: [...RIDER, 'two stands', 'cups that let the pole fall'],
      cautions: ['Poles at trot and canter must be ordinary first.', 'Stop after the first good one.'],
    },
  ),
}
