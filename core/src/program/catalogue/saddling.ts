import { stageEntries } from './entry'

const step = stageEntries(6)

export const SADDLING = [
  step('surcingle', 'Surcingle', 'accept', '–', 'snug · one hole more · walk* · trot and canter loose', {
    needs: 'girth-rope pad-blanket@4',
    exposes: 'girth girthed-on canter@4',
  }),
  step(
    'side-strings',
    'Side strings',
    'hold',
    '–',
    'breakable string, very long, walk · trot · a little shorter over days',
    { needs: 'surcingle carry-bit@3', exposes: 'bit contact girth' },
  ),
  step(
    'saddle-on',
    'Saddle on',
    'accept',
    'LR',
    'pad and tree set down softly · girth in three goes · stands · led',
    { needs: 'surcingle', exposes: 'girth girthed-on' },
  ),
  step('saddle-wear', 'Wear the saddle', 'hold', '–', '5 min led about · 30 min about the pen alone', {
    needs: 'saddle-on@3',
    exposes: 'girth',
  }),
  step('saddle-move', 'Move in the saddle', 'accept', 'LR', 'walk · trot · stirrups down · poles* · canter', {
    needs: 'saddle-wear@1 send@3',
    exposes: 'girth canter@5',
  }),
  step(
    'weight-in-stirrup',
    'Weight in the stirrup',
    'accept',
    'LR',
    'hand pulls down · knee · bouncing beside',
    { needs: 'saddle-move@3 person-above', neck: true, exposes: 'girth weight@3' },
  ),
]
