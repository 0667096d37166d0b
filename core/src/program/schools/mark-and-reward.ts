import { schoolFrom } from './school'

/** A mark says which moment was right, and food or a scratch follows; begun with a fence between. */
export const MARK_AND_REWARD = schoolFrom({
  school: 'mark-and-reward',
  name: 'Mark and Reward',
  version: 1,
  pace: {
    gradedBy: 'wait',
    limits: [2, 5, 10, 20],
    phases: ['at the cue', 'after a thought', 'second cue', 'smaller rung'],
  },
  manner: {
    begins:
      'A target and a marker, with a fence between. → It can leave at any time, so every try is its own.',
    feel: 'A few ounces, as information and no more. → A feel that never grows needs nothing to run from.',
    release:
      'At the mark, which may come before the feel ends. → The mark is what it listens for; the slack is only manners.',
    fright: 'Smaller, and further away. → Over its threshold it learns fear and nothing else.',
    reward: 'The marker, then food or a scratch. → It pays in what the horse would choose.',
    lead: 'At the shoulder. → The food comes where the head should be.',
    halter: 'After it targets the halter. → It puts its own nose in, or it is not ready.',
    build: 'Step by small step towards the whole. → Each step is paid, so none is a leap.',
    leaveOff: 'At the first real try of something new. → A short lesson that ended well is asked for again.',
    bit: 'Late, near three. → Everything else is there by then. The teeth go on changing until about five, so a vet looks again every year.',
    sitting:
      'After it targets the block and is leaned on. → It brings itself to the block, which is its yes.',
    tying: 'As a long stand, last. → It stays because staying pays; the rope only says so.',
  },
  leftOut: ['loose-direction', 'loose-turn-in'],
  needs: {
    draw: 'face-up@3 target@3',
    stand: 'target@3 food-manners@2',
    'halter-on': 'head-rub@3 target@3 draw@3 stand@2 food-manners@2',
    'carry-bit': 'mouth-open@4 bend@3 stand@4',
    'come-to-block': 'yield-hind@3 sideways@1 person-above@2 stand@2 target@4',
    'lie-over': 'weight-in-stirrup come-to-block stand person-above',
    tie: 'stand@5 lead-up@4 yield-hind@3 give-to-halter',
  },
  leastMonths: { 'first-bit': 36 },
})
