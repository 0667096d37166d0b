import type { Incident } from '@still-pine/contract'

export const INCIDENT_WORDS: Record<Incident['kind'], string> = {
  kick: 'Kick',
  strike: 'Strike',
  rear: 'Rear',
  bite: 'Bite',
  bolt: 'Bolt',
  buck: 'Buck',
  'pull-back': 'Pull-back',
  fall: 'Fall',
  'broke-away': 'Broke away',
  'tack-slipped': 'Tack slipped',
  lame: 'Lame',
  'attention-lost': 'Attention lost',
}

export const HURT_WORDS: Record<Incident['hurt'], string> = {
  none: 'nobody was hurt',
  person: 'a person was hurt',
  horse: 'the horse was hurt',
}
