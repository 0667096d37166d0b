import { card, type CardText } from './card'
import { CIRCLE, FIT, SECOND } from './cautions'

export const SADDLING_CARDS: Record<string, CardText> = {
  surcingle: card(
    'The first thing that stays on it when it moves, and goes with it wherever it runs.',
    'It walks and breathes with it snug, back level, tail swinging.',
    {
      faults: [
        'Bucks → let it move round a safe pen, keep out of its way, leave it on till it is dull.',
        'Freezes with a humped back → one hole looser and one step sideways.',
      ],
      kit: ['surcingle', 'pad', 'pen of 15 m with a solid fence'],
      cautions: [
        'Snug enough not to turn under the belly.',
        'Stand clear of the shoulder for the first steps.',
      ],
    },
  ),
  'side-strings': card(
    'A very long, light contact that breaks: it may lean on it once and find nothing there.',
    'It walks and trots with its nose ahead of the vertical and the string slack at each halt.',
    {
      faults: [
        'Steps back from it → off, and longer by a hand tomorrow.',
        'Hangs its weight in it → take it off; this horse is not for strings.',
      ],
      kit: ['two strings of baler twine or wool', 'surcingle with rings'],
      cautions: [
        'Too short teaches backing and rearing.',
        'String that one hand can break, always; never leather or rope.',
      ],
    },
  ),
  'saddle-on': card(
    'Down softly and girthed in three goes, from both sides, until it is a dull thing.',
    'Four feet stay, the back stays level and the ears come back to you after each hole.',
    {
      faults: [
        'Steps off as the tree comes → take it away and go back to the pad.',
        'Blows itself up → lead six steps between one hole and the next.',
      ],
      kit: ['an old saddle that fits, without stirrups', 'pad', 'girth with elastic'],
      cautions: [
        FIT,
        'Do not let it swing loose under the belly: two hands at the girth until the second hole.',
      ],
    },
  ),
  'saddle-wear': card(
    'The odd feel goes by itself when it is given time.',
    'It moves, drinks, shakes and rests a leg with the saddle on.',
    {
      faults: [
        'Bucks on and on → leave it on until ten quiet minutes have gone by.',
        'Lies down to roll → get it up and walk it.',
      ],
      kit: ['an old saddle', 'safe pen with nothing to hang up on'],
      cautions: [FIT, 'In sight all the time; a slipped saddle in an empty pen breaks legs.'],
    },
  ),
  'saddle-move': card(
    'Walk and trot with the saddle before any pace with a person, and canter when it is old enough.',
    'Even paces on both reins, stirrups swinging against its ribs and its back soft.',
    {
      faults: [
        'Humps in the first trot → walk and trot by turns, ten strides each.',
        'Kicks at the stirrups → run them up and rub the ribs with one in your hand.',
      ],
      kit: ['saddle with stirrups', 'line of 7 m', 'three poles'],
      cautions: [FIT, CIRCLE, 'Canter under the saddle only from 36 months.'],
    },
  ),
  'weight-in-stirrup': card(
    'Weight on one side comes before weight on top.',
    'It widens its stance, squares up and stands while the weight comes and goes.',
    {
      faults: [
        'Steps towards you → hold less, and let it find where its own feet must be.',
        'Walks off from the block → back to standing there with no saddle.',
      ],
      kit: ['saddle', 'block that cannot tip', 'helmet', 'a helper'],
      cautions: [SECOND, 'Toe only, and out at once when it moves.'],
    },
  ),
}
