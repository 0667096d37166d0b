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
}
