import { schoolFrom } from './school'

/** Standing and touch first; the person goes to the horse and nothing is chased. */
export const STAND_FIRST = schoolFrom({
  school: 'stand-first',
  name: 'Stand First',
  version: 1,
  pace: {
    gradedBy: 'wait',
    limits: [1.5, 5, 15, 60],
    phases: ['at once', 'soon', 'after a wait', 'after a long wait'],
  },
  manner: {
    begins:
      'The first touch, the head and the catch rope. → A horse that can stand for a person is not frightened, and only then can it learn.',
    feel: 'Steady and quiet, and never more. → It can work out a feel that does not change; one that grows only frightens it.',
    release: 'When it stands. → Standing is what the whole of this school is built on.',
    fright:
      'Stay where you are; better still, leave just before the feet move. → Leaving early tells it that standing makes you go; leaving late says the same of running.',
    reward: 'A rub between the eyes, and going away. → To a wild thing the best gift is room.',
    lead: 'At the shoulder. → You walk as two horses graze, side by side.',
    halter: 'Early, out of the catch rope. → The rope has already told it what a feel round the head means.',
    build:
      'A little longer each time, at the horse’s own rate, with no aim for the day. → A day’s aim is the handler’s worry, and the horse feels it.',
    leaveOff: 'As good as today allows. → Nobody wins by one more.',
    bit: 'Carried early, weeks before any contact. → By the time it means something it is nothing new.',
    sitting:
      'From the fence, before any saddle, is one way. → Weight without straps can slide off and do no harm.',
    tying: 'Comes out of standing. → A horse that stands does not find the end of the rope.',
  },
  leftOut: ['loose-direction', 'loose-turn-in', 'target', 'food-manners'],
  needs: {
    draw: 'face-up@3 head-rub@3 catch-rope@3',
    'halter-on': 'head-rub@3 catch-rope@2',
    stand: 'catch-rope@2 halter-on@2',
    'give-to-bit': 'carry-bit@4 bend@3',
    tie: 'stand@4 lead-up@3 yield-hind@2 give-to-halter',
  },
})
