import { howTo, type HowToAsk } from './ask'

export const MEETING_ASKS: Record<string, HowToAsk> = {
  'settle-in-pen': howTo(
    'Come in along the fence, stand side-on with your eyes low, and only then shorten the distance.',
    'If it runs, let it, keep to the middle and step back the moment it slows.',
    {
      standFirst: 'Stand where it can stand too, and go out again while it is still quiet.',
      markAndReward: 'Stay outside the fence at first; drop food in a dish and walk off.',
      lightAids: 'Walk in and out on the same line until coming in means nothing.',
    },
  ),
  'face-up': howTo(
    'Stand off its hip, at the edge of what it notices, and make yourself interesting: a step, a rustle, a breath.',
    'Move its hind end with a swing of the rope end; go still when both eyes arrive.',
    {
      standFirst: 'Wait in one spot until it looks, then turn away as its thanks.',
      markAndReward: 'Mark the flick of an ear first, then an eye, then the whole face.',
      lightAids: 'Step towards the hip, and step back with the same foot when it looks.',
    },
  ),
  'loose-direction': howTo(
    'Open the side it should go to, point there, then drive from behind the shoulder, well out of reach of the heels.',
    'Point, cluck, swing; drop all three with the first foot that leaves, and leave it alone while it keeps going.',
    { standFirst: '', markAndReward: '', lightAids: '' },
  ),
  'loose-turn-in': howTo(
    'Walk backwards and across its path until your middle lies ahead of its eye, so that the way round is towards you.',
    'Draw it with your steps back, then send the new shoulder on before it can stop.',
    { standFirst: '', markAndReward: '', lightAids: '' },
  ),
  draw: howTo(
    'From its shoulder turn your toes away, walk off in a curve and look where you go.',
    'Walk off just as it faces up; if it leaves, give it a lap of work and offer again.',
    {
      standFirst:
        'Lay the catch rope over the neck and walk one step; the rope says nothing, your going does.',
      markAndReward: 'Walk with the target at your hip and mark each step it comes along.',
      lightAids: 'Touch the rope forward, walk, and drop the touch inside its first step.',
    },
  ),
  target: howTo('Hold the target a hand from its nose, still, with a fence between you.', '', {
    standFirst: '',
    markAndReward:
      'Mark the touch, feed away from the target; move it a foot further only when five in a row are quick.',
    lightAids: '',
  }),
  'food-manners': howTo('Keep the food at your far hip and your feeding arm straight out from you.', '', {
    standFirst: '',
    markAndReward:
      'Mark the nose turned off, bring the food to where the head should be, and count two before the next.',
    lightAids: '',
  }),
  'first-touch': howTo(
    'Come to the wither at a slant from the shoulder, lay on the back of your hand, and take it off while it still likes it.',
    'Touch when its feet have chosen to stay; if they go, they may, and you begin again as they come back.',
    {
      standFirst: 'Lay the hand on for a breath, rub, go away; three times before you go a hand further.',
      markAndReward: 'Mark while the hand approaches, then while it lies, then while it strokes.',
      lightAids:
        'Use the soft end of the cane first, stroke from the wither back, and lift it off as the skin lies still.',
    },
  ),
  'head-rub': howTo(
    'Stand beside the jaw, slide from the cheek upward, and let the head turn away if it must.',
    'Follow the head with your hand when it goes up; stop moving the moment it comes down.',
    {
      standFirst:
        'Rub between the eyes until the lid sinks, then step off: this rub is the pay for everything later.',
      markAndReward: 'Ask for the chin on your palm, and mark longer stays while the other hand strokes.',
      lightAids: 'Press with a finger at the poll until it lowers by a hair, and take the finger off.',
    },
  ),
  'body-rub': howTo(
    'One hand on the back to feel what is coming, the other rubs from the known to the new and back.',
    'Rub in a rhythm past the ticklish place and out again, never stopping on it.',
    {
      standFirst: 'Rest the whole arm along the flank and wait for the skin to go slack before it travels.',
      markAndReward: 'Say the name of the place before you touch it, and mark the standing.',
      lightAids:
        'Stroke with the cane along belly and thigh, and hold it where a leg lifts until the leg is down.',
    },
  ),
  'mouth-open': howTo(
    'Stand beside the cheek, one hand over the nose, thumb at the corner of the lips where there are no teeth.',
    'Ask with the thumb, and out with it as the jaw gives.',
    {
      standFirst: 'Let it lick the thumb first; the mouth opens by itself when nobody hurries.',
      markAndReward: 'Offer a syringe of something sweet as a target for its lips.',
      lightAids: 'Press lightly at the corner and let go at the first movement of the tongue.',
    },
  ),
}
