import { howTo, type HowToAsk } from './ask'

export const MOVING_ASKS: Record<string, HowToAsk> = {
  'yield-hind': howTo(
    'At the girth, facing its hip, tip the nose a hand towards you and look at the near hind foot.',
    'Walk at the hip, swing the rope end at it, and quit with the first foot that crosses.',
    {
      standFirst: 'Lay a palm behind the girth and lean on it with the patience of a gatepost.',
      markAndReward: 'Target the nose round your body; the hind end has to follow, and there you mark.',
      lightAids: 'Touch where the leg will lie, press, tap; nothing more once the hind foot leaves.',
    },
  ),
  'yield-shoulder': howTo(
    'Beside the neck, rope hand under the jaw, turn its eye away from you as you walk into the shoulder.',
    'Lift your energy at its cheek and walk through the space it leaves.',
    {
      standFirst: 'Hold a hand at the shoulder point till the weight shifts and a foot has to go.',
      markAndReward: 'Carry the target across its chest to the far side and mark the near foot that crosses.',
      lightAids: 'A finger at the shoulder, a tap there, and off as the near front steps over.',
    },
  ),
  'turn-front': howTo(
    'From the shoulder take the weight back onto the hocks, then move the front feet round, one crossing at a time.',
    'Lift your energy at the shoulder, count the crossings aloud and rest after each half.',
    {
      standFirst: 'Weight back, stand, one step across, stand; a whole turn can take a minute.',
      markAndReward: 'Lead the nose round with the target and mark the crossings whose hind feet stay.',
      lightAids: 'A feel back, then a touch at the shoulder, each answered before the other.',
    },
  ),
  bend: howTo(
    'Stand at the stirrup place, slide your hand down the rope and set it on your own thigh.',
    'Set the hand and wait through the circle; slack as feet stop and nose softens.',
    {
      standFirst: 'Take the neck round by an inch and hold that inch until it is given.',
      markAndReward: 'Target at the elbow; the rope comes in later as a hint.',
      lightAids: 'Feel, feel again a shade firmer, and drop the rope as the nose turns.',
    },
  ),
  'bow-the-feel': howTo(
    'Lay the rope along the far barrel, step to the rear of its eye at the rope’s end and take up a slow feel.',
    'Let it find the way out by itself, with a feel that never jerks and never leaves.',
    {
      standFirst: 'Wait at the end of the rope as if you had all morning.',
      markAndReward: 'Teach it in pieces: nose away, hip round, face up, each with its mark.',
      lightAids: 'Half a turn by the hip aid first, the rope only follows.',
    },
  ),
  send: howTo(
    'Lead hand points, other hand makes the shoulder go; stand in one spot yourself.',
    'Point, lift, swing; go still with the first step out and leave it to carry on.',
    {
      standFirst: 'Walk beside it and drift away until you find yourself in the middle.',
      markAndReward: 'Send to a far target and mark on the way there.',
      lightAids: 'Point, cluck, tap at the girth; each lap without a reminder earns a halt.',
    },
  ),
  'stop-on-circle': howTo(
    'Breathe out, let your shoulders fall and step a little ahead of its drive line.',
    'Take its hip away if it runs through your breath, and let it rest where it stopped.',
    {
      standFirst: 'Stop your own feet; be there until it notices.',
      markAndReward: 'Name the halt, mark the fourth foot, walk out to feed it on the circle.',
      lightAids: 'Feel on the line, a second feel, a shake; gone when it halts.',
    },
  ),
  'turn-on-line': howTo(
    'Change hands on the line first, then hip, then shoulder, then go, each its own question.',
    'Back up as you draw the nose, then drive the new shoulder past you.',
    {
      standFirst: 'Halt, think, turn, think, walk on: add speed when the thoughts get short.',
      markAndReward: 'Two targets, one each side; mark as the second comes into view.',
      lightAids: 'Three aids in a row, with a breath between, until the breath is all that is left.',
    },
  ),
  'hind-in-motion': howTo(
    'Shorten the line as you walk to its hip and pick the moment when the inside hind leaves the ground.',
    'Walk down the line at the hip and let it find you as the place to stop.',
    {
      standFirst: 'Ask while it walks slowly beside you and let the step itself bring the halt.',
      markAndReward: 'Mark the under-step, not the stop; the stop comes by itself.',
      lightAids: 'Touch in time with the lifting foot; one touch, one crossing.',
    },
  ),
  sideways: howTo(
    'Nose to the fence, you at the girth; ask the hip, ask the shoulder, and then both with one look.',
    'See-saw the two ends till the steps run together, and rest against the fence.',
    {
      standFirst: 'Two steps and a rub, every day two.',
      markAndReward: 'Mark when front and hind leave the ground in one beat.',
      lightAids: 'Shoulder touch, hip touch, then one touch between them.',
    },
  ),
  gap: howTo(
    'Stand outside the post, send the nose first, and let the line run through your fingers.',
    'Send, turn, face, send: the far side of the gap is where it may rest.',
    {
      standFirst: 'Lead through at its own pace until it sighs in the middle.',
      markAndReward: 'Put the target beyond the posts and make the posts come nearer day by day.',
      lightAids: 'Go, halt with the shoulder between, back one, go.',
    },
  ),
  'come-to-block': howTo(
    'Stand on the block, tip the nose past you and lift your far hand over its back.',
    'Make it busy away from the block, easy beside it.',
    {
      standFirst: 'Let it stand anywhere near and come down; nearer tomorrow.',
      markAndReward: 'Hip to the hand is a target like any other.',
      lightAids: 'Tap the far hip lightly until the near one comes; stop at each inch.',
    },
  ),
  poles: howTo(
    'Walk a line that meets the pole in the middle and keep your eyes beyond it.',
    'Send it over and back until it drops its nose to measure.',
    {
      standFirst: 'Stand astride the pole together before you cross it.',
      markAndReward: 'Mark the lowered nose before the lifted foot.',
      lightAids: 'Keep the beat with your aids, and none at the pole itself.',
    },
  ),
  load: howTo(
    'Send from beside the ramp with a rope long enough to walk out on, all doors you can reach open.',
    'Work outside, rest inside, and never shut it in until it chooses to stay.',
    {
      standFirst: 'Stand with the front feet in until they are as quiet as at home.',
      markAndReward: 'Feed at the ramp, on the ramp, at the bar, over weeks.',
      lightAids: 'Go and back are all it takes: one step in, one step out, ten times.',
    },
  ),
}
