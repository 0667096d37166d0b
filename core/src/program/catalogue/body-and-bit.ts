import { stageEntries } from './entry'

const step = stageEntries(5)

export const BODY_AND_BIT = [
  step(
    'laps',
    'Laps',
    'hold',
    'LR',
    'walk laps · trot a few · steady trot, both reins even · 10 min a rein',
    { needs: 'send@3' },
  ),
  step(
    'stretch-lunge',
    'Stretch on the lunge',
    'hold',
    'LR',
    'neck reaches down · nose ahead of the vertical · swings, round hocks · whole session',
    { needs: 'laps@2' },
  ),
  step(
    'carry-bit',
    'Carry the bit',
    'hold',
    '–',
    'held in the lips · 5 min · 20 min quiet · with lead work on the halter',
    { needs: 'mouth-open@3', exposes: 'bit' },
  ),
  step(
    'bridle-on',
    'Bridle on',
    'accept',
    'LR',
    'headpiece against the ear · over one · over both · off without the bit knocking',
    { needs: 'head-rub@5 carry-bit@2', exposes: 'bit' },
  ),
  step(
    'give-to-bit',
    'Give to the bit',
    'ask',
    'LR',
    'tip of the nose · halfway · to the stirrup place · step back from a light feel',
    { needs: 'carry-bit@3 bend@3', exposes: 'bit contact' },
  ),
  step(
    'rope-behind',
    'Rope behind',
    'accept',
    'LR',
    'butt rope still · snug at walk · both lines touching the hocks',
    { needs: 'rope-over@4 girth-rope@2', exposes: 'reach lines' },
  ),
  step(
    'drive',
    'Drive on long lines',
    'ask',
    'LR',
    'walk from behind with a helper · walk and whoa · turns, outside line sliding · figures · out of the pen',
    { needs: 'rope-behind@2 give-to-halter', exposes: 'lines away@5' },
  ),
  step('drive-on-bit', 'Drive on the bit', 'ask', 'LR', 'whoa · turns · figures, a step back', {
    needs: 'drive@3 give-to-bit@3',
    exposes: 'lines bit contact',
  }),
]
