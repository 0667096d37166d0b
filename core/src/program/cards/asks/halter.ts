import { howTo, type HowToAsk } from './ask'

export const HALTER_ASKS: Record<string, HowToAsk> = {
  'catch-rope': howTo(
    'Lay the soft rope over the neck from the near side, keep both ends in one hand and stay at the shoulder.',
    'Bump and slack, bump and slack, until the head comes to you; never a tug of war.',
    {
      standFirst: 'Take up a steady feel no heavier than the rope itself, and keep it until the feet stand.',
      markAndReward:
        'Mark the rope touching, then lying, then lifting; walk with it only when it means nothing.',
      lightAids: 'Close your fingers on the rope, wait a second, add a little, and open them as it turns.',
    },
  ),
  'halter-on': howTo(
    'Stand at the near shoulder facing forward, right arm over the neck, and hold the noseband open below the nose.',
    'Let it draw to you first; a horse that walks off goes on a lap and is offered it again.',
    {
      standFirst:
        'Slide it on from under the catch rope in the middle of a rub, and off again before you go.',
      markAndReward: 'Hold the noseband as a ring to target through, and mark the nose that comes by itself.',
      lightAids: 'Ask the head down with a touch at the poll, then pass the strap.',
    },
  ),
  'give-to-halter': howTo(
    'Stand at the shoulder, take the slack out of the rope to the side, and keep your hand where it is.',
    'Begin with a thought of a feel, bump in a rhythm, slack at the first tip of the nose.',
    {
      standFirst: 'Hold the weight of the rope and no more, for as long as it takes.',
      markAndReward: 'A feel of a few ounces is the question; mark the nose, then release.',
      lightAids: 'Vibrate the rope, a shade more each second, and stop inside the step it takes.',
    },
  ),
  'step-back': howTo(
    'Face its shoulder from one side and look where its front feet should go.',
    'Shake the rope in widening waves, quiet the very moment the weight rocks back.',
    {
      standFirst: 'Put a hand on its chest, lean as little as a leaf and wait.',
      markAndReward:
        'Hold the target low beside you at arm’s length, your head out of the strike zone, and mark each foot back.',
      lightAids:
        'Feel back on the halter; if nothing, tap the cannon lightly and faster; off with the first step.',
    },
  ),
  'lead-up': howTo(
    'Look ahead, lift the rope forward and walk off; do not look back at its face.',
    'Walk on with slack behind you; if it sticks, go sideways until a foot comes loose.',
    {
      standFirst: 'From its shoulder begin together, one step, stop, rub.',
      markAndReward: 'Target a few steps ahead, mark the stepping, feed at your shoulder.',
      lightAids: 'A light forward feel, then a tap behind your back at the girth; both end inside the step.',
    },
  ),
  stand: howTo(
    'Square it up, step to your place, let the rope hang and start the clock.',
    'When it leaves, back it to the spot with some life, then offer the rest again.',
    {
      standFirst: 'Stay beside it, hand on the wither, and leave before it thinks of leaving.',
      markAndReward: 'Mark short stands, then longer, with your distance growing last.',
      lightAids: 'Say the word, step off; each foot that moves is put back by one light touch.',
    },
  ),
  'tail-hold': howTo(
    'Slide along the back to the dock with your hip against its hip, and hold the tail from above.',
    'Rub and lift in a rhythm until the tail swings, then lay it down.',
    {
      standFirst: 'Let your hand hang on the tail until the muscles under it sigh.',
      markAndReward: 'Mark the softening of the dock as you would a step.',
      lightAids: 'Lift by a finger, lower as it loosens, and come back on the other side.',
    },
  ),
  'foot-front': howTo(
    'Face the tail beside its shoulder, run the rope or your hand down the back of the leg and wait for the weight to go over.',
    'If it walks, let it walk with the rope on and ask again as it halts.',
    {
      standFirst: 'Take what it gives, an inch if it is an inch, and put it down yourself.',
      markAndReward:
        'Make lifting a cue at the knee, mark the unloaded hoof, and hold for one beat more each day.',
      lightAids: 'Squeeze above the fetlock, lift with its own lift, and open your fingers before it pulls.',
    },
  ),
  'foot-hind': howTo(
    'The rope first, from out of reach; then from beside the hip, a hand on the croup, draw the leg forward before you ever take it back.',
    'Keep the rope swinging softly through its stiffness until the leg hangs, and drop it then.',
    {
      standFirst: 'Hold the rope where it stands still, breathe out, let the toe find the ground.',
      markAndReward: 'Name the leg, mark the toe that rests, then the hock that gives.',
      lightAids: 'A light lift on the rope, one more in the next second, and slack the moment it bends.',
    },
  ),
  tie: howTo(
    'Tie at wither height with an arm of rope, to something that will not give, by a knot that one pull undoes.',
    'Loop it round the rail and play it like a fish; what it learnt on the halter holds it.',
    {
      standFirst: 'Make each stand a little longer until a rope round a rail is only one more stand.',
      markAndReward: 'Ask for a very long stand at a mat by the rail, the rope last of all.',
      lightAids: 'From the shoulder send it forward to each steady pull, until slack is always in front.',
    },
  ),
}
