import { schoolFrom } from './school'

/** Control of the feet first, calm out of it. Food has no part in it, so neither has what keeps food polite. */
export const FEET_FIRST = schoolFrom({
  school: 'feet-first',
  name: 'Feet First',
  version: 1,
  pace: {
    gradedBy: 'phases',
    limits: [1.5, 4.5, 7.5, 12],
    phases: ['thought', 'light', 'firm', 'strong'],
  },
  manner: {
    begins:
      'Direction loose in the pen, the turn in, and drawing to you. → A horse that can leave and is sent, turned and drawn learns that you are the one who decides; calm comes after.',
    feel: 'Rhythmic, bumping, each phase about double the one before; never a dead pull. → A horse leans on what is steady and looks for the end of what comes and goes.',
    release: 'At the first try. → What it was doing when the feel ended is what it will offer next.',
    fright:
      'Keep the same level until the feet are still and it loosens, then leave. → Going away while it runs would teach it that running works.',
    reward:
      'Rest, slack and a rub. → Rest after movement is worth most to it, and it needs nothing in your pocket.',
    lead: 'Behind you, on a slack rope. → You can be seen and followed, and your back is clear of its shoulder.',
    halter: 'After it draws to you. → A horse that comes by itself puts its head down into the halter.',
    build: 'Big at first, then refined. → The whole movement is easier to find than half of it.',
    leaveOff: 'On a clearly better answer. → The last thing done is kept overnight.',
    bit: 'After all the halter work. → The mouth only learns a new place for old answers.',
    sitting: 'From the saddle. → It has worn it through every pace, and it holds you in a jump.',
    tying: 'In stages with a neck collar. → Giving to a steady pull is learnt before there is one.',
  },
  leftOut: ['target', 'food-manners'],
  needs: {
    'halter-on': 'head-rub@3 draw@3',
    'rope-over': 'halter-on@2 loose-direction@3 yield-hind@2',
    'ground-sheet': 'lead-up@3 loose-direction@3 yield-hind@2',
    'strange-places': 'lead-up@3 loose-direction@3 yield-hind@2',
  },
})
