import { stageEntries } from './entry'

const step = stageEntries(4)

export const MOVING = [
  step(
    'yield-hind',
    'Hind yield',
    'ask',
    'LR',
    'one step, inside hind crosses in front · two · quarter turn · half turn from a look* · out of a walk',
    { needs: 'give-to-halter@2', neck: true, effort: 'in-hand' },
  ),
  step('yield-shoulder', 'Shoulder yield', 'ask', 'LR', 'weight back · one crossing step · quarter', {
    needs: 'yield-hind@2 step-back@2',
  }),
  step(
    'turn-front',
    'Turn on the haunches',
    'ask',
    'LR',
    'half · 360°, the front feet round the hind ones, within a metre',
    {
      needs: 'yield-shoulder',
    },
  ),
  step('bend', 'Bend', 'ask', 'LR', 'tip of the nose · halfway · to the stirrup place · waits there slack', {
    needs: 'give-to-halter@2',
    neck: true,
    effort: 'in-hand',
  }),
  step(
    'bow-the-feel',
    'Unwind from the rope',
    'ask',
    'LR',
    'rope at the barrel · at the hip, unwinds with one step · unwinds all round · then walks up',
    { needs: 'bend@2 yield-hind@2 rope-over@3' },
  ),
  step(
    'send',
    'Send',
    'ask',
    'LR',
    'one step out · half a circle · a slack circle at walk · trot from a point* · 3 laps kept without nagging',
    { needs: 'step-back@3 yield-hind@2 yield-shoulder@2 lead-up@2' },
  ),
  step(
    'stop-on-circle',
    'Stop on the circle',
    'ask',
    'LR',
    'slows · stops and faces · stops straight* · stops at a chosen mark on a breath',
    { needs: 'send@2', neck: true },
  ),
  step(
    'turn-on-line',
    'Turn on the line',
    'ask',
    'LR',
    'stops and turns · at walk · at trot, hind then shoulder then go',
    { needs: 'send@3 yield-hind@3 yield-shoulder@2' },
  ),
  step('hind-in-motion', 'Hind yield on the move', 'ask', 'LR', 'yields to stop · yields and goes on', {
    needs: 'send@3 yield-hind@3',
  }),
  step(
    'sideways',
    'Sideways',
    'ask',
    'LR',
    'two steps to a fence · fence length* · off the fence · on the circle',
    { needs: 'yield-hind@3 yield-shoulder >4:stop-on-circle' },
  ),
  step(
    'gap',
    'Through a gap',
    'ask',
    'LR',
    "3 m wide · 2 m · arm's length at walk* · stands in it · past hung tack",
    {
      needs: 'send@2',
    },
  ),
  step(
    'come-to-block',
    'Come to the block',
    'ask',
    'LR',
    'hip one step in · parallel to the fence · stands under a person',
    { needs: 'yield-hind@3 sideways@1 person-above@2 stand@2' },
  ),
  step(
    'poles',
    'Poles',
    'hold',
    '–',
    'one · three at walk · three at trot* · raised or a log · alone on the line',
    { needs: 'send@3', exposes: 'jump@4-4' },
  ),
  step(
    'load',
    'Load',
    'hold',
    '–',
    'looks in · front feet · all in · stands 5 min · backs out step by step',
    { needs: 'gap@3 step-back@3 ground-sheet@3', exposes: 'away loading' },
  ),
]
