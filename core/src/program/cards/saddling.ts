import { card, type StepCard } from './card'

const FIT = 'A fitter checks the saddle on this horse; a growing back changes in weeks.'

export const SADDLING_CARDS: Record<string, StepCard> = {
  surcingle: card(
    'The first thing that stays on when it moves.',
    'It walks and breathes with it snug.',
    ['Bucks → let it move in a safe pen, do not hold it.', 'Freezes → loosen, lead a step.'],
    ['surcingle', 'pad', 'safe pen'],
    ['Snug enough not to turn under the belly.', 'Stay out of the way of the first steps.'],
  ),
  'side-strings': card(
    'A very long, light contact that breaks.',
    'It walks and trots with its nose ahead.',
    ['Goes back → longer or off.', 'Leans → off.'],
    ['breakable string'],
    ['Too short teaches backing and rearing. String that breaks, always.'],
  ),
  'saddle-on': card(
    'Down softly, girth in three goes, from both sides.',
    'It stands on a slack rope with a level back.',
    ['Steps off → take it away and begin with the pad.', 'Blows up → walk between the holes.'],
    ['an old saddle that fits', 'pad', 'girth'],
    [FIT],
  ),
  'saddle-wear': card(
    'The odd feel goes away by itself when there is time.',
    'It moves, drinks and rests with the saddle on.',
    ['Bucks loose → leave it on until it has been quiet for ten minutes.', 'Rolls → up and walk.'],
    ['an old saddle', 'safe pen, no water trough to hang on'],
    ['Never alone out of sight.', FIT],
  ),
  'saddle-move': card(
    'Every pace with the saddle before any pace with a person.',
    'Even paces with stirrups swinging.',
    ['Humps in trot → walk and trot by turns.', 'Kicks at the stirrups → up again, rub with them.'],
    ['saddle', 'line of 7 m'],
    [FIT, 'Canter only by age.'],
  ),
  'weight-in-stirrup': card(
    'Weight on one side comes before weight on top.',
    'It squares up and stands while the weight comes and goes.',
    ['Steps to you → let it find its balance, lighter.', 'Walks off → back to standing at the block.'],
    ['saddle', 'helmet', 'helper'],
    ['Helmet on, a helper within call.', 'Foot out at once when it moves.'],
  ),
}
