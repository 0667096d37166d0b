import { schoolFrom } from './school'

/** Small clear aids, each answered before the next is taught: stop, then go, then turn, then yield. */
export const LIGHT_AIDS = schoolFrom({
  school: 'light-aids',
  name: 'Light Aids',
  version: 1,
  pace: {
    gradedBy: 'aids',
    limits: [0.5, 1.5, 2.5, 5],
    phases: ['the cue', 'light aid', 'more', 'taps'],
  },
  manner: {
    begins:
      'The stick as a harmless thing, then step back and lead up as stop and go. → Brakes and gas come before steering, as in any machine that can hurt you.',
    feel: 'Light, then more in the next second or step, then a tap no harder than you would bear on your own skin. → One small aid with a clear end is learnt faster than a big one.',
    release: 'Within the step. → A step later it pays the wrong foot.',
    fright: 'Keep the legs slow, and go smaller. → Fast legs feed the fright; slow ones starve it.',
    reward:
      'A scratch at the wither. → It lowers the heart rate (Feh and de Mazières 1993), and the hand is there anyway.',
    lead: 'At the shoulder, touching where a rider’s leg will be. → The aid moves up with you and means the same.',
    halter: 'From the start. → It is how the first two aids are given.',
    build:
      'A try, the whole, light and prompt, then keeping its rhythm, both sides, and elsewhere. → Each quality is asked for when the one before is sure.',
    leaveOff: 'After the same short closing check each time. → What is checked every day cannot slip unseen.',
    bit: 'Carried, then the signals for stop and go are moved to it. → It answers a known question from a new place.',
    sitting: 'From the saddle. → The leg lies where the stick has touched.',
    tying: 'In stages. → A steady pull is only the go aid that waits.',
  },
  leftOut: ['loose-direction', 'loose-turn-in', 'target', 'food-manners'],
  needs: {
    'stick-string': 'halter-on@2',
    'give-to-halter': 'halter-on@2 stick-string@2',
    'lead-up': 'give-to-halter@2 step-back@2',
    'yield-shoulder': 'step-back@2 lead-up@3',
    'yield-hind': 'give-to-halter@2 yield-shoulder@2',
    'give-to-bit': 'carry-bit@3 bend@3 step-back lead-up',
  },
})
