import { stageEntries } from './entry'

const step = stageEntries(2)

const FOOT_RUNGS =
  'rope rubbed down, no strike at a rope in front · leg led forward by rope · hand down the leg, foot stays · lifted and set down · toe rests on the boot · held 30 s · hammer taps, apron* · between the knees · on a stand, forward and back'

export const HALTER = [
  step(
    'catch-rope',
    'Catch rope',
    'accept',
    '–',
    'rope on the neck · stands with head to the person · handled on the rope',
    { needs: 'settle-in-pen@3', roles: ['stand-caught'], effort: 'standing' },
  ),
  step(
    'halter-on',
    'Halter on',
    'accept',
    'LR',
    'nose through · poll strap · off and on three times · from either side',
    { needs: 'head-rub@3', exposes: 'halter', effort: 'standing' },
  ),
  step(
    'give-to-halter',
    'Give to the halter',
    'ask',
    'LR',
    'tip of the nose · one step to the side · both feet',
    {
      needs: 'halter-on@2',
      effort: 'in-hand',
    },
  ),
  step(
    'step-back',
    'Step back',
    'ask',
    '–',
    'weight back · one step · 2 steps · 4 counted steps, straight, from a light shake',
    { needs: 'give-to-halter@2', effort: 'in-hand' },
  ),
  step(
    'lead-up',
    'Lead up',
    'ask',
    '–',
    'one step · 4 straight steps · across the pen · walk, stop, walk with slack',
    { needs: 'give-to-halter@2', effort: 'in-hand' },
  ),
  step(
    'stand',
    'Stand',
    'hold',
    '–',
    '5 s beside · 30 s beside · 30 s at 1 m* · 2 min at 3 m · rope on the ground',
    { needs: 'lead-up@2', neck: true, effort: 'standing' },
  ),
  step(
    'tail-hold',
    'Hold the tail',
    'accept',
    'LR',
    'hand on · lifted · moved side to side · rope under the tail',
    { needs: 'body-rub@3', exposes: 'reach', effort: 'standing' },
  ),
  step('foot-front', 'Front foot', 'accept', 'LR', FOOT_RUNGS, {
    needs: 'give-to-halter@2 first-touch',
    exposes: 'reach feet',
    effort: 'standing',
  }),
  step('foot-hind', 'Hind foot', 'accept', 'LR', FOOT_RUNGS, {
    needs: 'foot-front@4 body-rub@3',
    exposes: 'reach feet hind-feet',
    effort: 'standing',
  }),
  step(
    'tie',
    'Tie',
    'hold',
    '–',
    'gives to a steady pull · looped, not fast · neck collar beside a calm horse · moved side to side while tied* · 30 min in the halter',
    { needs: 'lead-up@3 yield-hind@2 give-to-halter', exposes: 'tied@1-2 tied-fast@3', effort: 'in-hand' },
  ),
]
