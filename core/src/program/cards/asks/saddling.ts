import { howTo, type HowToAsk } from './ask'

export const SADDLING_ASKS: Record<string, HowToAsk> = {
  surcingle: howTo(
    'Draw it up by single holes with a few led steps between, standing clear of the shoulder.',
    'Send it off on the line at once and let it sort its feet out.',
    {
      standFirst: 'Stand with it snug until the back drops, then lead the first step.',
      markAndReward: 'Mark each hole, and the quiet after it.',
      lightAids: 'Halt, hole, one step back, go: small known jobs take its mind off it.',
    },
  ),
  'side-strings': howTo(
    'Long enough that the nose can point straight ahead, of string that one hand could break.',
    'A few laps, then off; the feel is its own, yours is not in it.',
    {
      standFirst: 'Let it stand and move its head about in them before the first walk.',
      markAndReward: 'Mark the nose that reaches forward into the string.',
      lightAids: 'In hand first: go, stop, and the string always slack at the halt.',
    },
  ),
  'saddle-on': howTo(
    'Lift it from the shoulder side and set it down like a sleeping cat; girth low, hole by hole.',
    'On and off in rhythm before any girth is touched.',
    {
      standFirst: 'Set it there and scratch, three mornings running, before you reach under.',
      markAndReward: 'Mark the level back as the weight arrives.',
      lightAids: 'Stand cue before, a touch back if it steps, and off again as it stands square.',
    },
  ),
  'saddle-wear': howTo(
    'Shut the gate, stay in sight and let half an hour do the work.',
    'Loose in the pen with company in view, nothing asked.',
    {
      standFirst: 'Lead it about among its usual places until it yawns.',
      markAndReward: 'Scatter hay so that its head goes down with the saddle on.',
      lightAids: 'Short leads and halts, then leave it to itself.',
    },
  ),
  'saddle-move': howTo(
    'Check the girth after the first walk, then on the line from walk up, one pace a day if need be.',
    'Ask for the pace plainly and let the hump ride itself out.',
    {
      standFirst: 'Let it offer the trot; stirrups come down when the back swings.',
      markAndReward: 'Mark the first even stride after each change.',
      lightAids: 'A change of pace on one touch, and a halt before it can hurry.',
    },
  ),
  'weight-in-stirrup': howTo(
    'From the block, hand in the mane, press down on the stirrup and let up, near side and far.',
    'Bounce beside it in the rhythm of the rope work it knows.',
    {
      standFirst: 'Lean there, breathing slowly, and come down before it sighs twice.',
      markAndReward: 'Mark the widened stance that takes your weight.',
      lightAids: 'Press for one, off for one; press for three, off.',
    },
  ),
}
