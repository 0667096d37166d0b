import { stageEntries } from './entry'

const step = stageEntries(1)

export const MEETING = [
  step(
    'settle-in-pen',
    'Settle in the pen',
    'accept',
    '–',
    "person at the gate · mid-pen · 3 m · arm's length",
    { effort: 'standing' },
  ),
  step('face-up', 'Face up', 'ask', '–', 'looks · turns head · turns body · turns and waits', {
    needs: 'settle-in-pen@2',
    roles: ['stand-caught'],
    effort: 'in-hand',
  }),
  step(
    'loose-direction',
    'Go off loose',
    'ask',
    'LR',
    'goes off · at walk · keeps going a lap · changes to a trot and back when asked',
    { needs: 'settle-in-pen@2', roles: ['go-loose'] },
  ),
  step(
    'loose-turn-in',
    'Turn in loose',
    'ask',
    'LR',
    'half turn in · turns in and leaves · from walk and trot without showing the rump',
    { needs: 'loose-direction@2' },
  ),
  step(
    'draw',
    'Draw',
    'ask',
    '–',
    'one step · three steps · follows a lap · follows, stops when the person stops',
    { needs: 'face-up@3', roles: ['go-loose'] },
  ),
  step('target', 'Target', 'ask', '–', 'looks at it · touches · follows it · leaves it when asked', {
    needs: 'settle-in-pen@2',
    roles: ['go-loose'],
  }),
  step('food-manners', 'Food manners', 'ask', '–', 'looks away from the food hand · waits · takes softly', {
    needs: 'target@1',
    effort: 'standing',
  }),
  step(
    'first-touch',
    'First touch',
    'accept',
    'LR',
    'back of the hand at the wither · neck and shoulder · back and barrel · hip',
    { needs: 'settle-in-pen', effort: 'standing' },
  ),
  step(
    'head-rub',
    'Head rub',
    'accept',
    'LR',
    'cheek · between the eyes · poll* · ears · ears folded forward, eyes covered',
    { needs: 'first-touch@2', effort: 'standing' },
  ),
  step(
    'body-rub',
    'Body rub',
    'accept',
    'LR',
    'belly · girth line · flank* · inside the thigh · under the tail',
    {
      needs: 'first-touch@3',
      exposes: 'reach',
      effort: 'standing',
    },
  ),
  step('mouth-open', 'Open the mouth', 'accept', '–', 'lip · thumb in the corner · opens · dosing syringe', {
    needs: 'head-rub@2',
    exposes: 'reach',
    effort: 'standing',
  }),
]
