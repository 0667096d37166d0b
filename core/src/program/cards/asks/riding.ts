import { howTo, type HowToAsk } from './ask'

export const RIDING_ASKS: Record<string, HowToAsk> = {
  'lie-over': howTo(
    'From the block lean across until your belly lies over, legs hanging, and slide off the way you came; never jump up.',
    'Up and off in rhythm till the hump has gone, both sides alike.',
    {
      standFirst: 'Lie for a breath and be gone; a second breath tomorrow.',
      markAndReward: 'Helper marks the still feet while you lie.',
      lightAids: 'Stand cue, weight, stand cue; the helper touches back if it walks.',
    },
  ),
  'foot-in': howTo(
    'Hold mane and rein, put your toe in the stirrup, turned away from its ribs, rise straight and look over its far ear.',
    'Pull the nose a little to you, so that if it goes it goes round.',
    {
      standFirst: 'Stay half up until it turns an ear to you, come down on that ear.',
      markAndReward: 'Let it see the food hand on the far side as your head comes over.',
      lightAids: 'Up for a count, down for a count, a longer count each time.',
    },
  ),
  sit: howTo(
    'Sit down as on eggs, feet free of the stirrups at first, hand on the neck, and breathe.',
    'A second and down; bend it each way once it breathes under you.',
    {
      standFirst: 'Rub everywhere you can reach and leave the rest alone.',
      markAndReward: 'The first food comes from the saddle, from either side.',
      lightAids: 'One touch of the old stand cue, then off on the side it knows; the other side comes later.',
    },
  ),
  'stand-to-mount': howTo(
    'Line it up, pick up the rein, put your foot up: at each stage it waits or you go back one.',
    'Work it away from the block, rest at the block.',
    {
      standFirst: 'Take as long at each stage as it takes.',
      markAndReward: 'Mark the wait after you are up, not the getting up.',
      lightAids: 'One touch of the rein for each step it takes, then begin again.',
    },
  ),
  'led-ride': howTo(
    'Helper on the halter line at the shoulder; each cue comes first from you, and only then from the ground.',
    'You cluck and open your hands; the helper walks on if nothing comes of it.',
    {
      standFirst: 'Sit like a sack for a day; ask on the next.',
      markAndReward:
        'You give the new cue, the helper the old one, the marker follows the old until it follows the new.',
      lightAids: 'Leg, half a second, helper’s aid; the leg goes off inside the step.',
    },
  ),
  'ride-perimeter-led': howTo(
    'Once round in hand, once round with you up, helper between the horse and the middle.',
    'Where it balks, turn it and show that corner again from the other way.',
    {
      standFirst: 'Stop in each corner until it has looked long enough.',
      markAndReward: 'Mark every corner passed, feed past it.',
      lightAids: 'Go, stop, go: the same aids at the far fence as at the gate.',
    },
  ),
  'ride-bend': howTo(
    'Slide one hand down the rein, set it on your thigh, leg quiet, and wait for nose, hip and stop.',
    'Set and wait; let go as the hind foot crosses and the feet stop.',
    {
      standFirst: 'At the halt alone until the nose comes like butter.',
      markAndReward: 'The rein is a target line it knows; mark the hip.',
      lightAids: 'Rein, rein a shade more, leg behind the girth; all gone at the crossing.',
    },
  ),
  'ride-go-stop': howTo(
    'Look up and think forward, both legs close like a book, and off with them as it steps; sit deep to stop.',
    'Ask, and if nothing comes, one or two taps where the ground cue lay, and no more.',
    {
      standFirst: 'Wait for the offered step, then ride it as if you had asked.',
      markAndReward: 'Old voice cue first, leg next, voice dropped when the leg is known.',
      lightAids: 'Leg, tap at the girth; seat, rein; a clear answer to one before the other.',
    },
  ),
  'ride-steer': howTo(
    'Turn your eyes and belly button to the mark, open the inside rein and give with the outer.',
    'Point its nose, and move the shoulder over with the knee if it leans.',
    {
      standFirst: 'Long curves between trees; no corner until curves are easy.',
      markAndReward: 'Ride from target to target.',
      lightAids: 'Rein to turn, leg to step over, never both in one breath at first.',
    },
  ),
  'ride-perimeter': howTo(
    'Ride a horse’s width off the fence and look through each corner to the next.',
    'Leave the fence before it wants to and come back when it is soft.',
    {
      standFirst: 'Walk the whole of it before any of it is trotted.',
      markAndReward: 'Keep the reward for the far end.',
      lightAids: 'A halt at each post you name.',
    },
  ),
  'ride-canter': howTo(
    'From a trot that could go on all day, fold a little forward, keep the hands low and let it roll.',
    'Out of a turn towards the fence, a few strides, then rest.',
    {
      standFirst: 'Let it fall into canter behind a quiet horse and praise the first three strides.',
      markAndReward: 'Use the word it knows from the line.',
      lightAids: 'Outside leg, tap, off; down to trot from seat and one light rein.',
    },
  ),
  'ride-contact': howTo(
    'Shorten the rein until it has a weight like a handshake, and follow the nod of the head.',
    'Pick up soft, drop it when it is soft back.',
    {
      standFirst: 'Offer your hand and let the nose come down to find it.',
      markAndReward: 'Mark the mouth that stays while the stride goes on.',
      lightAids: 'Three strides with, three without.',
    },
  ),
  'ride-poles': howTo(
    'Ride the middle of the pole, eyes up, hands forward on the neck.',
    'Over it both ways until it drops its head and looks.',
    {
      standFirst: 'Follow a calm horse the first time.',
      markAndReward: 'Mark the even beat on the far side.',
      lightAids: 'No leg at the pole: set the walk before and leave it be.',
    },
  ),
  'ride-out': howTo(
    'Choose the round it knows from being led, in company, and come home while all is well.',
    'Move its feet where it worries, rest it where it was worst.',
    {
      standFirst: 'Go as far as it stays loose and turn there.',
      markAndReward: 'Carry the pouch; mark looks and goings-on.',
      lightAids: 'Stop and go each time the road changes.',
    },
  ),
  'ride-small-fence': howTo(
    'Trot a straight line from poles to a cross no higher than its knee, heels down, mane in hand.',
    'Let it look from both sides first, then ride on as if it were a pole.',
    {
      standFirst: 'Lead it over in hand that same week.',
      markAndReward: 'Stop on the first clean one and make much of it.',
      lightAids: 'Same pace before, over and after; halt straight beyond it.',
    },
  ),
}
