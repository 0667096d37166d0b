import { card, type CardText } from './card'
import { HEELS } from './cautions'

const LOOSE_KIT = ['gloves', 'catch rope or light flag', 'pen of 12 to 15 m, safe fence']

export const MEETING_CARDS: Record<string, CardText> = {
  'settle-in-pen': card(
    'It learns that a person in the pen is no reason to leave.',
    'All four feet quiet and the neck out of its high position while you stand where the rung says.',
    {
      faults: [
        'Runs the fence when you step in → go back to the last distance at which it stood, and wait there.',
        'Stands frozen, breath held → step away before it has to; a frozen horse is not a settled one.',
      ],
      kit: ['gloves', 'boots with a heel', 'water and shade in the pen'],
      cautions: ['Keep a way out for both of you. An untouched horse in a corner can come over you.'],
    },
  ),
  'face-up': card(
    'The eyes and then the whole front turn to you, so that you are met and not left.',
    'It brings both eyes to you, then the shoulders, and its feet stay.',
    {
      faults: [
        'Looks and drifts off → ask again sooner, and let go at the look.',
        'Turns its rump → send it on a few steps, then offer the look again. | go out of reach and wait for an ear before you come back. | go out of reach, and mark the first eye that comes round. | step back out of reach, then one quiet cue at the hip.',
      ],
      kit: LOOSE_KIT,
      cautions: [HEELS],
    },
  ),
  'loose-direction': card(
    'It goes where you send it and keeps going, which is the start of steering and of trust in your signals.',
    'It leaves on the first quiet signal, on the side you chose, without kicking out.',
    {
      faults: [
        'Bolts off → smaller signal from further away; pressure off as soon as a foot moves.',
        'Kicks towards you → more distance, and yield the hindquarters on a rope before going on.',
      ],
      kit: LOOSE_KIT,
      cautions: [HEELS, 'Short spells and even on both reins: small circles load young joints.'],
    },
  ),
  'loose-turn-in': card(
    'It changes direction towards you, so that its eyes and not its heels come round.',
    'Front feet cross towards you and the rump never points at you.',
    {
      faults: [
        'Turns out to the fence → step back and to the front of it earlier, so that there is room to turn in.',
        'Stops half turned → walk it on at once; the turn has two halves.',
      ],
      kit: LOOSE_KIT,
      cautions: [HEELS],
    },
  ),
  draw: card(
    'It comes with you of its own will, which makes catching and leading easy.',
    'It takes the step towards you on a slack feel and stops when you do.',
    {
      faults: [
        'Comes too close → back it up from its chest before it arrives, not after.',
        'Sticks → walk away in a curve rather than pull; leave at one step.',
      ],
      kit: LOOSE_KIT,
      cautions: ['A horse that crowds you is not drawing: keep your own space.'],
    },
  ),
  target: card(
    'A clear place to put its nose gives you a way to ask without any pressure.',
    'It touches the target with its nose and goes where the target goes.',
    {
      faults: [
        'Bites it → mark earlier, at the touch.',
        'Loses interest → fewer tries, and put the target away while it still wants it.',
      ],
      kit: ['target on a stick', 'marker', 'pouch'],
      cautions: ['Begin with a fence between you.'],
    },
  ),
  'food-manners': card(
    'Food comes to a polite horse only, so that hands stay whole.',
    'Its nose points away from the food hand and it waits for the food to be brought.',
    {
      faults: [
        'Mugs the pouch → stand still, hand closed, and mark the moment it looks away.',
        'Snatches → feed from a flat dish until the lips are soft.',
      ],
      kit: ['pouch', 'hay pellets or the like', 'flat dish'],
      cautions: ['Stop using food with a horse that bites for it, and work with a fence between.'],
    },
  ),
  'first-touch': card(
    'The hand may arrive and, above all, leaves again.',
    'It stays on its feet when the back of the hand lies on it, and does not lean away.',
    {
      faults: [
        'Leans or steps off → touch further forward, and go as soon as it tries to stay. | touch further forward and take the hand away before it moves. | further forward, and mark the hand that only comes near. | touch further forward, shorter, and off again inside the second.',
        'Ticklish skin jumps → a firm flat hand, never a tickle.',
      ],
      kit: ['gloves off if it is safe', 'long cane with a soft end'],
      cautions: [
        'Touched and startled: leave the hand there rather than jump back.',
        'Stand at the shoulder, not in front.',
      ],
    },
  ),
  'head-rub': card(
    'Every later halter, bridle and mouth check goes over the head.',
    'The head stays low and still under the hand on both sides; ears come to you.',
    {
      faults: [
        'Head goes up → follow with the hand and leave when it comes down.',
        'One ear is touchy → rub past it, not at it, and count three between tries.',
      ],
      kit: ['gloves off if it is safe'],
      cautions: ['Keep your face away from its head: it can swing faster than you.'],
    },
  ),
  'body-rub': card(
    'Girth, flank and legs will all be handled; it should think nothing of it.',
    'It stands with a slack skin while the hand moves, and cocks or rests a leg if it likes.',
    {
      faults: [
        'Swishes or lifts a leg → go back a hand’s width, rub there till it stops.',
        'Tucks its tail → stay at the hip until the tail hangs.',
      ],
      kit: ['cane with a soft end'],
      cautions: ['Keep a hand on its back and your feet beside it, never behind.'],
    },
  ),
  'mouth-open': card(
    'A dosing syringe today and a bit one day go in without a fight.',
    'It opens when the thumb comes to the corner of its lips and keeps its head where it was.',
    {
      faults: [
        'Throws up its head → the other hand lies on the nose first, and leaves with the thumb.',
        'Chews the thumb → only the corner, where there are no teeth.',
      ],
      kit: ['clean hands', 'dosing syringe with something it likes'],
      cautions: ['Fingers only where the gap in the teeth is. Sore or bleeding gums: call the vet.'],
    },
  ),
}
