import { howTo, type HowToAsk } from './ask'

export const BODY_AND_BIT_ASKS: Record<string, HowToAsk> = {
  laps: howTo(
    'Stand opposite the girth, turn on a spot the size of a bucket and let the line keep its weight.',
    'Send it, then say nothing while it keeps the pace it was given.',
    {
      standFirst: 'Walk a small circle with it and let it choose walk until trot offers itself.',
      markAndReward: 'Mark rhythm, a few strides at first, with the food brought to the circle.',
      lightAids: 'One touch for each change of pace; a lap kept earns a halt.',
    },
  ),
  'stretch-lunge': howTo(
    'On a large circle at an easy trot, feel lightly inward for a stride and give.',
    'Change direction until the neck comes down by itself, then leave it there.',
    {
      standFirst: 'Wait at the walk for the first reach and go home on it.',
      markAndReward: 'Mark the poll that passes below the wither.',
      lightAids: 'Give with the hand each time the nose goes forward, take nothing.',
    },
  ),
  'carry-bit': howTo(
    'Hang it from a headpiece without reins, one wrinkle at most, with nothing near that it can catch on; loose hay on the ground, never a net.',
    'Put it on for the groundwork it knows, and off while the mouth is quiet.',
    {
      standFirst: 'Begin weeks before anything is fastened to it, a few minutes at every visit.',
      markAndReward: 'Let it pick the bit up as a target, at first smeared with something sweet.',
      lightAids: 'Carry it through stop and go on the halter until it forgets that it is there.',
    },
  ),
  'bridle-on': howTo(
    'Right arm between the ears, bit lying on the flat left hand, thumb in the corner.',
    'Ask the head down, and take the bridle away each time it is down.',
    {
      standFirst: 'Rub each ear with the headpiece before it goes through.',
      markAndReward: 'Lips take the bit, mark, crown slides over, mark.',
      lightAids: 'Touch at the poll for low, at the corner for open, and both let go at once.',
    },
  ),
  'give-to-bit': howTo(
    'Stand at the shoulder, close the fingers on one rein, keep the hand against the neck.',
    'Set, wait, and drop the rein to the buckle when the jaw lets go.',
    {
      standFirst: 'Hold what two fingers can hold until it is thinking, and not a gram beyond.',
      markAndReward: 'Pair the halter cue with a feel at the ring, then fade the halter.',
      lightAids:
        'The halter’s stop and turn first, the rein half a second after, until the rein alone will do.',
    },
  ),
  'rope-behind': howTo(
    'Run the line round the quarters from the withers and let it slide down a hand at a time.',
    'Let it walk off from the rope if it must, with the same touch coming along.',
    {
      standFirst: 'Lay it above the tail and chat until the hind feet rest.',
      markAndReward: 'Mark each hock that stays soft as the rope passes.',
      lightAids: 'Bring it on and off in the halts between short leads.',
    },
  ),
  drive: howTo(
    'Stand behind and to one side, a line in each hand through the rings of the collar, helper at the shoulder.',
    'Send from behind the girth as on the circle and steer by opening one line.',
    {
      standFirst: 'The helper leads, you only follow with the lines; the helper fades over days.',
      markAndReward: 'A target walker ahead, your voice cues from behind.',
      lightAids: 'Voice, line, tap: the same three in the same order as in hand.',
    },
  ),
  'drive-on-bit': howTo(
    'Fasten the lines to halter and bit together, and let the bit take over by a share each day.',
    'Ask for the turn on the halter ring and finish it on the bit.',
    {
      standFirst: 'Start with a halt from the voice, where the bit only agrees.',
      markAndReward: 'Mark the soft turn, then end the lesson on it.',
      lightAids: 'Stop, go, one turn each way, from the lightest line that has worked before.',
    },
  ),
}
