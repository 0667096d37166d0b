import { howTo, type HowToAsk } from './ask'

export const THINGS_ASKS: Record<string, HowToAsk> = {
  'rope-over': howTo(
    'Begin on the ground beside it, lay the rope over the wither and take it off the same side.',
    'Toss in an even rhythm, the same size and speed, until the feet stop; then rest it.',
    {
      standFirst: 'Toss once, rub where it fell, walk off; a bigger toss waits for tomorrow.',
      markAndReward: 'Mark the look at the coil, the touch of the coil, the coil on its back.',
      lightAids: 'Slide it on, slide it off, and lengthen the throw one hand at a time.',
    },
  ),
  flag: howTo(
    'Keep it low and behind you on the way in, and let it come no nearer than the place where the ears only turn.',
    'Wave at one pitch while it moves its feet, drop the flag on the ground when it stops and looks.',
    {
      standFirst: 'Show a corner, hide it, show it; the flag leaves before any foot does.',
      markAndReward: 'Ask it to target the folded flag, then follow it, then wear it.',
      lightAids: 'Stroke with it as with the stick, keep its legs slow, and make it smaller if they hurry.',
    },
  ),
  'stick-string': howTo(
    'Rub with the butt end at the wither, then let the string slide over the back and down again.',
    'Swing in time with your breath; stop when it blows out.',
    {
      standFirst: 'Lean the stick on it as if it were a branch, and stand there talking.',
      markAndReward: 'Pair the swish with the marker until it looks round for its food.',
      lightAids: 'Stroke along every line where a rider’s leg or a tap will later lie; nothing is asked yet.',
    },
  ),
  'ground-sheet': howTo(
    'Lead alongside, look over it to the far edge and give rope enough for a jump.',
    'Send it at the edge and rest it each time it sniffs; turn it away before it leaves by itself.',
    {
      standFirst: 'Stand on the sheet yourself and let it decide.',
      markAndReward: 'Mark hoof by hoof, and feed on the sheet.',
      lightAids: 'Forward feel, then tap; each step on to it ends the aid, each halt on it is a rest.',
    },
  ),
  'person-moves': howTo(
    'Stand at its shoulder with the rope in your near hand and lift one arm as if you stretched.',
    'Hop in a steady rhythm till it stands, then stand as still as a post.',
    {
      standFirst: 'Move once, stop, look the other way; let it come and ask you.',
      markAndReward: 'Mark the soft eye while you are being silly.',
      lightAids: 'Jump by a hand’s height, keep its legs slow by a touch back, and jump a hand higher.',
    },
  ),
  'person-above': howTo(
    'Step up where both of its eyes can find you, hand on the mane, and rub down the far side.',
    'If the hip leaves, put it to work for a moment and let it rest beneath you.',
    {
      standFirst: 'Climb up and down the fence until it yawns; then lean.',
      markAndReward: 'Feed from above, first over the fence and then over its back.',
      lightAids: 'Ask it into place by a touch at the hip and end the touch as it squares.',
    },
  ),
  'over-from-fence': howTo(
    'From the fence slide one leg over and back while the helper keeps the head a little towards you.',
    'A second of weight and off on the side it watches, before the ears go back.',
    {
      standFirst: 'Take a week for it: leg, leg and a sigh, weight, a seat.',
      markAndReward: 'Mark the lined-up back, then the leg, then the weight, each on its own day.',
      lightAids: 'Leg over, off; the moment it steps, one touch back, and wait for square feet.',
    },
  ),
  'girth-rope': howTo(
    'Pass the end under with a hook, hold both ends, and draw so that you could let go with a sneeze.',
    'Draw and slack with its steps until it walks on through the squeeze.',
    {
      standFirst: 'Draw up to the first tightening and wait there, never past it.',
      markAndReward: 'Mark the let-out breath; a snug rope pays better than a slack one.',
      lightAids: 'Snug for a count of one, slack for two; a count longer when it stays soft.',
    },
  ),
  'pad-blanket': howTo(
    'Carry it to its nose, rub the shoulder, and slide it up from there with the hair.',
    'On, off, on, off, from both sides, in one beat, until it stops counting.',
    {
      standFirst: 'Leave it lying on the wither while you scratch the neck.',
      markAndReward: 'Fold it as small as a target and let it unfold over days.',
      lightAids: 'Lay it on while it stands by the stand cue; step it on one pace, halt, off.',
    },
  ),
  'strange-places': howTo(
    'Go in a curve, never straight at it, and turn away while it is still only looking.',
    'Move its feet beside the thing and let it rest nearest to it.',
    {
      standFirst: 'Stand at the distance where it can still chew and stay until it does.',
      markAndReward: 'Mark looking, mark going on; take the good hay along.',
      lightAids: 'Stop, one step back, go: the old two signals tell it that nothing has changed.',
    },
  ),
}
