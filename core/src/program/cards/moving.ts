import { card, type CardText } from './card'
import { CIRCLE, HIP } from './cautions'

const KIT = ['gloves', 'halter', 'lead rope of 4 m']
const LINE_KIT = ['gloves', 'halter', 'line of 7 m', 'stick']

export const MOVING_CARDS: Record<string, CardText> = {
  'yield-hind': card(
    'The hindquarters are the engine; who can move them can stop it.',
    'The inside hind foot crosses in front of the outside one, the front feet mark time.',
    {
      faults: [
        'Walks forward → a little more nose to you first.',
        'Steps behind instead of across → wait for one true cross.',
      ],
      kit: KIT,
      cautions: [HIP],
    },
  ),
  'yield-shoulder': card(
    'The shoulders step away from you, so that the horse does not walk into you.',
    'The near front foot crosses in front of the far one, weight back.',
    {
      faults: [
        'Crosses behind → weight back first.',
        'Pushes its neck at you → rope hand further from its eye.',
        'Walks forward → a step back first, then the shoulder from there.',
      ],
      kit: KIT,
      cautions: ['Keep your feet clear of its front feet.'],
    },
  ),
  'turn-front': card(
    'The shoulders go round a hind end that stays where it is: the first sitting down on the hocks.',
    'The near front foot crosses in front of the far one; the hind feet mark time within a metre.',
    {
      faults: [
        'Walks forward → a half halt on the rope before each step.',
        'Swings its hip out → ask for one crossing, then rest.',
      ],
      kit: KIT,
      cautions: [HIP],
    },
  ),
  bend: card(
    'A soft neck to each side is half of the brake; it stops a horse only with the hip stepping over.',
    'The nose comes round to the feel and waits on a slack rope, feet still.',
    {
      faults: [
        'Turns its feet with it → follow, hold, let go when they stop.',
        'Snaps back → ask for less, and slack at the first try. | ask for less and hold it longer. | ask for the look alone and mark it. | ask for less and let go inside the second.',
        'Tilts its nose → ask lower and with less, until both ears stay level.',
      ],
      kit: KIT,
      cautions: ['No force: a pulled neck braces.'],
    },
  ),
  'bow-the-feel': card(
    'A rope that pulls from the far side turns it round instead of frightening it.',
    'It turns away from you, unwinds and faces up.',
    {
      faults: ['Bolts off → shorter distance, slower feel.', 'Stands and braces → tip of the nose only.'],
      kit: LINE_KIT,
      cautions: ['Stand at the rope’s end while it is round the hip, and let go in a tangle.'],
    },
  ),
  send: card(
    'It goes out from you on a light feel and carries on by itself.',
    'Front feet leave first, away from you, on a slack line.',
    {
      faults: [
        'Backs or rears → lower hand, smaller question, a helper.',
        'Leans on the line → turn it rather than hold it.',
        'Comes in → step to its hip, not towards its head, and send again from further back.',
        'Swings its hip at you → more line at once and turn it away; the hip yields again before it is sent.',
        'Tempo drops → look at its hip and ask for the tempo, not for more of it.',
      ],
      kit: LINE_KIT,
      cautions: [HIP, CIRCLE],
    },
  ),
  'stop-on-circle': card(
    'A stop that comes from you and not from the fence.',
    'It comes back to a halt, straight on the circle, and waits.',
    {
      faults: [
        'Turns in → ask earlier, from further forward.',
        'Runs on → walk first, then stop.',
        'Overshoots → ask one length earlier, at walk, and rest where it stopped.',
      ],
      kit: LINE_KIT,
      cautions: [CIRCLE],
    },
  ),
  'turn-on-line': card(
    'It changes rein through you in three clear parts.',
    'Hind steps under, shoulder crosses, then it goes, on a slack line.',
    {
      faults: ['Cuts in → shoulder first, from a stand.', 'Stops in the middle → keep your own feet going.'],
      kit: LINE_KIT,
      cautions: [HIP],
    },
  ),
  'hind-in-motion': card(
    'The same yield from a walk or trot: your emergency stop on the ground.',
    'The inside hind crosses under and the horse softens, stops or goes on as asked.',
    {
      faults: ['Swings out fast → ask at walk.', 'Falls out → closer and slower.'],
      kit: LINE_KIT,
      cautions: [HIP],
    },
  ),
  sideways: card(
    'Both ends together, for gates, blocks and later for the leg.',
    'Front and hind cross at the same time along the fence.',
    {
      faults: ['Front leads → ask the hip first.', 'Goes forward → shorten the steps, nose to the fence.'],
      kit: KIT,
      cautions: [HIP],
    },
  ),
  gap: card(
    'A narrow place is somewhere to go through, not to rush.',
    'It walks through on a slack line and turns to face you after.',
    {
      faults: ['Rushes → wider again, and stop after.', 'Stops → let it look; one foot.'],
      kit: LINE_KIT,
      cautions: ['Never stand in the gap.'],
    },
  ),
  'come-to-block': card(
    'It brings its own back to where the rider stands.',
    'The hip comes to you and it stands parallel on a slack rope.',
    {
      faults: ['Stops short → lighter, more often.', 'Swings past → bring the shoulder over first.'],
      kit: ['block or safe fence', 'gloves', 'halter'],
      cautions: ['Helmet on. A solid block that cannot tip.'],
    },
  ),
  poles: card(
    'It minds where it puts its feet.',
    'It steps over without touching and without changing its pace.',
    {
      faults: ['Jumps → one pole at walk.', 'Knocks → give it time and a longer rope.'],
      kit: ['three poles', 'line of 7 m'],
      cautions: ['Poles that can roll turn an ankle: peg them.'],
    },
  ),
  load: card(
    'In, stand and out again, step by step.',
    'It walks in on a slack rope and backs out one step at a time.',
    {
      faults: ['Plants → look, breathe, one foot.', 'Shoots back → go with it, try again lower down.'],
      kit: ['gloves', 'halter', 'trailer on level ground, hitched'],
      cautions: [
        'Never behind the ramp, never inside with no way out.',
        'The bar goes up behind it before it is tied, and it is untied before the bar comes down.',
      ],
    },
  ),
}
