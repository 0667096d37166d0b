/** What a page is for, and which of the product's terms stand on it, by what the page is called. */
interface PageHelp {
  readonly what: string
  readonly terms: readonly string[]
}

const STATES = ['New, Started, Coming, Solid', 'Rusty, Slipped']

export const PAGE_HELP: Readonly<Record<string, PageHelp>> = {
  Before: {
    what: 'What this horse does today and why, burst by burst. Touch a length of the rope for its reason; drag or use the arrow keys to change the order. What you set out to do waits in the pen.',
    terms: ['Burst', 'Step, rung', 'Load day', 'Gate'],
  },
  Pen: {
    what: 'One horse, one burst. Press as you ask, press again as it answers; then say how it felt. Nothing is lost without signal.',
    terms: [
      'First ask of the day',
      'On the thought, light, firm, strong',
      'Loose, watchful, tight',
      'By chance, did it unasked',
    ],
  },
  After: {
    what: 'The sessions of this horse, newest first: what was answered, what it changed, and where to go on. Touch a step to correct an answer. Confirm the session when it is right.',
    terms: ['Loose, watchful, tight', ...STATES, 'From memory'],
  },
  Week: {
    what: 'Who works which horse when. Plan the week, move what you know better, and the rest is planned around it; touch a visit for why it stands there. What was done stands below.',
    terms: ['Load day'],
  },
  'What a week is planned from': {
    what: 'Hours and roles of the people, how often each horse is to be worked and by when, places, wishes and rules: what every week is planned from. A calendar can be fed from here, and its busy times read.',
    terms: ['Load day', 'Gate'],
  },
  Yard: {
    what: 'All horses, to search, sort and choose from, and what is due in the yard.',
    terms: ['Gate', 'Load day'],
  },
  Line: {
    what: 'Everything this horse learns, on one rope from first handling to hand-over. A pair of scales is a step, its left and right side; a post is a gate. Touch a step for its evidence.',
    terms: ['Chance', ...STATES, 'Holds to', 'Gate'],
  },
  Steps: {
    what: 'The same as the rope, as a table.',
    terms: ['Chance', ...STATES, 'Holds to'],
  },
  Step: {
    what: 'How one step stands on each side and what that is judged from: the newest answers, the chance over days, and what is still missing.',
    terms: ['Chance', 'Holds to', 'First ask of the day', ...STATES],
  },
  'How it goes': {
    what: 'Each skill by how it answers and how it feels: low and left is where it is both responsive and relaxed. Below, what moved and what is one-sided.',
    terms: ['Chance', 'Loose, watchful, tight', 'Talent, ease, speed'],
  },
  Record: {
    what: 'Everything recorded of this horse in one time line. Filter it, or add to it by one button.',
    terms: ['Burst', 'From memory'],
  },
  'Checks and incidents': {
    what: 'Looks at feet, mouth and saddle, holds by the vet, and what went wrong. What may be asked hangs on them.',
    terms: ['Gate'],
  },
  Body: {
    what: 'How heavy and how grown this horse is, what may sit on it, and whether it gains or loses, from a tape and a stick.',
    terms: [],
  },
  Cues: {
    what: 'How this horse is asked: one signal, one meaning. What it cannot tell apart is said, and what still wants a ridden twin.',
    terms: [],
  },
  Things: {
    what: 'What of the yard this horse was shown, when to show it again, and how the next new thing is likely to go.',
    terms: [],
  },
  Care: {
    what: 'Hooves, worms, teeth, saddle and the rest: when each is due, from what was done.',
    terms: [],
  },
  Tack: {
    what: 'What this horse wears, whether the check of its saddle still holds, and how far its mouth is from a contact.',
    terms: [],
  },
  Law: {
    what: 'What your country or body asks: least ages, helmets, minors, welfare, transport, each with its source and day. A least age can only be raised by it; the rest is shown where it applies.',
    terms: ['Gate'],
  },
  'First time up': {
    what: 'A run sheet for two: who does what at each stage, three loose ones on each side before the next, back a stage at a tight one. The other phone follows as it is logged; without signal each shows its own.',
    terms: ['Loose, watchful, tight'],
  },
  'Poles and fences': {
    what: 'How far apart poles and fences stand for this horse, drawn to scale with its strides, and how much of it is enough.',
    terms: [],
  },
  Passport: {
    what: 'What goes with this horse to its next hands: what was promised and what of it holds, how it is asked, what it wears, what happened, and the first week. Another yard reads the file where a horse is added.',
    terms: ['Gate', ...STATES],
  },
  Rides: {
    what: 'Every ride by its number: what was ridden, what was too much, and how long the next one may be.',
    terms: [],
  },
  Going: {
    what: 'What work on the lunge and on long lines came to, which rein is the better one, and when the horse tires.',
    terms: [],
  },
  'On the line': {
    what: 'Two buttons tell gaits and reins while the horse goes; the page says what is enough before it is too much.',
    terms: [],
  },
  'On its back': {
    what: 'Two buttons tell the gaits of a ride while it goes; the page says what this ride may be before it is too much.',
    terms: [],
  },
  Life: {
    what: 'Who this horse is, its blocks of work, its school and its owner.',
    terms: ['Step, rung'],
  },
  Gate: {
    what: 'Whether this horse may go through this gate today, and what is missing. A Stop cannot be overruled.',
    terms: ['Gate', 'Likely to fail', 'First ask of the day', 'Holds to'],
  },
  Trouble: {
    what: 'What lies behind what goes wrong, by the answers. Where pain can be it, the vet comes first.',
    terms: ['Loose, watchful, tight', 'Rusty, Slipped'],
  },
  Report: {
    what: 'What the owner is told: only what was recorded. Print it, or give a link with a code.',
    terms: ['Gate', ...STATES, 'Holds to'],
  },
  'How well do we judge?': {
    what: 'What was said of first asks against what came, and what the yard’s own log changed in the reckoning.',
    terms: ['Chance', 'First ask of the day', 'Talent, ease, speed'],
  },
  'How the yard stands': {
    what: 'All horses of the yard on one page: what moved, what is due, what is one-sided.',
    terms: ['Chance', ...STATES],
  },
  'From above': {
    what: 'Where on the horse it has been touched, roped and flagged, and from where. Light places are fresh, faded ones are old.',
    terms: ['Step, rung', 'Loose, watchful, tight'],
  },
  'Practice pen': {
    what: 'A made-up horse that answers like one. Learn the presses here; nothing is kept.',
    terms: ['On the thought, light, firm, strong', 'Loose, watchful, tight'],
  },
  'Arrival check': {
    what: 'What a horse brings along, found out in one session: each rung once, until one is too much.',
    terms: ['Step, rung', 'Holds to', 'First ask of the day'],
  },
  'Re-check': {
    what: 'After time off: what is asked first, to see what has worn.',
    terms: ['Rusty, Slipped', 'First ask of the day'],
  },
  Schools: {
    what: 'Ways of working, side by side. A horse is worked by one of them; a yard can make its own from a copy.',
    terms: ['Step, rung', 'Gate'],
  },
  School: {
    what: 'One way of working: its steps, rungs, gates and manner.',
    terms: ['Step, rung', 'Gate', 'On the thought, light, firm, strong'],
  },
  Files: {
    what: 'Take everything out in open formats, or bring a log or a whole yard in.',
    terms: [],
  },
  'What is unsent': {
    what: 'What lies on this device and is not with the yard yet, why, and what can be done.',
    terms: [],
  },
  People: {
    what: 'Who works here and in which role. A starter does everything, a helper logs and confirms, an owner reads reports.',
    terms: [],
  },
}
